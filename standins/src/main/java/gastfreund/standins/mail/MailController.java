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
import org.springframework.web.server.ResponseStatusException;

/** Shows the mail that came in. */
@Controller
class MailController {

    private final MailServer server;

    MailController(MailServer server) {
        this.server = server;
    }

    @GetMapping("/mail")
    String list(Model model) {
        List<Letter> letters = server.letters();
        model.addAttribute("letters", letters);
        return "standins/mail";
    }

    @GetMapping("/mail/{number}")
    String letter(@PathVariable int number, Model model) {
        model.addAttribute("letters", server.letters());
        model.addAttribute("letter", find(number));
        return "standins/mail";
    }

    /** The HTML part alone, in a sandbox of its own. */
    @GetMapping("/mail/{number}/html")
    ResponseEntity<String> html(@PathVariable int number) {
        return ResponseEntity.ok()
                .header(
                        "Content-Security-Policy",
                        "sandbox allow-popups allow-top-navigation-by-user-activation; "
                                + "default-src 'none'; style-src 'unsafe-inline'; img-src data:")
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
