package gastfreund.app.hosts;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.DemoHouseTest;
import java.net.URI;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What strangers and other websites cannot do. */
class SecurityTest extends DemoHouseTest {

    @ParameterizedTest
    @ValueSource(strings = {"/desk", "/desk/orders", "/desk/orders/1001"})
    void theDeskAsksForASignIn(String path) {
        HttpResponse<String> answer = get(path);
        assertThat(answer.statusCode()).isEqualTo(302);
        assertThat(path(answer)).isEqualTo("/desk/sign-in");
    }

    @ParameterizedTest
    @ValueSource(strings = {"/", "/offers/clay-table", "/desk/sign-in", "/nothing-here"})
    void everyPageHasAStrictPolicyAndItsOwnNonce(String path) {
        HttpResponse<String> one = get(path);
        String policy = one.headers().firstValue("Content-Security-Policy").orElseThrow();
        assertThat(policy)
                .contains("default-src 'none'", "frame-ancestors 'none'", "base-uri 'none'")
                .doesNotContain("unsafe");
        Matcher nonce = Pattern.compile("script-src 'nonce-([^']+)'").matcher(policy);
        assertThat(nonce.find()).isTrue();
        assertThat(one.body()).contains("nonce=\"" + nonce.group(1) + "\"").doesNotContain(" style=\"", " onclick=");
        assertThat(get(path).headers().firstValue("Content-Security-Policy"))
                .isNotEqualTo(one.headers().firstValue("Content-Security-Policy"));
    }

    @Test
    void anotherWebsiteCannotPressGuestsButtons() {
        Map<String, Object> form = Map.of("start", 0);
        String keep = "/offers/clay-table/keep?party=1&length=120";
        assertThat(post(keep, form, "Sec-Fetch-Site", "cross-site").statusCode())
                .isEqualTo(403);
        assertThat(post(keep, form, "Sec-Fetch-Site", "same-site").statusCode()).isEqualTo(403);
        assertThat(post(keep, form, "Origin", "https://elsewhere.example").statusCode())
                .isEqualTo(403);
        assertThat(post(keep, form, "Sec-Fetch-Site", "same-origin").statusCode())
                .isEqualTo(302);
    }

    @Test
    void theDeskTakesNoFormWithoutItsToken() {
        HttpResponse<String> answer =
                post("/desk/sign-in", Map.of("email", "okka@quillmere.example", "password", "clay and water"));
        assertThat(answer.statusCode()).isEqualTo(403);
    }

    @Test
    void tooManySignInsFromOneAddressAreHeldUp() {
        for (int i = 0; i < 10; i++) {
            assertThat(signIn("203.0.113.9").statusCode()).isNotEqualTo(429);
        }
        HttpResponse<String> tooMany = signIn("203.0.113.9");
        assertThat(tooMany.statusCode()).isEqualTo(429);
        assertThat(tooMany.headers().firstValue("Retry-After")).contains("60");
        assertThat(signIn("203.0.113.10").statusCode()).isNotEqualTo(429);
    }

    @Test
    void aPathSpeltInAnotherWayCountsToo() {
        for (int i = 0; i < 10; i++) {
            signIn(i % 2 == 0 ? "/desk/sign%2Din" : "/desk/%73ign-in", "203.0.113.11");
        }
        assertThat(signIn("203.0.113.11").statusCode()).isEqualTo(429);
    }

    @Test
    void codesCannotBeTriedWithoutEnd() {
        for (int i = 0; i < 30; i++) {
            assertThat(code("203.0.113.12").statusCode()).isEqualTo(404);
        }
        assertThat(code("203.0.113.12").statusCode()).isEqualTo(429);
        assertThat(code("203.0.113.13").statusCode()).isEqualTo(404);
    }

    @Test
    void codesCannotBeTriedInABasketEither() {
        String basket = keep(
                "wheel-hire", "60", 1, opening("wheel-hire", "60", 1, 9).time().start());
        for (int i = 0; i < 30; i++) {
            assertThat(post(basket + "/code", Map.of("code", "GUESS" + i), FROM, "203.0.113.14")
                            .statusCode())
                    .isEqualTo(302);
        }
        assertThat(post(basket + "/code", Map.of("code", "GUESS"), FROM, "203.0.113.14")
                        .statusCode())
                .isEqualTo(429);
        assertThat(post(basket + "/%63ode", Map.of("code", "GUESS"), FROM, "203.0.113.14")
                        .statusCode())
                .isEqualTo(429);
    }

    @Test
    void pagesWithATokenAreNotForSearchEnginesAndPagesAreSharedWithoutOne() {
        String basket = keep(
                "wheel-hire", "60", 1, opening("wheel-hire", "60", 1, 10).time().start());
        for (String page : List.of(
                basket,
                basket + "/checkout",
                "/bookings/none",
                "/codes/none",
                "/desk/sign-in",
                "/offers/clay-table?basket=x")) {
            assertThat(get(page).headers().firstValue("X-Robots-Tag")).as(page).contains("noindex, nofollow");
        }
        assertThat(get("/offers/clay-table").headers().firstValue("X-Robots-Tag"))
                .isEmpty();
        String offer =
                get("/offers/clay-table?party=2&basket=" + basket.substring(8)).body();
        assertThat(offer)
                .contains("<link rel=\"canonical\" href=\"" + address("/offers/clay-table") + "\">")
                .contains("<meta name=\"robots\" content=\"noindex\">");
    }

    private HttpResponse<String> code(String from) {
        URI guess = URI.create(address("/codes/AAAA-BBBB-CCCC"));
        return send(HttpRequest.newBuilder(guess).header("X-Forwarded-For", from));
    }

    private HttpResponse<String> signIn(String from) {
        return signIn("/desk/sign-in", from);
    }

    private HttpResponse<String> signIn(String path, String from) {
        return post(path, Map.of("email", "x", "password", "y"), "X-Forwarded-For", from);
    }

    @ParameterizedTest
    @ValueSource(strings = {"/pictures/..%2fhouse.sqlite", "/pictures/house.sqlite", "/pictures/%2e%2e/house.sqlite"})
    void picturesAreAllThatTheFolderGives(String path) {
        assertThat(get(path).statusCode()).isIn(400, 404);
    }

    @Test
    void aPictureOpenedByItselfRunsNothing() {
        HttpResponse<String> picture = get("/pictures/lesson.svg");
        assertThat(picture.statusCode()).isEqualTo(200);
        assertThat(picture.headers().firstValue("Content-Security-Policy").orElseThrow())
                .contains("sandbox");
    }

    @Test
    void guestsPagesSetNoCookie() {
        assertThat(get("/").headers().firstValue("Set-Cookie")).isEmpty();
        assertThat(get("/offers/clay-table").headers().firstValue("Set-Cookie")).isEmpty();
    }

    @Test
    void passwordsAreKeptHashed() {
        String kept = jdbc.sql("SELECT password FROM hosts")
                .query(String.class)
                .list()
                .get(0);
        assertThat(kept).startsWith("{bcrypt-sha256}").doesNotContain("clay");
    }

    @Test
    void theFirstPageIsGoneOnceSomebodyCanSignIn() {
        HttpResponse<String> answer = send(HttpRequest.newBuilder(URI.create(address("/desk/welcome"))));
        assertThat(path(answer)).isEqualTo("/desk");
    }
}
