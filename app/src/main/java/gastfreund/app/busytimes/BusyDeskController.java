package gastfreund.app.busytimes;

import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.hosts.Host;
import gastfreund.app.hosts.Needs;
import gastfreund.app.hosts.Right;
import gastfreund.app.languages.Formats;
import gastfreund.app.pages.Field;
import gastfreund.app.pages.Note;
import gastfreund.core.offers.Staff;
import gastfreund.core.offers.StaffId;
import java.io.IOException;
import java.net.URI;
import java.net.URISyntaxException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.server.ResponseStatusException;

/** Other calendars of those who serve at the desk: everybody's for who sets the house up, one's own for the others. */
@Controller
@RequestMapping("/desk/busy-times")
class BusyDeskController {

    private static final String BACK = "redirect:/desk/busy-times?said=";
    private static final int MOST_ADDRESS = 1000;
    private static final int MOST_NAME = 80;
    private static final int MOST_SOURCES = 10;

    private final BusyTimes busy;
    private final CatalogueService catalogues;

    BusyDeskController(BusyTimes busy, CatalogueService catalogues) {
        this.busy = busy;
        this.catalogues = catalogues;
    }

    /**
     * What was typed and is not taken.
     *
     * @param staff whose it was
     * @param why a code; empty: nothing is wrong
     * @param address as it was typed
     * @param file whether it was a file
     */
    private record Wrong(String staff, String why, String address, boolean file) {

        static final Wrong NOTHING = new Wrong("", "", "", false);
    }

    @Needs(Right.OWN_HOURS)
    @GetMapping
    String page(Host host, @RequestParam(required = false) @Nullable String said, Model model) {
        Formats f = Formats.of(model);
        // What could not be read is no success, though it will be tried again.
        List<Note> notes = "busy-kept".equals(said)
                ? List.of(Note.warn(f.text("said.busy-kept")))
                : Note.said(said, f.words()).stream().toList();
        return show(host, notes, Wrong.NOTHING, model);
    }

    private String show(Host host, List<Note> notes, Wrong wrong, Model model) {
        Formats f = Formats.of(model);
        List<BusyPage.Person> people = catalogues.catalogue().house().staff().stream()
                .filter(s -> mayBe(host, s.id()))
                .map(s -> person(s, wrong.staff().equals(s.id().value()) ? wrong : Wrong.NOTHING, f))
                .toList();
        if (people.isEmpty() && !host.may(Right.SET_UP)) {
            throw new ResponseStatusException(HttpStatus.NOT_FOUND);
        }
        model.addAttribute("page", new BusyPage(notes, host.may(Right.SET_UP), people));
        return "busytimes/busy";
    }

    private BusyPage.Person person(Staff staff, Wrong wrong, Formats f) {
        String id = staff.id().value();
        String why = wrong.why().isEmpty() ? "" : error(wrong.why(), f);
        return new BusyPage.Person(
                id,
                staff.name(),
                busy.of(staff.id()).stream().map(s -> row(s, f)).toList(),
                Field.line("address", f.text("busytimes.address"), MOST_ADDRESS)
                        .id("address-" + id)
                        .value(wrong.address())
                        .with("inputmode", "url")
                        .wrong(wrong.file() ? "" : why),
                Field.file("file", f.text("busytimes.file"), "text/calendar,.ics")
                        .id("file-" + id)
                        .wrong(wrong.file() ? why : ""));
    }

    private static BusyPage.Row row(Source source, Formats f) {
        String state = source.readAt() == null
                ? f.text("busytimes.never")
                : f.text("busytimes.read", f.moment(source.readAt()), source.occurrences());
        List<String> wrong = new ArrayList<>();
        if (!source.error().isEmpty()) {
            wrong.add(
                    source.failingAt() == null
                            ? error(source.error(), f)
                            : f.text("busytimes.failing", f.moment(source.failingAt()), error(source.error(), f)));
        }
        if (source.unread() > 0) {
            wrong.add(f.text("busytimes.unread", source.unread()));
        }
        if (!source.zones().isEmpty()) {
            wrong.add(f.text("busytimes.zones", source.zones()));
        }
        return new BusyPage.Row(source.id(), source.name(), state, List.copyOf(wrong), !source.isFile());
    }

    private static String error(String code, Formats f) {
        return code.startsWith("status-")
                ? f.text("busytimes.error.status", code.substring("status-".length()))
                : f.words().find("busytimes.error." + code).orElseGet(() -> f.text("busytimes.error.fault"));
    }

    @Needs(Right.OWN_HOURS)
    @PostMapping("/address")
    String follow(
            Host host,
            @RequestParam(defaultValue = "") String staff,
            @RequestParam(defaultValue = "") String address,
            Model model) {
        StaffId id = theirs(host, staff);
        String typed = address.strip();
        URI wanted = wanted(typed);
        String why = wanted == null ? "no-address" : busy.of(id).size() >= MOST_SOURCES ? "enough" : "";
        if (!why.isEmpty() || wanted == null) {
            return show(host, List.of(), new Wrong(staff, why, typed, false), model);
        }
        Source source = busy.follow(id, wanted.toString(), name(wanted));
        return BACK + (source.error().isEmpty() ? "busy-read" : "busy-kept");
    }

    /** An address that can be asked; null: it is none. */
    private static @Nullable URI wanted(String typed) {
        String lower = typed.toLowerCase(Locale.ROOT);
        String plain = lower.startsWith("webcal://")
                ? "https://" + typed.substring("webcal://".length())
                : lower.startsWith("webcals://") ? "https://" + typed.substring("webcals://".length()) : typed;
        try {
            URI uri = new URI(plain);
            boolean web = "http".equalsIgnoreCase(uri.getScheme()) || "https".equalsIgnoreCase(uri.getScheme());
            return web && uri.getHost() != null && uri.getRawUserInfo() == null && plain.length() <= MOST_ADDRESS
                    ? uri
                    : null;
        } catch (URISyntaxException e) {
            return null;
        }
    }

    @Needs(Right.OWN_HOURS)
    @PostMapping("/file")
    String take(
            Host host,
            @RequestParam(defaultValue = "") String staff,
            @RequestParam(required = false) @Nullable MultipartFile file,
            Model model)
            throws IOException {
        StaffId id = theirs(host, staff);
        String why;
        if (file == null || file.isEmpty()) {
            why = "no-file";
        } else if (file.getSize() > CalendarFetch.MOST_BYTES) {
            why = "too-large";
        } else if (busy.of(id).size() >= MOST_SOURCES) {
            why = "enough";
        } else {
            why = busy.take(id, name(file), new String(file.getBytes(), StandardCharsets.UTF_8));
        }
        return why.isEmpty() ? BACK + "busy-read" : show(host, List.of(), new Wrong(staff, why, "", true), model);
    }

    private static String name(MultipartFile file) {
        String name = file.getOriginalFilename();
        return cut(name == null || name.isBlank() ? "calendar.ics" : name.strip());
    }

    /** Where it is, and what it is called there; what is between them is often a secret. */
    private static String name(URI address) {
        String path = address.getPath() == null ? "" : address.getPath();
        String last = path.substring(path.lastIndexOf('/') + 1);
        return cut(last.isEmpty() ? address.getHost() : address.getHost() + ", " + last);
    }

    private static String cut(String name) {
        return name.length() > MOST_NAME ? name.substring(0, MOST_NAME) : name;
    }

    /** Reads one at once. */
    @Needs(Right.OWN_HOURS)
    @PostMapping("/read")
    String read(Host host, @RequestParam Map<String, String> form) {
        Source source = source(host, form);
        busy.read(source);
        boolean well = busy.find(source.id()).map(s -> s.error().isEmpty()).orElse(false);
        return BACK + (well ? "busy-read" : "busy-kept");
    }

    @Needs(Right.OWN_HOURS)
    @PostMapping("/remove")
    String remove(Host host, @RequestParam Map<String, String> form) {
        busy.remove(source(host, form));
        return BACK + "busy-removed";
    }

    private Source source(Host host, Map<String, String> form) {
        String id = form.getOrDefault("id", "");
        return (id.length() < 10 && !id.isEmpty() && id.chars().allMatch(c -> c >= '0' && c <= '9')
                        ? busy.find(Long.parseLong(id))
                        : Optional.<Source>empty())
                .filter(s -> mayBe(host, s.staff()))
                .orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
    }

    private StaffId theirs(Host host, String staff) {
        return catalogues.catalogue().house().staff().stream()
                .map(Staff::id)
                .filter(s -> s.value().equals(staff) && mayBe(host, s))
                .findFirst()
                .orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
    }

    private static boolean mayBe(Host host, StaffId staff) {
        return host.may(Right.SET_UP) || host.person().equals(staff.value());
    }
}
