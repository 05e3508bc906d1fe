package gastfreund.app.sharing;

import java.util.Map;
import org.springframework.web.util.UriComponentsBuilder;

/** Puts what was said into addresses. */
final class Addresses {

    private Addresses() {}

    /** An address with parameters; their values are encoded as a whole. */
    static String with(String address, Map<String, String> said) {
        UriComponentsBuilder to = UriComponentsBuilder.fromUriString(address);
        said.keySet().forEach(name -> to.queryParam(name, "{" + name + "}"));
        return to.encode().buildAndExpand(said).toUriString();
    }
}
