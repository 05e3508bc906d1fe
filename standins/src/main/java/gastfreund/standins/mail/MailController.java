package gastfreund.standins.mail;

import java.util.List;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;

/** Shows the mail that came in. */
@Controller
class MailController {

    private final MailServer server;
    private final Manners manners;

    MailController(MailServer server, Manners manners) {
        this.server = server;
        this.manners = manners;
    }

    /** How the server behaves to everybody. */
    @PostMapping("/mail/manner")
    String manner(@RequestParam String manner) {
        manners.toAll(List.of(Manners.Manner.values()).stream()
                .filter(m -> m.code().equals(manner))
                .findFirst()
                .orElseThrow(() -> new ResponseStatusException(HttpStatus.BAD_REQUEST)));
        return "redirect:/mail";
    }

    @GetMapping("/mail")
    String list(Model model) {
        List<Letter> letters = server.letters();
        model.addAttribute("letters", letters);
        model.addAttribute("manner", manners.toAll().code());
        return "standins/mail";
    }

    @GetMapping("/mail/{number:\\d+}")
    String letter(@PathVariable int number, Model model) {
        model.addAttribute("letters", server.letters());
        model.addAttribute("letter", find(number));
        model.addAttribute("manner", manners.toAll().code());
        return "standins/mail";
    }

    /** Answers a letter as its reader's mail program would: to whom it says, with what it said below. */
    @PostMapping("/mail/{number:\\d+}/answer")
    String answer(@PathVariable int number, @RequestParam String words) {
        server.answer(find(number), words);
        return "redirect:/mail/" + number;
    }

    /** The HTML part alone, in a sandbox of its own. */
    @GetMapping("/mail/{number}/html")
    ResponseEntity<String> html(@PathVariable int number) {
        return ResponseEntity.ok()
                .header(
                        "Content-Security-Policy",
                        "sandbox allow-popups allow-top-navigation-by-user-activation; "
                                + "default-src 'none'; style-src 'unsafe-inline'; img-src data: http: https:")
                .contentType(MediaType.parseMediaType("text/html;charset=UTF-8"))
                .body(find(number).html());
    }

    @GetMapping("/mail/{number}/attachments/{index}")
    ResponseEntity<byte[]> attachment(@PathVariable int number, @PathVariable int index) {
        List<Letter.Attachment> attachments = find(number).attachments();
        if (index < 0 || index >= attachments.size()) {
            throw new ResponseStatusException(HttpStatus.NOT_FOUND);
        }
        Letter.Attachment attachment = attachments.get(index);
        return ResponseEntity.ok()
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename(attachment.name())
                                .build()
                                .toString())
                .contentType(MediaType.parseMediaType(attachment.type()))
                .body(attachment.content());
    }

    private Letter find(int number) {
        return server.letters().stream()
                .filter(l -> l.number() == number)
                .findFirst()
                .orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
    }
}
