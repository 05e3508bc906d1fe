package gastfreund.app.effects;

import gastfreund.app.catalogue.DocumentRef;
import gastfreund.app.catalogue.DocumentRef.Kind;
import gastfreund.app.editing.Editing;
import gastfreund.app.hosts.Host;
import gastfreund.app.hosts.Needs;
import gastfreund.app.hosts.Right;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** What is the same for whatever is changed: undoing what was kept, and deciding between two changes of one member. */
@Controller
@RequestMapping("/desk/changes")
class ChangesController {

    private final Editing editing;

    ChangesController(Editing editing) {
        this.editing = editing;
    }

    /** @param back the page to which it goes back */
    @Needs(Right.SET_UP)
    @PostMapping("/undo")
    String undo(Host host, @RequestParam long keeping, @RequestParam String back) {
        Editing.Undone undone = editing.undo(host, keeping);
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
        return back.matches("/desk(/[A-Za-z0-9_-]{1,100}){0,4}") ? back : "/desk";
    }
}
