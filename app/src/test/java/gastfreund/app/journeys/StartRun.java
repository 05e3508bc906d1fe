package gastfreund.app.journeys;

import java.io.IOException;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.locks.LockSupport;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;

/**
 * From the command to the first page, turn by turn: ours as the launcher starts it, on a house that is there already, and a page
 * application with nothing in it, as one file and taken apart with an archive of its classes.
 */
public final class StartRun {

    private static final int STARTS = 15;
    private static final long PAUSE = 20_000_000L;
    private static final HttpClient HTTP = HttpClient.newHttpClient();

    private StartRun() {}

    /** @param arguments the jar of the empty one, the same taken apart, ours taken apart, and the folder of a house */
    public static void main(String[] arguments) throws Exception {
        long[] plain = new long[STARTS];
        long[] apart = new long[STARTS];
        long[] ours = new long[STARTS];
        for (int i = 0; i < STARTS; i++) {
            plain[i] = start(Path.of(arguments[0]), List.of());
            apart[i] = start(Path.of(arguments[1]), archived(arguments[1]));
            List<String> options = new ArrayList<>(archived(arguments[2]));
            options.addAll(List.of("-Dspring.aot.enabled=true", "-Dgastfreund.home=" + arguments[3]));
            ours[i] = start(Path.of(arguments[2]), options);
        }
        // Of starts beside each other, since the machine itself is at one time twice as quick as at another.
        double turnByTurn = median(IntStream.range(0, STARTS).mapToDouble(i -> (double) ours[i] / plain[i]));
        System.out.printf(
                Locale.ROOT,
                "ours %.2f s: %.2f times an empty one (%.2f s; turn by turn %.2f), %.2f times one that is taken apart (%.2f s);"
                        + " medians of %d%n",
                median(ours),
                median(ours) / median(plain),
                median(plain),
                turnByTurn,
                median(ours) / median(apart),
                median(apart),
                STARTS);
    }

    private static List<String> archived(String jar) {
        return List.of("-XX:SharedArchiveFile=" + Path.of(jar).resolveSibling("classes.jsa"), "-Xlog:disable");
    }

    private static double median(long[] times) {
        return median(Arrays.stream(times).mapToDouble(t -> t / 1e9));
    }

    private static double median(DoubleStream values) {
        return values.sorted().toArray()[STARTS / 2];
    }

    private static long start(Path jar, List<String> options) throws IOException, InterruptedException {
        int port = free();
        List<String> command = new ArrayList<>(List.of(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-Xmx512m",
                "-Dserver.port=" + port));
        command.addAll(options);
        command.addAll(List.of("-jar", jar.toString()));
        Path log = Files.createTempFile("gastfreund-start", ".log");
        long begun = System.nanoTime();
        Process process = new ProcessBuilder(command)
                .redirectErrorStream(true)
                .redirectOutput(log.toFile())
                .start();
        try {
            while (!answers(port)) {
                if (!process.isAlive()) {
                    throw new IllegalStateException(Files.readString(log));
                }
                // Whoever asks without a pause takes one of the processors.
                LockSupport.parkNanos(PAUSE);
            }
            return System.nanoTime() - begun;
        } finally {
            process.destroyForcibly().waitFor();
        }
    }

    private static boolean answers(int port) throws InterruptedException {
        try {
            HttpRequest request = HttpRequest.newBuilder(URI.create("http://localhost:" + port + "/"))
                    .header("Accept", "text/html")
                    .build();
            return HTTP.send(request, HttpResponse.BodyHandlers.ofString()).statusCode() == 200;
        } catch (IOException e) {
            return false;
        }
    }

    private static int free() throws IOException {
        try (ServerSocket socket = new ServerSocket(0)) {
            return socket.getLocalPort();
        }
    }
}
