package gastfreund.app.sharing;

import gastfreund.app.embeds.Embed;
import gastfreund.app.pages.Address;
import gastfreund.app.strangers.Framing;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;

/** A page as somebody else might have it, in which the desk shows the panel. */
@Controller
class NeighbourController {

    private static final List<String> ATTRIBUTES = List.of(
            "offer",
            "category",
            "view",
            "length",
            "staff",
            "place",
            "party",
            "as",
            "look",
            "accent",
            "font",
            "ground",
            "corners",
            "lang",
            "without");

    /**
     * @param panel the attributes of the panel
     * @param plain whether it has no scripts
     * @param link the address of the link
     */
    public record Neighbour(
            String house, Map<String, String> panel, String link, String words, boolean dark, boolean plain) {

        /** Whether there is a panel, or a link alone. */
        public boolean hasPanel() {
            return !Asked.LINK.equals(panel.get("as"));
        }
    }

    private final Address address;

    NeighbourController(Address address) {
        this.address = address;
    }

    /** Only in a frame, where somebody else's pages are. */
    @GetMapping("/neighbour")
    String page(
            @RequestParam Map<String, String> said,
            HttpServletRequest request,
            HttpServletResponse response,
            Model model) {
        if (request.getAttribute(Embed.ATTRIBUTE) == null) {
            throw new ResponseStatusException(HttpStatus.NOT_FOUND);
        }
        Map<String, String> panel = new TreeMap<>(said);
        panel.keySet().retainAll(ATTRIBUTES);
        Framing.show(response, "");
        String base = address.of("");
        String link = said.getOrDefault("link", "");
        model.addAttribute(
                "page",
                new Neighbour(
                        base,
                        panel,
                        link.startsWith(base + "/") ? link : base + "/",
                        said.getOrDefault("words", ""),
                        "dark".equals(said.get("shown")),
                        "plain".equals(said.get("shown"))));
        return "sharing/neighbour";
    }
}
