package gastfreund.app.webhooks;

import gastfreund.app.hosts.Needs;
import gastfreund.app.hosts.Right;
import gastfreund.app.languages.Formats;
import gastfreund.app.pages.Field;
import gastfreund.app.pages.Note;
import gastfreund.app.typed.Written;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Who is told what happens, and what they were told, at the desk. */
@Controller
@RequestMapping("/desk/webhooks")
class WebhooksController {

    private static final String OWN = "/desk/webhooks";
    private static final int MOST_ADDRESS = 400;
    private static final List<String> SAID = List.of("made", "removed", "on", "test", "again");

    /** @param log what was sent, the newest first */
    public record WebhooksPage(List<Note> notes, List<Told> told, List<Field> fields, List<Sent> log) {}

    /**
     * Somebody who is told.
     *
     * @param state how it goes, in words
     * @param paused whether nothing is sent until a host says so
     */
    public record Told(String id, String address, String subjects, String secret, String state, boolean paused) {}

    /**
     * A message that was sent.
     *
     * @param look of its state: {@code there}, {@code waiting} or {@code lost}
     * @param answer what came back
     * @param when when, how often, and when again
     */
    public record Sent(
            long id,
            String type,
            String message,
            String address,
            String look,
            String answer,
            String when,
            String body) {}

    private final Webhooks webhooks;

    WebhooksController(Webhooks webhooks) {
        this.webhooks = webhooks;
    }

    @Needs(Right.ROLES)
    @GetMapping
    String page(@RequestParam(required = false) @Nullable String said, Model model) {
        Formats f = Formats.of(model);
        List<Note> notes =
                said != null && SAID.contains(said) ? List.of(Note.done(f.text("webhooks.said." + said))) : List.of();
        model.addAttribute("page", page(notes, "", Set.copyOf(Webhooks.SUBJECTS), "", "", f));
        return "webhooks/webhooks";
    }

    private WebhooksPage page(
            List<Note> notes, String address, Set<String> subjects, String noAddress, String noSubject, Formats f) {
        return new WebhooksPage(
                notes,
                webhooks.all().stream().map(w -> told(w, f)).toList(),
                List.of(
                        Field.line("address", f.text("webhooks.address"), MOST_ADDRESS)
                                .with("type", "url")
                                .with("autocomplete", "off")
                                .required()
                                .help(f.text("webhooks.addressHelp"))
                                .value(address)
                                .wrong(noAddress),
                        Field.choices(
                                        "subject",
                                        f.text("webhooks.subjects"),
                                        Webhooks.SUBJECTS.stream()
                                                .map(s -> Field.Option.of(s, f.text("webhooks.subject." + s)))
                                                .toList())
                                .given(List.copyOf(subjects))
                                .wrong(noSubject)),
                webhooks.log().stream().map(d -> sent(d, f)).toList());
    }

    private Told told(Webhook webhook, Formats f) {
        String state = webhook.isPaused()
                ? f.text("webhooks.paused." + webhook.paused())
                : webhook.failing() != null
                        ? f.text("webhooks.failing", f.moment(webhook.failing()))
                        : f.text("webhooks.fine");
        return new Told(
                webhook.id(),
                webhook.address(),
                Webhooks.SUBJECTS.stream()
                        .filter(webhook.subjects()::contains)
                        .map(s -> f.text("webhooks.subject." + s))
                        .collect(Collectors.joining(", ")),
                webhooks.secret(webhook),
                state,
                webhook.isPaused());
    }

    private static Sent sent(Delivery delivery, Formats f) {
        List<String> when = new ArrayList<>();
        if (delivery.last() != null) {
            when.add(f.moment(delivery.last()));
            when.add(f.text("webhooks.tries", delivery.tries()));
        }
        if (delivery.next() != null) {
            when.add(f.text("webhooks.next", f.moment(delivery.next())));
        }
        return new Sent(
                delivery.id(),
                delivery.type(),
                delivery.message(),
                delivery.address(),
                delivery.state(),
                f.text("webhooks.state." + delivery.state()) + " · " + PausedLetters.answer(delivery.answer(), f),
                String.join(" · ", when),
                delivery.body());
    }

    @Needs(Right.ROLES)
    @PostMapping
    String make(
            @RequestParam(defaultValue = "") String address,
            @RequestParam(defaultValue = "") List<String> subject,
            Model model) {
        Formats f = Formats.of(model);
        String typed = Written.line(address, MOST_ADDRESS);
        Set<String> subjects = new TreeSet<>(subject);
        subjects.retainAll(Webhooks.SUBJECTS);
        boolean full = webhooks.all().size() >= Webhooks.MOST;
        Optional<String> wrong = full
                ? Optional.of(f.text("webhooks.full"))
                : webhooks.canBeTold(typed) ? Optional.empty() : Optional.of(f.text("webhooks.noAddress"));
        if (wrong.isPresent() || subjects.isEmpty()) {
            model.addAttribute(
                    "page",
                    page(
                            List.of(),
                            typed,
                            subjects,
                            wrong.orElse(""),
                            subjects.isEmpty() ? f.text("webhooks.noSubject") : "",
                            f));
            return "webhooks/webhooks";
        }
        webhooks.make(typed, subjects);
        return "redirect:" + OWN + "?said=made";
    }

    @Needs(Right.ROLES)
    @PostMapping("/{id}/remove")
    String remove(@PathVariable String id) {
        webhooks.remove(id);
        return "redirect:" + OWN + "?said=removed";
    }

    @Needs(Right.ROLES)
    @PostMapping("/{id}/on")
    String goOn(@PathVariable String id) {
        webhooks.goOn(id);
        return "redirect:" + OWN + "?said=on";
    }

    @Needs(Right.ROLES)
    @PostMapping("/{id}/test")
    String test(@PathVariable String id) {
        webhooks.test(id);
        return "redirect:" + OWN + "?said=test";
    }

    /** Sends a message of the log once more. */
    @Needs(Right.ROLES)
    @PostMapping("/sent/{id}/again")
    String again(@PathVariable long id) {
        webhooks.again(id);
        return "redirect:" + OWN + "?said=again";
    }
}
