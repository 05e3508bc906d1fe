package gastfreund.app.several;

import gastfreund.app.hosts.Host;
import gastfreund.app.hosts.Needs;
import gastfreund.app.hosts.Right;
import gastfreund.app.languages.Formats;
import gastfreund.app.pages.Note;
import gastfreund.core.bookings.BookingId;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The page on which something is done with several bookings at once. */
@Controller
@RequestMapping("/desk/several")
class SeveralController {

    private final Several several;
    private final SeveralPages pages;

    SeveralController(Several several, SeveralPages pages) {
        this.several = several;
        this.pages = pages;
    }

    /**
     * Which bookings are meant: those that are named, or all of a person's day.
     *
     * @param person whose day it is; null: bookings are named
     */
    record Asked(@Nullable List<String> booking, @Nullable String person, @Nullable String day) {}

    @Needs(Right.MOVE)
    @GetMapping
    String page(Asked asked, Host host, Model model) {
        List<Note> notes = model.getAttribute("done") instanceof Note done ? List.of(done) : List.of();
        model.addAttribute("page", pages.page(pages.meant(asked), Map.of(), false, notes, host, Formats.of(model)));
        return "several/several";
    }

    /** Shows what would be done. */
    @Needs(Right.MOVE)
    @PostMapping("/check")
    String check(Asked asked, @RequestParam Map<String, String> form, Host host, Model model) {
        model.addAttribute("page", pages.page(pages.meant(asked), form, true, List.of(), host, Formats.of(model)));
        return "several/several";
    }

    @Needs(Right.MOVE)
    @PostMapping
    String carryOut(
            Asked asked, @RequestParam Map<String, String> form, Host host, RedirectAttributes next, Model model) {
        Formats f = Formats.of(model);
        SeveralPages.Meant meant = pages.meant(asked);
        List<Several.One> all = several.look(meant.bookings(), host);
        List<BookingId> left = several.carryOut(pages.wishes(all, form, host), SeveralPages.words(form), host);
        pages.block(meant, form, host, f);
        String names = all.stream()
                .filter(o -> left.contains(o.line().booking()))
                .map(o -> o.order().contact().name())
                .collect(Collectors.joining(", "));
        next.addFlashAttribute(
                "done", left.isEmpty() ? Note.done(f.text("several.done")) : Note.bad(f.text("several.left", names)));
        return "redirect:/desk/several?day=" + meant.day()
                + (meant.person() == null ? "" : "&person=" + meant.person());
    }
}
