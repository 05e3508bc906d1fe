package gastfreund.app;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** The real stand-ins, as the program that ships, in a process of their own. */
public final class Standins {

    private static final Pattern READY = Pattern.compile("stand-ins ready: http (\\d+), smtp (\\d+)");
    private static Standins running;

    private final int httpPort;
    private final int smtpPort;
    private final HttpClient http = HttpClient.newHttpClient();

    private Standins(int httpPort, int smtpPort) {
        this.httpPort = httpPort;
        this.smtpPort = smtpPort;
    }

    /** Starts them once; they end with this process. */
    public static synchronized Standins running() {
        if (running == null) {
            running = start(MovableClock.AHEAD);
        }
        return running;
    }

    /** Starts others, with books of their own; they too end with this process. */
    public static Standins others() {
        return start(MovableClock.AHEAD);
    }

    /** Starts others whose clock is as far ahead of the machine's. */
    public static Standins others(Duration ahead) {
        return start(ahead);
    }

    private static Standins start(Duration ahead) {
        Path jar = Path.of("../standins/target/standins-0.1.0-exec.jar");
        if (!Files.exists(jar)) {
            jar = Path.of("standins/target/standins-0.1.0-exec.jar");
        }
        try {
            ProcessBuilder builder = new ProcessBuilder(
                    Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                    "-Xmx256m",
                    "-jar",
                    jar.toString(),
                    "--standins.ahead=" + ahead);
            builder.environment().put("STANDINS_PORT", "0");
            builder.environment().put("STANDINS_SMTP_PORT", "0");
            Process process = builder.redirectErrorStream(true).start();
            Runtime.getRuntime().addShutdownHook(new Thread(process::destroy));
            BufferedReader out =
                    new BufferedReader(new InputStreamReader(process.getInputStream(), StandardCharsets.UTF_8));
            StringBuilder said = new StringBuilder();
            for (String line = out.readLine(); line != null; line = out.readLine()) {
                said.append(line).append('\n');
                Matcher ready = READY.matcher(line);
                if (ready.find()) {
                    Thread drain = new Thread(() -> out.lines().forEach(rest -> {}));
                    drain.setDaemon(true);
                    drain.start();
                    return new Standins(Integer.parseInt(ready.group(1)), Integer.parseInt(ready.group(2)));
                }
            }
            throw new IllegalStateException("the stand-ins did not start:\n" + said);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    public String address() {
        return "http://localhost:" + httpPort;
    }

    public int smtpPort() {
        return smtpPort;
    }

    /** A page of the stand-ins. */
    public String page(String path) {
        try {
            HttpRequest request =
                    HttpRequest.newBuilder(URI.create(address() + path)).build();
            return http.send(request, HttpResponse.BodyHandlers.ofString()).body();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }
}
