package gastfreund.app.programs;

import gastfreund.housefile.BadFileException;
import gastfreund.housefile.HouseFile;
import gastfreund.housefile.Node;
import gastfreund.housefile.Problem;
import jakarta.servlet.http.HttpServletRequest;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Component;
import org.springframework.util.DigestUtils;
import tools.jackson.databind.JsonNode;

/** Reads what programs ask for, and answers them. */
@Component
public class Answers {

    private final Once once;

    Answers(Once once) {
        this.once = once;
    }

    /** What everybody may know; whoever has it already is told so. */
    public static ResponseEntity<String> open(JsonNode body) {
        return tagged(body.toString(), CacheControl.noCache().cachePublic());
    }

    /** What only those with a key may know. */
    public static ResponseEntity<String> closed(JsonNode body) {
        return tagged(body.toString(), CacheControl.noCache().cachePrivate());
    }

    private static ResponseEntity<String> tagged(String body, CacheControl cached) {
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_JSON)
                .cacheControl(cached)
                .eTag("W/\"" + DigestUtils.md5DigestAsHex(body.getBytes(StandardCharsets.UTF_8)) + "\"")
                .header(HttpHeaders.VARY, HttpHeaders.ACCEPT_LANGUAGE)
                .body(body);
    }

    /**
     * Does what a program asked for, once.
     *
     * @param sent the body of the request; null: it has none
     * @param read what it says; further problems can be noted there
     * @param status of the answer
     */
    public <T> ResponseEntity<String> done(
            Program program,
            HttpServletRequest request,
            @Nullable String sent,
            int status,
            Function<Node, T> read,
            Function<T, JsonNode> act) {
        T wish = read(sent, read);
        String whole = request.getMethod() + " " + request.getRequestURI() + "\n" + (sent == null ? "" : sent);
        Once.Answer answer = once.answer(program, request.getHeader(Once.HEADER), whole, status, () -> act.apply(wish));
        return ResponseEntity.status(answer.status())
                .contentType(MediaType.APPLICATION_JSON)
                .cacheControl(CacheControl.noStore())
                .body(answer.body());
    }

    /** @throws Refused with all that is wrong in it */
    private static <T> T read(@Nullable String sent, Function<Node, T> read) {
        JsonNode json = json(sent == null || sent.isBlank() ? "{}" : sent);
        List<Problem> problems = new ArrayList<>();
        T wish = read.apply(Node.root(json, problems));
        if (!problems.isEmpty()) {
            throw Refused.wrong(problems.stream()
                    .map(p -> new Refused.Wrong(p.path(), p.message()))
                    .toList());
        }
        return wish;
    }

    private static JsonNode json(String sent) {
        try {
            return HouseFile.parse(sent);
        } catch (BadFileException e) {
            throw Refused.because(Refused.Why.UNREADABLE);
        }
    }
}
