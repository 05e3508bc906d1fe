package gastfreund.app.bookingpage;

import gastfreund.app.languages.Formats;
import gastfreund.app.languages.Languages;
import gastfreund.app.pages.Field;
import gastfreund.app.pages.Note;
import gastfreund.app.typed.MailAddress;
import java.util.List;
import java.util.Locale;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** For guests who look for their bookings: they get links by mail. */
@Controller
@RequestMapping("/mine")
class MineController {

    /** @param field null: nothing more is asked */
    public record MinePage(List<Note> notes, Field field, boolean asks) {}

    private final Mine mine;

    MineController(Mine mine) {
        this.mine = mine;
    }

    @GetMapping
    String page(@RequestParam(defaultValue = "") String said, Model model) {
        Formats f = Formats.of(model);
        boolean sent = said.equals("sent");
        return show(sent ? List.of(Note.done(f.text("mine.sent"))) : List.of(), "", "", !sent, model);
    }

    @PostMapping
    String send(@RequestParam(defaultValue = "") String email, Locale locale, Model model) {
        String typed = email.strip();
        if (!MailAddress.isOne(typed)) {
            return show(List.of(), typed, Formats.of(model).text("mine.wrong"), true, model);
        }
        mine.send(typed, Languages.spoken(locale));
        return "redirect:/mine?said=sent";
    }

    private static String show(List<Note> notes, String typed, String wrong, boolean asks, Model model) {
        Field field = Field.email("email", Formats.of(model).text("mine.email"))
                .with("autocomplete", "email")
                .required()
                .value(typed)
                .wrong(wrong);
        model.addAttribute("page", new MinePage(notes, field, asks));
        return "bookingpage/mine";
    }
}
