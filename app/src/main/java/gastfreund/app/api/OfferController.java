package gastfreund.app.api;

import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.openings.Choice;
import gastfreund.app.programs.Answers;
import gastfreund.app.programs.ForAll;
import gastfreund.app.programs.Refused;
import gastfreund.app.storage.Reading;
import gastfreund.core.offers.Offer;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.CrossOrigin;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;

/** What everybody may know: the house, its offers, when they can be had, and what they cost. Pages of any host may ask. */
@RestController
@RequestMapping("/api")
@CrossOrigin(
        origins = "*",
        methods = {RequestMethod.GET, RequestMethod.HEAD},
        exposedHeaders = {HttpHeaders.ETAG, HttpHeaders.RETRY_AFTER})
class OfferController {

    /** So many dates can be asked for at once. */
    static final int MOST_DAYS = 35;

    private static final int USUAL_DAYS = 7;
    private static final int MOST_TIMES = 52;
    private static final int MOST_WEEKS = 12;

    private final CatalogueService catalogues;
    private final HouseJson json;
    private final Times times;
    private final Reading reading;

    OfferController(CatalogueService catalogues, HouseJson json, Times times, Reading reading) {
        this.catalogues = catalogues;
        this.json = json;
        this.times = times;
        this.reading = reading;
    }

    @ForAll
    @GetMapping("/house")
    ResponseEntity<String> house() {
        return Answers.open(json.house(catalogue()));
    }

    @ForAll
    @GetMapping("/offers")
    ResponseEntity<String> offers() {
        return Answers.open(json.offers(catalogue()));
    }

    @ForAll
    @GetMapping("/offers/{id}")
    ResponseEntity<String> offer(@PathVariable String id) {
        return Answers.open(json.offer(catalogue(), Chosen.offer(catalogue(), id)));
    }

    /** When it can be had from one date to another (both inclusive). */
    @ForAll
    @GetMapping("/offers/{id}/openings")
    ResponseEntity<String> openings(
            @PathVariable String id,
            @ModelAttribute Choice.Asked asked,
            @RequestParam(required = false) @Nullable String from,
            @RequestParam(required = false) @Nullable String to) {
        return read(id, asked, choice -> {
            LocalDate first = Chosen.date("from", from, times.today());
            LocalDate last = Chosen.date("to", to, first.plusDays(USUAL_DAYS - 1L));
            Chosen.within(first, last, MOST_DAYS);
            return times.openings(choice, first, last);
        });
    }

    /**
     * The same time every so many weeks.
     *
     * @param instead other starts, each on its date
     */
    @ForAll
    @GetMapping("/offers/{id}/series")
    ResponseEntity<String> series(
            @PathVariable String id,
            @ModelAttribute Choice.Asked asked,
            @RequestParam(required = false) @Nullable String start,
            @RequestParam(defaultValue = "6") String times,
            @RequestParam(defaultValue = "1") String every,
            @RequestParam(defaultValue = "") List<String> instead) {
        return read(id, asked, choice -> {
            long first = Chosen.start("start", start);
            Map<LocalDate, Long> others = new LinkedHashMap<>();
            for (String one : instead) {
                long other = Chosen.start("instead", one);
                others.put(catalogue().zone().dateOf(other), other);
            }
            return this.times.series(
                    choice, first, number("times", times, MOST_TIMES), number("every", every, MOST_WEEKS), others);
        });
    }

    /** What a start costs, and what cancelling it would. */
    @ForAll
    @GetMapping("/offers/{id}/price")
    ResponseEntity<String> price(
            @PathVariable String id,
            @ModelAttribute Choice.Asked asked,
            @RequestParam(required = false) @Nullable String start) {
        return read(id, asked, choice -> times.price(choice, Chosen.start("start", start)));
    }

    private ResponseEntity<String> read(String id, Choice.Asked asked, Function<Choice, JsonNode> answer) {
        return Answers.open(reading.of(() -> {
            Catalogue catalogue = catalogue();
            Offer offer = Chosen.offer(catalogue, id);
            return answer.apply(Chosen.of(catalogue, offer, asked));
        }));
    }

    private static int number(String field, String said, int most) {
        try {
            int number = Integer.parseInt(said);
            if (number >= 1 && number <= most) {
                return number;
            }
        } catch (NumberFormatException e) {
            // Said below, like a number out of reach.
        }
        throw Refused.wrong(field, "must be a number from 1 to " + most);
    }

    private Catalogue catalogue() {
        return catalogues.find().orElseThrow(() -> Refused.because(Refused.Why.NOT_THERE));
    }
}
