package gastfreund.app;

import gastfreund.standins.StandinsApplication;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.net.URI;
import java.net.URL;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.Collections;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.boot.web.server.context.WebServerApplicationContext;
import org.springframework.context.ConfigurableApplicationContext;

/** The real stand-ins, in this process: reached over their real protocols, and as quick as they can be. */
public final class Standins {

    private static final String AUTO =
            "META-INF/spring/org.springframework.boot.autoconfigure.AutoConfiguration.imports";

    /** What the application has on its class path and the stand-ins have not. */
    private static final List<String> NOT_THEIRS = List.of(
            "security", "flyway", "jdbc", "mail", "actuate", "health", "micrometer", "transaction", "persistence");

    private static Standins running;

    private final ConfigurableApplicationContext context;
    private final HttpClient http = HttpClient.newHttpClient();

    private Standins(Duration ahead) {
        context = new SpringApplicationBuilder(StandinsApplication.class)
                .run(
                        "--spring.config.location=optional:classpath:/none/",
                        "--spring.main.banner-mode=off",
                        "--spring.main.log-startup-info=false",
                        "--spring.autoconfigure.exclude=" + notTheirs(),
                        "--server.port=0",
                        "--server.address=127.0.0.1",
                        "--standins.smtp-port=0",
                        "--standins.ahead=" + ahead);
    }

    /** Starts them once; they end with this process. */
    public static synchronized Standins running() {
        if (running == null) {
            running = new Standins(MovableClock.AHEAD);
        }
        return running;
    }

    /** Starts others, with books of their own, whose clock is as far ahead of the machine's; they too end with this process. */
    public static Standins others(Duration ahead) {
        return new Standins(ahead);
    }

    private static String notTheirs() {
        try {
            return Collections.list(Standins.class.getClassLoader().getResources(AUTO)).stream()
                    .flatMap(Standins::lines)
                    .filter(name -> NOT_THEIRS.stream().anyMatch(part -> name.contains("." + part + ".")))
                    .collect(Collectors.joining(","));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static Stream<String> lines(URL imports) {
        try (InputStream in = imports.openStream()) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8).lines();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    public String address() {
        return "http://localhost:"
                + ((WebServerApplicationContext) context).getWebServer().getPort();
    }

    /** Where mailboxes are read. */
    public int imapPort() {
        return context.getBean(gastfreund.standins.mail.MailServer.class).imapPort();
    }

    public int smtpPort() {
        return context.getBean(gastfreund.standins.mail.MailServer.class).port();
    }

    /** How many mails somebody has. */
    public long mailTo(String recipient) {
        return page("/mail").split(">" + recipient + "<", -1).length - 1L;
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
