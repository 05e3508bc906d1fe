package gastfreund.app.journeys;

import gastfreund.app.RunningApplication;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpRequest;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * What the application holds after more and more requests for guests' pages in ten languages: after each tenth of them
 * everything that nobody needs is collected, and what is left is told beside what the system counts.
 */
public final class MemoryRun {

    private static final List<String> LANGUAGES = List.of("en", "de", "fr", "it", "es", "nl", "da", "pl", "ja", "ar");
    private static final int VISITORS = 2;
    private static final int PARTS = 10;
    private static final Pattern USED = Pattern.compile("total \\d+K, used (\\d+)K");

    private MemoryRun() {}

    /** @param arguments how many requests */
    public static void main(String[] arguments) throws Exception {
        int requests = Integer.parseInt(arguments[0]);
        try (RunningApplication application = new RunningApplication(List.of("-Xmx400m", "-XX:+UseSerialGC"))) {
            ExecutorService visitors = Executors.newFixedThreadPool(VISITORS);
            for (int part = 1; part <= PARTS; part++) {
                List<Future<?>> going = new ArrayList<>();
                for (int v = 0; v < VISITORS; v++) {
                    Random random = new Random(part * 31L + v);
                    going.add(visitors.submit(() -> {
                        for (int i = 0; i < requests / PARTS / VISITORS; i++) {
                            ask(application, random);
                        }
                        return null;
                    }));
                }
                for (Future<?> one : going) {
                    one.get();
                }
                System.out.printf(
                        Locale.ROOT,
                        "%7d requests: %6.1f MB held, %6.1f MB resident%n",
                        requests / PARTS * part,
                        held(application.pid()) / 1024.0,
                        resident(application.pid()) / 1024.0);
            }
        }
        System.exit(0);
    }

    private static void ask(RunningApplication application, Random random) throws IOException {
        String language = LANGUAGES.get(random.nextInt(LANGUAGES.size()));
        String day = application.today().plusDays(random.nextInt(60)).toString();
        String path =
                switch (random.nextInt(5)) {
                    case 0 -> "/";
                    case 1 -> "/agenda?day=" + day;
                    case 2 -> "/embed/offers/clay-table?day=" + day;
                    case 3 -> "/offers/wheel-hire?day=" + day + "&party=" + (1 + random.nextInt(3));
                    default -> "/offers/private-lesson?day=" + day;
                };
        var answer = application.send(HttpRequest.newBuilder(URI.create(application.address(path)))
                .header("Accept", "text/html")
                .header("Accept-Language", language + "-" + (char) ('A' + random.nextInt(26)) + "X," + language));
        if (answer.statusCode() != 200) {
            throw new IllegalStateException(path + ": " + answer.statusCode());
        }
    }

    /** In kilobytes, after a full collection. */
    private static long held(long pid) throws IOException, InterruptedException {
        told(pid, "GC.run");
        Matcher used = USED.matcher(told(pid, "GC.heap_info"));
        long sum = 0;
        while (used.find()) {
            sum += Long.parseLong(used.group(1));
        }
        return sum;
    }

    private static String told(long pid, String command) throws IOException, InterruptedException {
        Process process = new ProcessBuilder(
                        Path.of(System.getProperty("java.home"), "bin", "jcmd").toString(), Long.toString(pid), command)
                .redirectErrorStream(true)
                .start();
        String said = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        process.waitFor();
        return said;
    }

    private static long resident(long pid) throws IOException {
        return Files.readAllLines(Path.of("/proc", Long.toString(pid), "status")).stream()
                .filter(l -> l.startsWith("VmRSS:"))
                .mapToLong(l -> Long.parseLong(l.replaceAll("\\D", "")))
                .findFirst()
                .orElse(0);
    }
}
