package gastfreund.app.strangers;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.DemoHouseTest;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.net.Socket;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** What a request may bring. */
@Tag("siege")
class SizesTest extends DemoHouseTest {

    private static final int TRIES = 3;
    private static final long SECOND = 1_000_000_000L;
    private static final String NOTIFICATIONS = "/payments/practice-card/notifications";

    /** Sends a head, then pieces of a body for as long as somebody reads; the first line of the answer. */
    private String sent(String head, byte[] piece, int pieces) throws IOException {
        URI application = URI.create(address("/"));
        try (Socket socket = new Socket("127.0.0.1", application.getPort())) {
            socket.setSoTimeout(20_000);
            OutputStream out = socket.getOutputStream();
            out.write(head.getBytes(StandardCharsets.US_ASCII));
            try {
                for (int i = 0; i < pieces; i++) {
                    out.write(piece);
                }
            } catch (IOException e) {
                // It has heard enough.
            }
            return firstLine(socket.getInputStream());
        }
    }

    private static String firstLine(InputStream in) throws IOException {
        StringBuilder line = new StringBuilder();
        for (int c = in.read(); c >= 0 && c != '\r'; c = in.read()) {
            line.append((char) c);
        }
        return line.toString();
    }

    private static String head(String path, String... headers) {
        return "POST " + path + " HTTP/1.1\r\nHost: localhost\r\nContent-Type: application/json\r\nGateway-Time: 1\r\n"
                + "Gateway-Signature: 00\r\n" + String.join("", headers) + "\r\n";
    }

    @Test
    void aBodyThatSaysItIsLargeIsNotRead() throws IOException {
        assertThat(sent(head(NOTIFICATIONS, "Content-Length: 262144000\r\n"), new byte[0], 0))
                .contains(" 413");
    }

    @Test
    void aBodyThatDoesNotSayItIsCounted() throws IOException {
        byte[] chunk = ("1000\r\n" + "a".repeat(0x1000) + "\r\n").getBytes(StandardCharsets.US_ASCII);
        assertThat(sent(head(NOTIFICATIONS, "Transfer-Encoding: chunked\r\n"), chunk, 60))
                .contains(" 413");
        assertThat(sent(head("/offers/clay-table/keep", "Transfer-Encoding: chunked\r\n"), chunk, 60))
                .matches(".* (400|413).*");
    }

    @Test
    void formsHaveSoManyFieldsOfSoManyCharacters() {
        assertThat(post("/offers/clay-table/keep", Map.of("start", "1".repeat(20_000)))
                        .statusCode())
                .isEqualTo(413);
        assertThat(post("/offers/clay-table/keep", Map.of("x".repeat(300), "1")).statusCode())
                .isEqualTo(413);
        Map<String, Object> many = new LinkedHashMap<>();
        for (int i = 0; i < 500; i++) {
            many.put("f" + i, i);
        }
        assertThat(post("/offers/clay-table/keep", many).statusCode()).isIn(400, 413);
        assertThat(post("/offers/clay-table/keep", Map.of("start", "9".repeat(60_000)))
                        .body())
                .contains("too much at once");
    }

    /** Of which no address could be made for a passkey, a picture or the way back from a gateway. */
    @Test
    void aNameOfNoHostIsRefused() throws IOException {
        String asked = "POST /account/passkey/ask HTTP/1.1\r\nHost: %s\r\nContent-Length: 0\r\n\r\n";
        for (String name : List.of("", "1.2.3.4.5", "0x7f.1")) {
            assertThat(sent(asked.formatted(name), new byte[0], 0)).as(name).contains(" 400");
        }
        for (String name : List.of("localhost", "[::1]", "127.0.0.1", "clay.example")) {
            assertThat(sent(asked.formatted(name), new byte[0], 0)).as(name).contains(" 200");
        }
    }

    /** Each field of each form that a guest meets, filled with what is awkward, one after the other. */
    @Test
    void noFieldMindsSixtyThousandAwkwardCharacters() {
        String basket = keep(
                "private-lesson",
                "60",
                2,
                opening("private-lesson", "60", 2, 5).time().start());
        Map<String, List<String>> forms = new LinkedHashMap<>();
        forms.put(
                basket + "/checkout",
                List.of(
                        "name", "email", "phone", "company", "address", "notes", "seal", "proof", "way", "shown",
                        "website", "agree"));
        forms.put(basket + "/code", List.of("code"));
        forms.put(
                "/offers/wheel-hire/keep",
                List.of(
                        "start",
                        "price",
                        "replaces",
                        "seal",
                        "proof",
                        "party",
                        "length",
                        "units",
                        "add",
                        "staff",
                        "place",
                        "day",
                        "from",
                        "basket"));
        forms.put("/vouchers/voucher/keep", List.of("amount", "written", "recipient", "greeting", "basket"));
        forms.put("/bookings/none/details", List.of("name", "email", "phone"));
        forms.put("/desk/sign-in", List.of("email", "password"));
        forms.put("/desk/welcome", List.of("houseName", "zone", "currency", "name", "email", "password", "word"));
        List<String> faults = new ArrayList<>();
        for (String awkward : List.of(" ", "a@", "1", "\u00e4", "\n", "a.", "%00", "\ud83c\udffa", "-1")) {
            String most = awkward.repeat(60_000 / awkward.length());
            String fitting = awkward.repeat(9_000 / awkward.length());
            forms.forEach((path, fields) -> fields.forEach(field -> {
                for (String text : List.of(most, fitting)) {
                    String fault = fault(path, field, text);
                    if (!fault.isEmpty()) {
                        faults.add(path + " " + field + " of many " + awkward + ": " + fault);
                    }
                }
            }));
        }
        assertThat(faults).isEmpty();
    }

    /** What is wrong with an answer; asked again where it was slow, since the machine may have stood still. */
    private String fault(String path, String field, String text) {
        for (int i = 0; i < TRIES; i++) {
            long begun = System.nanoTime();
            int status = post(path, Map.of(field, text), FROM, somebody()).statusCode();
            if (status >= 500) {
                return Integer.toString(status);
            }
            if (System.nanoTime() - begun < SECOND) {
                return "";
            }
        }
        return "slow";
    }
}
