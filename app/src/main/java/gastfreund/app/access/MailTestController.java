package gastfreund.app.access;

import gastfreund.app.hosts.Host;
import gastfreund.app.hosts.Needs;
import gastfreund.app.hosts.Right;
import gastfreund.app.languages.Languages;
import gastfreund.app.languages.Words;
import gastfreund.app.messages.Outbox;
import gastfreund.app.pages.Note;
import java.util.Locale;
import org.springframework.context.MessageSource;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;

/** Whether mails go out: how that is set, and one to the host who asks. */
@Controller
@RequestMapping("/desk/mail")
class MailTestController {

    private final Outbox outbox;
    private final MessageSource messages;

    MailTestController(Outbox outbox, MessageSource messages) {
        this.outbox = outbox;
        this.messages = messages;
    }

    /** @param waiting how many letters wait, in words */
    public record MailPage(Note note, String waiting) {}

    @Needs(Right.OWN_ACCOUNT)
    @GetMapping
    String page(Locale locale, Model model) {
        Words words = new Words(messages, Languages.spoken(locale));
        return show(
                outbox.canSend() ? Note.done(words.text("mail.can")) : Note.warn(words.text("mail.cannot")),
                words,
                model);
    }

    @Needs(Right.OWN_ACCOUNT)
    @PostMapping
    String send(Host host, Locale locale, Model model) {
        Words words = new Words(messages, Languages.spoken(locale));
        String why = outbox.trySending(host.email(), words.text("mail.subject"), words.text("mail.words"));
        return show(
                why.isEmpty()
                        ? Note.done(words.text("mail.sent", host.email()))
                        : Note.bad(words.text("mail.failed", host.email(), why)),
                words,
                model);
    }

    private String show(Note note, Words words, Model model) {
        model.addAttribute("page", new MailPage(note, words.text("mail.waiting", outbox.waiting())));
        return "access/mail";
    }
}
