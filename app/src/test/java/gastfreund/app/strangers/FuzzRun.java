package gastfreund.app.strangers;

import java.io.IOException;
import java.net.Socket;
import java.net.SocketException;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Asks the application for everything that it maps, in every wrong way: fields that are missing, doubled, of the wrong type,
 * too long or not UTF-8, odd dates, odd names, odd methods. Nothing may end as a fault of the application, take longer than
 * a second, or be refused and change something all the same.
 */
final class FuzzRun implements AutoCloseable {

    /** An address of the application as it is mapped, with its method. */
    record Door(String method, String pattern, List<String> fields) {}

    private static final Pattern VARIABLE = Pattern.compile("\\{([a-z]+)[^}]*}");
    private static final long SECOND = 1_000_000_000L;
    private static final int TRIES = 3;

    private static final List<String> ODD = List.of(
            "",
            "%20",
            "0",
            "-1",
            "1",
            "99999999999999999999",
            "9223372036854775807",
            "-9223372036854775808",
            "2147483648",
            "1e9",
            "NaN",
            "null",
            "true",
            "%FF%FE",
            "%C3%28",
            "%00",
            "%0D%0AX:%201",
            "..%2F..%2Fetc",
            "%3Cscript%3E",
            "2027-13-45",
            "0000-00-00",
            "99999-01-01",
            "-2027-01-01",
            "2027-02-29",
            "T",
            "a".repeat(300),
            "x".repeat(12_000),
            "%F0%9F%8F%BA",
            "{}",
            "[]",
            "${7*7}",
            "__proto__",
            "a:b",
            "glazing:999999",
            "glazing:",
            ":",
            "wheel-hire",
            "60",
            "jonte",
            "yard",
            "panel",
            "27000000",
            "30270000");
    private static final List<String> ODD_NAMES = List.of(
            "add[x]",
            "add[0]",
            "add[99999]",
            "party[0]",
            "party.x",
            "class.classLoader",
            "_party",
            "!party",
            "contact.name",
            "start.x",
            "f.zone",
            "links.basket",
            "order.id",
            "",
            "[]",
            "a[b][c]",
            "%FF");
    private static final List<String> AWKWARD =
            List.of("+", "a@", "1", "%C3%A4", "%0A", "a.", "%F0%9F%8F%BA", "-1", "%00", "+1", "a-");
    private static final List<String> METHODS =
            List.of("PUT", "DELETE", "PATCH", "OPTIONS", "HEAD", "TRACE", "FOO", "get");

    private final int port;
    private final Random random;
    private final List<Door> doors;
    private final Map<String, List<String>> known;
    private final Connection file;
    private final String session;
    private final String token;
    private final List<String> faults = new ArrayList<>();
    private final Map<Integer, Integer> statuses = new TreeMap<>();

    /**
     * @param known values that are there, by the names of variables and fields
     * @param session a host's cookie, so that the desk's doors open
     * @param token the token of the host's forms
     */
    FuzzRun(
            int port,
            long seed,
            List<Door> doors,
            Map<String, List<String>> known,
            String database,
            String session,
            String token)
            throws SQLException {
        this.port = port;
        this.random = new Random(seed);
        this.doors = doors;
        this.known = known;
        this.file = DriverManager.getConnection("jdbc:sqlite:" + database);
        this.session = session;
        this.token = token;
    }

    @Override
    public void close() throws SQLException {
        file.close();
    }

    List<String> faults() {
        return faults;
    }

    Map<Integer, Integer> statuses() {
        return statuses;
    }

    void run(int requests) throws IOException, SQLException {
        for (int i = 0; i < requests && faults.size() < 20; i++) {
            request();
        }
    }

    /** Each field of each address filled with far more than anybody writes, and with as much as is read. */
    void lengths() throws IOException, SQLException {
        int turn = 0;
        for (Door door : doors) {
            for (String field : door.fields()) {
                String awkward = AWKWARD.get(turn++ % AWKWARD.size());
                for (int length : List.of(60_000, 9_000)) {
                    String body = field + "=" + awkward.repeat(length / awkward.length()) + "&_csrf=" + token;
                    judge(
                            "POST " + path(door) + " HTTP/1.1\r\nHost: localhost:" + port
                                    + "\r\nAccept: text/html\r\nCookie: "
                                    + session
                                    + "\r\nContent-Type: application/x-www-form-urlencoded\r\nContent-Length: "
                                    + body.length() + "\r\nConnection: close\r\n\r\n",
                            body);
                }
            }
        }
    }

    private String path(Door door) {
        StringBuilder path = new StringBuilder();
        Matcher variables = VARIABLE.matcher(door.pattern());
        while (variables.find()) {
            String value = value(variables.group(1))
                    .replace("{", "%7B")
                    .replace("}", "%7D")
                    .replace("[", "%5B")
                    .replace("$", "%24");
            variables.appendReplacement(
                    path, Matcher.quoteReplacement(value.length() > 400 ? value.substring(0, 400) : value));
        }
        return variables.appendTail(path).toString();
    }

    private <T> T one(List<T> list) {
        return list.get(random.nextInt(list.size()));
    }

    private boolean chance(int of) {
        return random.nextInt(of) == 0;
    }

    private String value(String name) {
        List<String> there = known.getOrDefault(name, List.of());
        return there.isEmpty() || chance(3) ? one(ODD) : one(there);
    }

    private void request() throws IOException, SQLException {
        Door door = one(doors);
        String path = path(door);
        String query = chance(2) ? fields(door) : "";
        String body = fields(door);
        String method = chance(8) ? one(METHODS) : door.method();
        boolean desk = door.pattern().startsWith("/desk");
        String type = chance(12)
                ? one(List.of("multipart/form-data; boundary=x", "application/json", "text/plain", "x"))
                : "application/x-www-form-urlencoded";
        if (type.startsWith("multipart")) {
            body = "--x\r\nContent-Disposition: form-data; name=\"start\"\r\n\r\n1";
        }
        if (desk && !chance(10)) {
            body += (body.isEmpty() ? "" : "&") + "_csrf=" + token;
        }
        String host = chance(30)
                ? one(List.of("localhost:99999", "x_y", "[::1]:80", "a b", "", "localhost:", "1.2.3.4.5"))
                : "localhost:" + port;
        String head = method + " " + path
                + (query.isEmpty()
                        ? ""
                        : "?"
                                + query.replace("{", "%7B")
                                        .replace("}", "%7D")
                                        .replace("[", "%5B")
                                        .replace("]", "%5D")
                                        .replace("$", "%24")
                                        .replace("<", "%3C"))
                + " HTTP/1.1\r\nHost: " + host + "\r\nAccept: "
                + (chance(6) ? one(List.of("image/png", "x", "*/*", "application/json")) : "text/html")
                + "\r\nAccept-Language: "
                + one(List.of("de", "en", "x", "tlh-Latn,*;q=0", "%", "zz-ZZ-" + random.nextInt(900)))
                + "\r\nX-Forwarded-For: 10." + random.nextInt(256) + "." + random.nextInt(256) + ".1\r\n"
                + (desk && !chance(8) ? "Cookie: " + session + "\r\n" : "") + "Content-Type: " + type
                + "\r\nContent-Length: "
                + body.getBytes(StandardCharsets.UTF_8).length + "\r\nConnection: close\r\n\r\n";
        judge(head, body);
    }

    private String fields(Door door) {
        List<String> fields = new ArrayList<>();
        for (String name : door.fields()) {
            int times = chance(4) ? 0 : chance(8) ? 2 : 1;
            for (int i = 0; i < times; i++) {
                fields.add(name + "=" + value(name).replace("&", "%26"));
            }
        }
        if (chance(6)) {
            fields.add(one(ODD_NAMES) + "=" + value("start"));
        }
        return String.join("&", fields);
    }

    /** Asked again where it was slow: the machine may have stood still. */
    private void judge(String head, String body) throws IOException, SQLException {
        for (int i = 0; i < TRIES; i++) {
            long before = version();
            long begun = System.nanoTime();
            int status = asked(head + body);
            boolean slow = System.nanoTime() - begun > SECOND;
            statuses.merge(status, 1, Integer::sum);
            String what = head.substring(0, Math.min(300, head.indexOf("\r\n"))) + " | "
                    + body.substring(0, Math.min(300, body.length()));
            if (status >= 500) {
                faults.add(status + " for " + what);
                return;
            }
            if (Set.of(400, 404, 405, 413, 415, 406).contains(status) && version() != before) {
                faults.add("refused with " + status + ", and changed something: " + what);
                return;
            }
            if (!slow) {
                return;
            }
            if (i == TRIES - 1) {
                faults.add("slow: " + what);
            }
        }
    }

    /** Changes whenever another connection has written something. */
    private long version() throws SQLException {
        try (Statement statement = file.createStatement();
                ResultSet row = statement.executeQuery("PRAGMA data_version")) {
            return row.getLong(1);
        }
    }

    private int asked(String request) throws IOException {
        try (Socket socket = new Socket("127.0.0.1", port)) {
            socket.setSoTimeout(30_000);
            socket.getOutputStream().write(request.getBytes(StandardCharsets.UTF_8));
            byte[] start = socket.getInputStream().readNBytes(12);
            socket.getInputStream().readAllBytes();
            String line = new String(start, StandardCharsets.US_ASCII);
            return line.startsWith("HTTP/1.1 ") ? Integer.parseInt(line.substring(9, 12)) : 400;
        } catch (SocketException e) {
            return 400;
        }
    }

    /** Addresses with a shape that no mapping has. */
    static List<Door> beside() {
        List<Door> doors = new ArrayList<>();
        for (String path : List.of(
                "/error",
                "/pictures/{name}",
                "/nothing",
                "/app/app.css",
                "/vendor/{name}",
                "/up",
                "/actuator/health",
                "/actuator",
                "/desk/{name}",
                "/offers/",
                "/basket/",
                "//",
                "/;x=1",
                "/offers/clay-table;jsessionid=1",
                "/%2e%2e/",
                "/desk%2fways",
                "/favicon.ico")) {
            doors.add(new Door("GET", path, List.of("start", "basket")));
        }
        return doors;
    }

    static Map<String, List<String>> empty() {
        return new LinkedHashMap<>();
    }

    static int port(String address) {
        return URI.create(address).getPort();
    }
}
