package gastfreund.app.warming;

import gastfreund.app.pages.Address;
import gastfreund.app.setup.Outside;
import gastfreund.app.strangers.OwnHost;
import gastfreund.app.strangers.OwnLook;
import java.io.IOException;
import java.net.InetAddress;
import java.net.URI;
import java.time.Duration;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import org.apache.hc.client5.http.classic.methods.HttpGet;
import org.apache.hc.client5.http.config.RequestConfig;
import org.apache.hc.client5.http.impl.classic.CloseableHttpClient;
import org.apache.hc.client5.http.impl.classic.HttpClients;
import org.apache.hc.core5.http.HttpHeaders;
import org.apache.hc.core5.http.HttpHost;
import org.apache.hc.core5.http.HttpStatus;
import org.apache.hc.core5.http.io.entity.EntityUtils;
import org.apache.hc.core5.util.Timeout;
import org.jsoup.Jsoup;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.boot.web.server.autoconfigure.ServerProperties;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.context.event.EventListener;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Component;
import org.springframework.web.client.RestClient;
import org.springframework.web.client.RestClientException;
import tools.jackson.databind.JsonNode;

/**
 * After a start the house looks at its own pages as a guest would: at the first one, at those to which it leads, at some to which
 * those lead, and at the door of the desk; some rounds of it, one page at a time, each with what an order brings along
 * ({@link FirstOrder}). What guests need is then loaded, read and compiled before many of them come. Nobody is counted for it
 * ({@link OwnLook}).
 */
@Component
public class Warming {

    private static final Logger LOG = LoggerFactory.getLogger(Warming.class);

    private static final int MOST_FROM_THE_FIRST = 8;
    private static final int MOST_FROM_EACH = 2;

    private static final Timeout PATIENCE = Timeout.ofSeconds(20);

    private final WarmingSettings settings;
    private final Address address;
    private final FirstOrder first;
    private final ConfigurableApplicationContext context;
    private final @Nullable InetAddress listens;

    Warming(
            WarmingSettings settings,
            Address address,
            FirstOrder first,
            ConfigurableApplicationContext context,
            ServerProperties server) {
        this.settings = settings;
        this.address = address;
        this.first = first;
        this.context = context;
        this.listens = server.getAddress();
    }

    @EventListener(ApplicationReadyEvent.class)
    void ready() {
        if (settings.rounds() > 0) {
            Thread looking = new Thread(this::warm, "warming");
            looking.setDaemon(true);
            looking.start();
        }
    }

    private void warm() {
        long begun = System.nanoTime();
        try (Looks looks = new Looks(target(), host())) {
            List<String> pages = pages(looks);
            askAsOthersAreAsked();
            first.askGateways();
            first.rehearse().ifPresent(page -> pages.add(address.path() + page));
            for (int round = 1; round < settings.rounds(); round++) {
                for (String page : pages) {
                    looks.at(page);
                }
                first.rehearse();
            }
            LOG.info(
                    "{} pages are warm after {} ms",
                    pages.size(),
                    Duration.ofNanos(System.nanoTime() - begun).toMillis());
        } catch (IOException | RestClientException e) {
            // It is being stopped, or has too much to do: then guests' own looks make it warm.
            LOG.info("the pages were not made warm: {}", e.toString());
        } catch (RuntimeException e) {
            if (context.isActive()) {
                LOG.error("the pages were not made warm", e);
            }
        } finally {
            if (settings.ends()) {
                System.exit(SpringApplication.exit(context));
            }
        }
    }

    /** What gateways are asked with brings certificates and threads along, for which the first guest who pays need not wait. */
    private void askAsOthersAreAsked() {
        RestClient.builder()
                .requestFactory(Outside.calls(PATIENCE.toDuration()))
                .build()
                .get()
                .uri(target().toURI() + address.path() + "/up")
                .accept(MediaType.APPLICATION_JSON)
                .retrieve()
                .toEntity(JsonNode.class);
    }

    private List<String> pages(Looks looks) throws IOException {
        String first = address.path() + "/";
        Set<String> pages = new LinkedHashSet<>(List.of(first, address.path() + "/desk/sign-in"));
        List<String> next = some(looks.at(first), MOST_FROM_THE_FIRST, pages);
        for (String page : next) {
            some(looks.at(page), MOST_FROM_EACH, pages);
        }
        return new ArrayList<>(pages);
    }

    /** Adds the first few that are not among the pages yet. */
    private static List<String> some(List<String> links, int most, Set<String> pages) {
        List<String> added = links.stream()
                .distinct()
                .filter(l -> !pages.contains(l))
                .limit(most)
                .toList();
        pages.addAll(added);
        return added;
    }

    /** Where this application itself is to be found, without any proxy. */
    private HttpHost target() {
        return listens == null || listens.isAnyLocalAddress()
                ? new HttpHost("localhost", address.port())
                : new HttpHost(listens, address.port());
    }

    /** The name under which it is known outside: it answers to no other. */
    private String host() {
        return address.set()
                .map(URI::create)
                .map(a -> a.getHost() + ":" + OwnHost.portOf(a))
                .orElse("localhost:" + address.port());
    }

    /** Looks at pages, one after the other. */
    private static final class Looks implements AutoCloseable {

        private final CloseableHttpClient client = HttpClients.custom()
                .setDefaultRequestConfig(RequestConfig.custom()
                        .setResponseTimeout(PATIENCE)
                        .setRedirectsEnabled(false)
                        .build())
                .build();
        private final HttpHost target;
        private final String host;

        Looks(HttpHost target, String host) {
            this.target = target;
            this.host = host;
        }

        /** @return the paths of this house to which a page leads; none where it is no page */
        List<String> at(String path) throws IOException {
            HttpGet look = new HttpGet(path);
            look.setHeader(HttpHeaders.HOST, host);
            look.setHeader(HttpHeaders.ACCEPT, "text/html");
            look.setHeader(OwnLook.HEADER, OwnLook.secret());
            return client.execute(target, look, answer -> {
                String page = EntityUtils.toString(answer.getEntity());
                return answer.getCode() == HttpStatus.SC_OK
                        ? Jsoup.parse(page).select("a[href^=/]").eachAttr("href").stream()
                                .map(l -> l.indexOf('#') < 0 ? l : l.substring(0, l.indexOf('#')))
                                .filter(l -> !l.startsWith("//"))
                                .toList()
                        : List.of();
            });
        }

        @Override
        public void close() throws IOException {
            client.close();
        }
    }
}
