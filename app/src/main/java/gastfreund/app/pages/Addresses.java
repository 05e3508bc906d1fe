package gastfreund.app.pages;

import java.util.Map;
import org.springframework.web.util.UriComponentsBuilder;

/** Addresses with parameters that somebody has said. */
public final class Addresses {

    private Addresses() {}

    /** An address with parameters; their values are encoded as a whole. */
    public static String with(String address, Map<String, String> said) {
        UriComponentsBuilder to = UriComponentsBuilder.fromUriString(address);
        said.keySet().forEach(name -> to.queryParam(name, "{" + name + "}"));
        return to.encode().buildAndExpand(said).toUriString();
    }
}
