package gastfreund.app.orderdesk;

import gastfreund.app.hosts.Needs;
import gastfreund.app.hosts.Right;
import gastfreund.app.pages.Table;
import gastfreund.app.sources.Came;
import gastfreund.app.sources.Sightings;
import java.util.List;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;

/** Where guests come from, and what came of it. */
@Controller
class SourcesController {

    /**
     * @param days over how many
     * @param rows the most booked first
     */
    public record SourcesPage(int days, List<Came> rows) {}

    private final Sightings sightings;

    SourcesController(Sightings sightings) {
        this.sightings = sightings;
    }

    @Needs(Right.SEE_ALL)
    @GetMapping("/desk/orders/sources.csv")
    ResponseEntity<String> table() {
        return Table.file(
                "sources.csv",
                List.of("source", "looked", "kept", "booked", "came"),
                sightings.lately().stream()
                        .map(c -> List.of(
                                c.source(),
                                Integer.toString(c.looked()),
                                Integer.toString(c.kept()),
                                Integer.toString(c.booked()),
                                Integer.toString(c.came())))
                        .toList());
    }

    @Needs(Right.SEE_ALL)
    @GetMapping("/desk/orders/sources")
    String sources(Model model) {
        model.addAttribute("page", new SourcesPage(Sightings.DAYS, sightings.lately()));
        return "orderdesk/sources";
    }
}
