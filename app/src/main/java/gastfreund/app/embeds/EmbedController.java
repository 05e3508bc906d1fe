package gastfreund.app.embeds;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import org.springframework.core.io.ClassPathResource;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.util.DigestUtils;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.server.ResponseStatusException;

/** The script that somebody else's page takes in, and the way back into its frame. */
@Controller
class EmbedController {

    private static final Duration KEPT = Duration.ofHours(1);

    private final Tickets tickets;
    private final byte[] script;
    private final String mark;

    EmbedController(Tickets tickets) {
        this.tickets = tickets;
        try {
            script = new ClassPathResource("static/app/embed.js").getContentAsByteArray();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        // Weak, since it is compressed on its way.
        mark = "W/\"" + DigestUtils.md5DigestAsHex(script) + "\"";
    }

    /** Any page may take it in; it holds nothing of anybody. */
    @GetMapping("/embed.js")
    ResponseEntity<String> script() {
        return ResponseEntity.ok()
                .header(HttpHeaders.ACCESS_CONTROL_ALLOW_ORIGIN, "*")
                .header("Cross-Origin-Resource-Policy", "cross-origin")
                .cacheControl(CacheControl.maxAge(KEPT).cachePublic())
                .eTag(mark)
                .contentType(MediaType.valueOf("text/javascript;charset=UTF-8"))
                .body(new String(script, StandardCharsets.UTF_8));
    }

    /** To the booking of a guest who comes back from a gateway. */
    @GetMapping("/back/{ticket}")
    String back(@PathVariable String ticket) {
        return tickets.use(ticket)
                .map(booking -> "redirect:/bookings/" + booking)
                .orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
    }
}
