package gastfreund.app.hosts;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.DemoHouseTest;
import gastfreund.app.HostBrowser;
import gastfreund.app.OwnHouse;
import gastfreund.app.catalogue.CatalogueEdits;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeSet;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.http.HttpMethod;
import org.springframework.test.annotation.DirtiesContext;
import org.springframework.test.context.ContextConfiguration;
import org.springframework.transaction.support.TransactionTemplate;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;

/** What hosts of each role see and may do: every handler of the desk, found from the application itself. */
@DirtiesContext
@ContextConfiguration(initializers = RolesTest.House.class)
class RolesTest extends DemoHouseTest {

    static final class House extends OwnHouse {

        @Override
        protected Map<String, Object> settings() {
            return Map.of("gastfreund.limits.sign-ins", 10_000);
        }
    }

    private static final String PASSWORD = "plenty of slip";

    /** A handler of the desk at one of its addresses. */
    private record Door(HttpMethod method, String path, Right right) {}

    @Autowired
    private HostService hosts;

    @Autowired
    @Qualifier("requestMappingHandlerMapping")
    private RequestMappingHandlerMapping mappings;

    @Autowired
    private TransactionTemplate transaction;

    @Autowired
    private CatalogueEdits edits;

    @BeforeEach
    void add() {
        for (Role role : Role.values()) {
            hosts.add(email(role), role.code(), PASSWORD, role, Locale.ENGLISH);
        }
    }

    @AfterEach
    void remove() {
        sql("DELETE FROM hosts WHERE email LIKE '%@roles.example'");
    }

    private void sql(String statement, Object... parameters) {
        transaction.executeWithoutResult(
                s -> jdbc.sql(statement).params(parameters).update());
    }

    private long lastKept() {
        return jdbc.sql("SELECT max(keeping) FROM changes").query(Long.class).single();
    }

    private static String email(Role role) {
        return role.code() + "@roles.example";
    }

    private HostBrowser signedIn(Role role) {
        HostBrowser browser = new HostBrowser(address(""), somebody());
        assertThat(path(browser.signIn(email(role), PASSWORD)))
                .startsWith("/desk")
                .doesNotContain("wrong");
        return browser;
    }

    private String order() {
        return "/desk/orders/"
                + jdbc.sql(
                                """
                        SELECT o.number FROM orders o JOIN order_lines l ON l.order_id = o.id
                        JOIN bookings b ON b.id = l.booking
                        WHERE b.status = 'confirmed' AND l.paid > 0 ORDER BY b.start_at DESC LIMIT 1
                        """)
                        .query(String.class)
                        .single();
    }

    private String booking(String order) {
        return jdbc.sql(
                        "SELECT l.booking FROM order_lines l JOIN orders o ON o.id = l.order_id WHERE o.number = ? LIMIT 1")
                .param(order.substring(order.lastIndexOf('/') + 1))
                .query(String.class)
                .single();
    }

    /** Every handler of the desk, with names of things that are not there. */
    private List<Door> doors() {
        List<Door> doors = new ArrayList<>();
        mappings.getHandlerMethods().forEach((info, handler) -> {
            for (String pattern : new TreeSet<>(info.getPatternValues())) {
                if (pattern.startsWith("/desk")) {
                    String path = pattern.replaceAll("\\{(?:number|document)}", "999999")
                            .replaceAll("\\{[^}]+}", "none");
                    for (RequestMethod method : info.getMethodsCondition().getMethods()) {
                        doors.add(new Door(HttpMethod.valueOf(method.name()), path, right(handler)));
                    }
                }
            }
        });
        assertThat(doors).hasSizeGreaterThan(25);
        return doors;
    }

    private static Right right(HandlerMethod handler) {
        Needs needs = handler.getMethodAnnotation(Needs.class);
        return needs == null ? null : needs.value();
    }

    private static HttpResponse<String> knock(HostBrowser browser, Door door) {
        return door.method() == HttpMethod.GET ? browser.get(door.path()) : browser.post(door.path(), Map.of());
    }

    @ParameterizedTest
    @EnumSource(Role.class)
    void everyDoorOpensForTheRightThatItNamesAndForNoOther(Role role) {
        HostBrowser browser = signedIn(role);
        for (Door door : doors()) {
            if (door.right() != null && !door.path().endsWith("/end-others")) {
                HttpResponse<String> answer = knock(browser, door);
                assertThat(answer.statusCode() == 403)
                        .as("%s as %s", door, role)
                        .isEqualTo(!role.may(door.right()));
                assertThat(answer.statusCode()).as("%s as %s", door, role).isLessThan(500);
            }
        }
    }

    @Test
    void whoIsSignedOutFindsEveryDoorShut() {
        HostBrowser stranger = new HostBrowser(address(""), somebody());
        stranger.get("/desk/sign-in");
        for (Door door : doors()) {
            if (door.right() != null) {
                assertThat(path(knock(stranger, door))).as(door.toString()).isEqualTo("/desk/sign-in");
                stranger.get("/desk/sign-in");
            }
        }
    }

    /** A session that was open when its host was removed is one no longer. */
    @Test
    void whoWasRemovedIsOutAtOnce() {
        for (Door door : doors()) {
            if (door.right() == Right.SEE || door.right() == Right.GIVE_MONEY) {
                HostBrowser browser = signedIn(Role.MANAGER);
                sql("DELETE FROM hosts WHERE email = ?", email(Role.MANAGER));
                assertThat(path(knock(browser, door))).as(door.toString()).isEqualTo("/desk/sign-in?ended");
                hosts.add(email(Role.MANAGER), "manager", PASSWORD, Role.MANAGER, Locale.ENGLISH);
            }
        }
    }

    @Test
    void whoMayDoLessByNowDoesLessAtOnce() {
        HostBrowser browser = signedIn(Role.OWNER);
        assertThat(browser.get("/desk/ways").statusCode()).isEqualTo(200);
        sql("UPDATE hosts SET role = 'staff' WHERE email = ?", email(Role.OWNER));
        for (Door door : doors()) {
            if (door.right() != null && !Role.STAFF.may(door.right())) {
                assertThat(knock(browser, door).statusCode())
                        .as(door.toString())
                        .isEqualTo(403);
            }
        }
        assertThat(browser.get("/desk").body()).contains("Orders");
    }

    @Test
    void staffMoveBookingsButGiveNoMoneyBack() {
        HostBrowser staff = signedIn(Role.STAFF);
        String order = order();
        serves(booking(order));
        assertThat(staff.get(order).body())
                .contains("Move to another time")
                .doesNotContain("Give money back", "Cancel the booking");
        String refund = order + "/bookings/" + booking(order) + "/refund";
        assertThat(staff.post(refund, Map.of("amount", "1", "seen", 0)).statusCode())
                .isEqualTo(403);
        assertThat(staff.get("/desk/payments").statusCode()).isEqualTo(403);
    }

    /** Makes the host of the role staff the one who serves a booking, if anybody does. */
    private void serves(String booking) {
        sql(
                "UPDATE hosts SET person = coalesce((SELECT staff FROM booking_staff WHERE booking = ? LIMIT 1), '')"
                        + " WHERE email = ?",
                booking,
                email(Role.STAFF));
    }

    /** Their own bookings, those of what they serve, and those of what nobody in particular serves. */
    @Test
    void staffSeeTheirOwnAndNothingOfOthers() {
        HostBrowser staff = signedIn(Role.STAFF);
        sql("UPDATE hosts SET person = 'okka' WHERE email = ?", email(Role.STAFF));
        List<String[]> orders = jdbc.sql(
                        """
                        SELECT o.number || ';' || o.name || ';' || b.id || ';' || date(b.start_at, 'unixepoch') || ';' || EXISTS (
                            SELECT 1 FROM order_lines l2 JOIN bookings b2 ON b2.id = l2.booking WHERE l2.order_id = o.id
                            AND (b2.offer IN ('clay-table', 'wheel-hire', 'wheel-evenings', 'firing')
                                OR EXISTS (SELECT 1 FROM booking_staff s WHERE s.booking = b2.id AND s.staff = 'okka')))
                        FROM orders o JOIN order_lines l ON l.order_id = o.id AND l.line = 0 JOIN bookings b ON b.id = l.booking
                        WHERE b.status = 'confirmed'
                        """)
                .query((row, n) -> row.getString(1).split(";"))
                .list();
        assertThat(orders).anyMatch(o -> o[4].equals("1")).anyMatch(o -> o[4].equals("0"));
        String list = staff.get("/desk/orders").body();
        for (String[] order : orders) {
            boolean seen = order[4].equals("1");
            String page = "/desk/orders/" + order[0];
            assertThat(list.contains(page + "\"")).as(order[1]).isEqualTo(seen);
            assertThat(staff.get(page).statusCode()).as(order[1]).isEqualTo(seen ? 200 : 404);
            if (!seen) {
                String move = page + "/bookings/" + order[2] + "/move";
                assertThat(staff.get(move).statusCode()).isEqualTo(404);
                assertThat(staff.post(page + "/bookings/" + order[2] + "/paid", Map.of())
                                .statusCode())
                        .isEqualTo(404);
                assertThat(staff.get("/desk?day=" + order[3] + "&booking=" + order[2])
                                .body())
                        .doesNotContain(order[1]);
            }
        }
    }

    /** The table of docs/editing.md for one's own hours. */
    @Test
    void staffChangeTheirOwnHoursWhereTheHouseLetsThem() {
        HostBrowser staff = signedIn(Role.STAFF);
        sql("UPDATE hosts SET person = 'okka' WHERE email = ?", email(Role.STAFF));
        assertThat(staff.get("/desk/hours/staff/okka").statusCode()).isEqualTo(404);
        edits.change("house", "1", house -> house.withObject("/extra").put("ownHours", true));
        assertThat(staff.get("/desk/hours/staff/okka").body()).contains("Hours of Okka");
        assertThat(staff.get("/desk/hours/staff/mira").statusCode()).isEqualTo(404);
        assertThat(staff.get("/desk/hours/house/house").statusCode()).isEqualTo(404);
        assertThat(path(staff.post("/desk/hours/staff/okka/keep", Map.of("mon", "9-10"))))
                .endsWith("?said=kept");
        long own = lastKept();
        assertThat(staff.get("/desk/hours/staff/okka").body()).contains("action=\"/desk/hours/undo\"");
        edits.change("staff", "mira", mira -> mira.put("maxPerDay", 5));
        HostBrowser owner = signedIn(Role.OWNER);
        owner.post("/desk/hours/staff/jonte/keep", Map.of("mon", "9-10"));
        owner.post("/desk/hours/staff/okka/keep", Map.of("tue", "9-10"));
        for (long others : new long[] {lastKept(), lastKept() - 1, 0}) {
            assertThat(staff.post("/desk/hours/undo", Map.of("keeping", others)).statusCode())
                    .isEqualTo(404);
        }
        assertThat(path(staff.post("/desk/hours/undo", Map.of("keeping", own)))).endsWith("?said=undone");
        assertThat(staff.get("/desk/hours/staff/okka").body()).doesNotContain("value=\"9–10\" name=\"mon\"");
        assertThat(staff.post("/desk/hours/staff/mira/keep", Map.of("mon", "9-10"))
                        .statusCode())
                .isEqualTo(404);
        edits.change("house", "1", house -> house.withObject("/extra").remove("ownHours"));
    }

    /** There is always an owner. */
    @Test
    void theLastOwnerStays() {
        HostBrowser owner = signedIn(Role.OWNER);
        long self = jdbc.sql("SELECT id FROM hosts WHERE email = ?")
                .param(email(Role.OWNER))
                .query(Long.class)
                .single();
        sql("UPDATE hosts SET role = 'manager' WHERE id <> ? AND role = 'owner'", self);
        assertThat(path(owner.post("/desk/hosts/" + self + "/role", Map.of("role", "staff"))))
                .endsWith("last-owner");
        assertThat(path(owner.post("/desk/hosts/" + self + "/remove", Map.of())))
                .endsWith("last-owner");
        assertThat(owner.get("/desk/hosts").statusCode()).isEqualTo(200);
        sql("UPDATE hosts SET role = 'owner' WHERE email = 'okka@quillmere.example'");
    }

    /** Moving to a cheaper time gives money back: staff move at the price there was. */
    @Test
    void staffMoveToACheaperTimeAtThePriceThereWas() {
        String[] row = jdbc.sql(
                        """
                        SELECT o.number || ' ' || b.id || ' ' || b.start_at || ' ' || l.total FROM orders o
                        JOIN order_lines l ON l.order_id = o.id JOIN bookings b ON b.id = l.booking
                        WHERE b.status = 'confirmed' AND b.offer = 'wheel-hire' AND l.paid = l.total AND b.start_at > ?
                        ORDER BY l.total DESC LIMIT 1
                        """)
                .param(clock.instant().getEpochSecond())
                .query(String.class)
                .single()
                .split(" ");
        // The booking cost more than anything costs now.
        sql(
                "UPDATE order_lines SET total = total + 5000, amount = amount + 5000, paid = paid + 5000 WHERE booking = ?",
                row[1]);
        sql("UPDATE payment_parts SET amount = amount + 5000 WHERE subject = ?", row[1]);
        sql("UPDATE payments SET amount = amount + 5000, captured = captured + 5000 WHERE booking = ?", row[1]);
        HostBrowser staff = signedIn(Role.STAFF);
        String move = "/desk/orders/" + row[0] + "/bookings/" + row[1] + "/move";
        long start = opening("wheel-hire", "60", 1, 12).time().start();
        String page = staff.get(move + "/to?start=" + start).body();
        assertThat(page).contains("you may move bookings, but not give money back");
        String shown = page.replaceAll("(?s).*name=\"total\" value=\"(\\d+)\".*", "$1");
        assertThat(path(staff.post(move, Map.of("start", start, "total", shown, "keepPrice", false))))
                .endsWith("?said=moved");
        assertThat(jdbc.sql("SELECT l.total - ? FROM order_lines l WHERE l.booking = ? AND l.paid = l.total")
                        .params(row[3], row[1])
                        .query(Long.class)
                        .single())
                .isEqualTo(5000);
    }

    /** The desk sees a guest's page as the desk: the guest's own link stands nowhere. */
    @Test
    void noPageOfTheDeskHoldsAGuestsLink() {
        HostBrowser owner = signedIn(Role.OWNER);
        String order = order();
        String token = jdbc.sql("SELECT token FROM orders WHERE number = ?")
                .param(order.substring(order.lastIndexOf('/') + 1))
                .query(String.class)
                .single();
        String guest = get("/bookings/" + token).body();
        assertThat(guest).contains(token).contains("Cancel this booking");
        for (String page : List.of(
                order,
                order + "/page",
                "/desk/orders",
                "/desk/payments",
                "/desk?booking=" + booking(order),
                order + "/bookings/" + booking(order) + "/move")) {
            HttpResponse<String> answer = owner.get(page);
            assertThat(answer.statusCode()).as(page).isEqualTo(200);
            assertThat(answer.body()).as(page).doesNotContain(token);
        }
        assertThat(owner.get(order + "/page").body())
                .contains("This is what the guest sees")
                .doesNotContain("Cancel this booking", "<form");
    }
}
