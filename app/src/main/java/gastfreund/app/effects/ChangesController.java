package gastfreund.app.effects;

import gastfreund.app.catalogue.DocumentRef;
import gastfreund.app.catalogue.DocumentRef.Kind;
import gastfreund.app.editing.Change;
import gastfreund.app.editing.Editing;
import gastfreund.app.editing.Sentences;
import gastfreund.app.editing.Undoing;
import gastfreund.app.hosts.Host;
import gastfreund.app.hosts.Needs;
import gastfreund.app.hosts.Right;
import gastfreund.app.languages.Formats;
import gastfreund.app.pages.Note;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** What is the same for whatever is changed: what was kept, undoing it, and deciding between two changes of one member. */
@Controller
@RequestMapping("/desk/changes")
class ChangesController {

    private static final int MOST = 60;
    private static final Pattern PAGE = Pattern.compile("/desk(?:/[A-Za-z0-9_-]{1,100}+){0,4}+");

    private final Editing editing;
    private final Undoing undoing;
    private final Effects effects;
    private final Names names;

    ChangesController(Editing editing, Undoing undoing, Effects effects, Names names) {
        this.editing = editing;
        this.undoing = undoing;
        this.effects = effects;
        this.names = names;
    }

    /** What was changed, by whom and when. */
    @Needs(Right.SET_UP)
    @GetMapping
    String journal(
            @RequestParam(required = false) @Nullable String said,
            @RequestParam(defaultValue = Long.MAX_VALUE + "") long before,
            Model model) {
        Formats f = Formats.of(model);
        Sentences sentences = names.sentences(f);
        List<Change> changes = editing.latest(before, MOST);
        Map<Long, List<Change>> kept = new LinkedHashMap<>();
        changes.forEach(
                c -> kept.computeIfAbsent(c.keeping(), k -> new ArrayList<>()).add(0, c));
        List<JournalPage.Entry> entries = kept.values().stream()
                .map(together -> entry(together, sentences, f))
                .toList();
        String older = changes.size() < MOST
                ? ""
                : "/desk/changes?before=" + changes.get(changes.size() - 1).id();
        model.addAttribute(
                "page", new JournalPage(Note.said(said, f.words()).stream().toList(), entries, older));
        return "effects/journal";
    }

    private JournalPage.Entry entry(List<Change> together, Sentences sentences, Formats f) {
        Change first = together.get(0);
        List<JournalPage.Part> parts = together.stream()
                .map(c -> new JournalPage.Part(
                        names.of(c), address(c), sentences.of(c.beforeOrNothing(), c.afterOrNothing())))
                .toList();
        boolean can = together.stream().allMatch(undoing::canUndo);
        return new JournalPage.Entry(
                f.moment(first.at()), effects.who(first), parts, can ? first.keeping() : 0, first.undoes() != null);
    }

    private static String address(Change change) {
        return switch (change.ref().kind()) {
            case STAFF, PLACES, RESOURCES -> "/desk/house/"
                    + change.ref().kind().code() + "/" + change.ref().id();
            case HOUSE, OFFERS -> "/desk/hours/" + change.ref().kind().code() + "/"
                    + change.ref().id();
            case PROMO_CODES -> "/desk/codes/" + change.ref().id();
        };
    }

    /** @param back the page to which it goes back */
    @Needs(Right.SET_UP)
    @PostMapping("/undo")
    String undo(Host host, @RequestParam long keeping, @RequestParam String back) {
        Undoing.Undone undone = undoing.undo(host, keeping);
        String said = undone.name().toLowerCase(Locale.ROOT).replace('_', '-');
        return "redirect:" + page(back) + "?said=" + said;
    }

    /** For each member that two changed: {@code staff/mira|name} is {@code mine} or {@code theirs}. */
    @Needs(Right.SET_UP)
    @PostMapping("/choose")
    String choose(Host host, @RequestParam Map<String, String> form, @RequestParam String back) {
        Map<DocumentRef, Set<String>> theirs = new HashMap<>();
        form.forEach((name, value) -> {
            int bar = name.indexOf('|');
            int slash = name.indexOf('/');
            if (bar > slash && slash > 0) {
                Kind.ofCode(name.substring(0, slash)).ifPresent(kind -> {
                    Set<String> members = theirs.computeIfAbsent(
                            new DocumentRef(kind, name.substring(slash + 1, bar)), r -> new HashSet<>());
                    if (value.equals("theirs")) {
                        members.add(name.substring(bar + 1));
                    }
                });
            }
        });
        theirs.forEach((ref, members) -> editing.yield(host, ref, members));
        return "redirect:" + page(back);
    }

    /** A page of the desk, and nothing else. */
    private static String page(String back) {
        return PAGE.matcher(back).matches() ? back : "/desk";
    }
}
