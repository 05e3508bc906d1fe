package gastfreund.standins.neighbour;

import gastfreund.standins.StandinsSettings;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.regex.Pattern;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;

/** The pages of The Neighbour's Gazette, with the panel of the house in them. */
@Controller
class NeighbourController {

    private static final List<String> PAGES = List.of(
            "gift-ideas",
            "shop",
            "dark",
            "hostile",
            "strict",
            "plain",
            "three",
            "right-to-left",
            "narrow",
            "none",
            "yours",
            "wrong",
            "away");

    /** Another house than the one that was set, on this machine. */
    private static final Pattern HERE = Pattern.compile("\\Ahttp://localhost:\\d{1,5}+(?:/[a-z]++)?+\\z");

    /** Something on the shelves of the neighbour's own shop. */
    public record Ware(String id, String name, int euros) {}

    private static final List<Ware> SHELF =
            List.of(new Ware("loop-tool", "A loop tool", 6), new Ware("sponge", "A sponge", 2));

    private final StandinsSettings settings;

    NeighbourController(StandinsSettings settings) {
        this.settings = settings;
    }

    @GetMapping("/neighbour")
    String all(Model model) {
        model.addAttribute("pages", PAGES);
        return "neighbour/index";
    }

    /** What can be said of the panel on the page {@code yours}, and of the page itself. */
    private static final List<String> SAID = List.of(
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
            "without",
            "from",
            "link",
            "words",
            "shown");

    /**
     * @param house where the house is; none: where it was set to be
     * @param goods what lies in the basket of the neighbour's own shop
     * @param said what the panel is to be on the page that takes in anything
     */
    @GetMapping("/neighbour/{page}")
    String page(
            @PathVariable String page,
            @RequestParam(defaultValue = "") String house,
            @RequestParam Map<String, String> said,
            @RequestParam(defaultValue = "") List<String> goods,
            Model model,
            HttpServletResponse response) {
        if (!PAGES.contains(page)) {
            throw new ResponseStatusException(HttpStatus.NOT_FOUND);
        }
        String at = HERE.matcher(house).matches() ? house : settings.house();
        if (page.equals("strict")) {
            response.setHeader(
                    "Content-Security-Policy",
                    "default-src 'none'; style-src 'self'; script-src " + at + "; frame-src " + at);
        }
        model.addAttribute("house", at);
        Map<String, String> panel = new TreeMap<>(said);
        panel.keySet().retainAll(SAID);
        model.addAttribute("panel", panel);
        List<Ware> basket = goods.stream()
                .flatMap(id -> SHELF.stream().filter(w -> w.id().equals(id)))
                .toList();
        model.addAttribute("shelf", SHELF);
        model.addAttribute("goods", basket);
        model.addAttribute("together", basket.stream().mapToInt(Ware::euros).sum());
        return "neighbour/" + page;
    }
}
