package gastfreund.app.programs;

import gastfreund.app.hosts.Needs;
import gastfreund.app.hosts.Right;
import gastfreund.app.journal.Actor;
import gastfreund.app.languages.Formats;
import gastfreund.app.pages.Address;
import gastfreund.app.pages.Field;
import gastfreund.app.pages.Note;
import gastfreund.app.typed.Written;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The keys of other programs at the desk. */
@Controller
@RequestMapping("/desk/programs")
class KeysController {

    private static final int MOST_NAME = 60;
    private static final String OWN = "/desk/programs";

    /**
     * What the page shows.
     *
     * @param key one that was just made, which is shown this once; empty: none was
     * @param description the address of what programs can ask
     */
    public record KeysPage(
            List<Note> notes, String key, List<Row> programs, List<Field> fields, String house, String description) {}

    /**
     * A program.
     *
     * @param facts what it may do, and since when it has its key
     * @param end where its key is withdrawn; empty: it was
     */
    public record Row(String name, String facts, String end) {}

    private final Keys keys;
    private final Address address;

    KeysController(Keys keys, Address address) {
        this.keys = keys;
        this.address = address;
    }

    @Needs(Right.ROLES)
    @GetMapping
    String page(@RequestParam(required = false) @Nullable String said, Model model) {
        Formats f = Formats.of(model);
        String key = model.getAttribute("key") instanceof String made ? made : "";
        List<Note> notes = new ArrayList<>();
        if ("ended".equals(said)) {
            notes.add(Note.done(f.text("programs.ended")));
        }
        model.addAttribute("page", page(notes, key, "", Set.of(Scope.READ), "", "", f));
        return "programs/keys";
    }

    private KeysPage page(
            List<Note> notes, String key, String name, Set<Scope> scopes, String noName, String noScope, Formats f) {
        return new KeysPage(
                notes,
                key,
                keys.all().stream().map(p -> row(p, f)).toList(),
                List.of(
                        Field.line("name", f.text("programs.name"), MOST_NAME)
                                .required()
                                .help(f.text("programs.nameHelp"))
                                .value(name)
                                .wrong(noName),
                        Field.choices(
                                        "scope",
                                        f.text("programs.scopes"),
                                        Arrays.stream(Scope.values())
                                                .map(s ->
                                                        Field.Option.of(s.code(), f.text("programs.scope." + s.code())))
                                                .toList())
                                .given(scopes.stream().map(Scope::code).toList())
                                .wrong(noScope)),
                address.of("/api/house"),
                address.of("/api/openapi.json"));
    }

    private static Row row(Program program, Formats f) {
        String may = Arrays.stream(Scope.values())
                .filter(program::may)
                .map(s -> f.text("programs.may." + s.code()))
                .collect(Collectors.joining(", "));
        List<String> facts = new ArrayList<>();
        facts.add(may);
        facts.add(f.text("programs.since", f.moment(program.made()), program.madeBy()));
        facts.add(
                program.used() == null ? f.text("programs.unused") : f.text("programs.used", f.moment(program.used())));
        if (program.ended() != null) {
            facts.add(f.text("programs.endedAt", f.moment(program.ended())));
        }
        return new Row(
                program.name(), String.join(" · ", facts), program.isEnded() ? "" : OWN + "/" + program.id() + "/end");
    }

    @Needs(Right.ROLES)
    @PostMapping
    String make(
            @RequestParam(defaultValue = "") String name,
            @RequestParam(defaultValue = "") List<String> scope,
            Actor host,
            RedirectAttributes after,
            Model model) {
        Formats f = Formats.of(model);
        String named = Written.line(name, MOST_NAME);
        Set<Scope> scopes = scope.stream().flatMap(s -> Scope.find(s).stream()).collect(Collectors.toSet());
        if (named.isEmpty() || scopes.isEmpty()) {
            model.addAttribute(
                    "page",
                    page(
                            List.of(),
                            "",
                            named,
                            scopes,
                            named.isEmpty() ? f.text("programs.noName") : "",
                            scopes.isEmpty() ? f.text("programs.noScope") : "",
                            f));
            return "programs/keys";
        }
        after.addFlashAttribute("key", keys.make(named, scopes, host).key());
        return "redirect:" + OWN;
    }

    /** Withdraws a key. */
    @Needs(Right.ROLES)
    @PostMapping("/{id}/end")
    String end(@PathVariable String id) {
        return "redirect:" + OWN + (keys.end(id).isPresent() ? "?said=ended" : "");
    }
}
