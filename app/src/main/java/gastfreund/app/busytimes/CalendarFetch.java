package gastfreund.app.busytimes;

import gastfreund.app.strangers.PublicHosts;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.InterruptedIOException;
import java.net.URI;
import java.net.UnknownHostException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import org.apache.hc.client5.http.ClientProtocolException;
import org.apache.hc.client5.http.classic.methods.HttpGet;
import org.apache.hc.client5.http.config.RequestConfig;
import org.apache.hc.client5.http.impl.classic.CloseableHttpClient;
import org.apache.hc.core5.http.ClassicHttpResponse;
import org.apache.hc.core5.http.Header;
import org.apache.hc.core5.http.HttpHeaders;
import org.apache.hc.core5.http.HttpStatus;
import org.apache.hc.core5.util.Timeout;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.stereotype.Component;
import org.springframework.util.function.SingletonSupplier;

/** Fetches calendars over HTTP, up to a size, and not what has not changed. */
@Component
class CalendarFetch implements DisposableBean {

    /** How large a calendar may be, in bytes. */
    static final int MOST_BYTES = 10 * 1024 * 1024;

    private static final int MOST_REDIRECTS = 5;
    private static final int PIECE = 16 * 1024;

    /** What came of it. */
    sealed interface Fetched {}

    /** A calendar, with what the server calls this version of it. */
    record Content(String text, String etag, String modified) implements Fetched {}

    /** It is as it was. */
    record Unchanged() implements Fetched {}

    /** @param error a code */
    record Failed(String error) implements Fetched {}

    /** What comes is not read to its end. */
    private static final class CutOffException extends IOException {

        private static final long serialVersionUID = 1;

        private final String error;

        CutOffException(String error) {
            super(error);
            this.error = error;
        }
    }

    /** Made when the first calendar is fetched: it brings certificates along, which a start need not wait for. */
    private final SingletonSupplier<CloseableHttpClient> http;

    private final Duration within;

    @Autowired
    CalendarFetch(BusySettings settings) {
        this(settings, new PublicHosts(settings.privateAddresses() ? a -> true : PublicHosts::isPublic));
    }

    CalendarFetch(BusySettings settings, PublicHosts hosts) {
        this.within = settings.within();
        this.http = SingletonSupplier.of(() -> hosts.client(settings.patience())
                .setDefaultRequestConfig(RequestConfig.custom()
                        .setMaxRedirects(MOST_REDIRECTS)
                        .setResponseTimeout(Timeout.of(settings.patience()))
                        .build())
                .build());
    }

    /**
     * @param etag of the version that is known; empty: none
     * @param modified when that was changed; empty: nobody knows
     */
    Fetched fetch(String address, String etag, String modified) {
        HttpGet get = new HttpGet(URI.create(address));
        get.setHeader(HttpHeaders.ACCEPT, "text/calendar, text/plain;q=0.5, */*;q=0.1");
        if (!etag.isEmpty()) {
            get.setHeader(HttpHeaders.IF_NONE_MATCH, etag);
        }
        if (!modified.isEmpty()) {
            get.setHeader(HttpHeaders.IF_MODIFIED_SINCE, modified);
        }
        try {
            return http.obtain().execute(get, response -> fetched(response, System.nanoTime() + within.toNanos(), get));
        } catch (CutOffException e) {
            return new Failed(e.error);
        } catch (PublicHosts.PrivateHostException e) {
            return new Failed("private");
        } catch (UnknownHostException e) {
            return new Failed("unknown-host");
        } catch (ClientProtocolException e) {
            return new Failed("redirects");
        } catch (InterruptedIOException e) {
            return new Failed("slow");
        } catch (IOException e) {
            return new Failed("unreachable");
        }
    }

    private static Fetched fetched(ClassicHttpResponse response, long until, HttpGet get) throws IOException {
        int status = response.getCode();
        if (status == HttpStatus.SC_NOT_MODIFIED) {
            return new Unchanged();
        }
        if (status != HttpStatus.SC_OK || response.getEntity() == null) {
            throw cutOff("status-" + status, get);
        }
        ByteArrayOutputStream read = new ByteArrayOutputStream();
        try (InputStream in = response.getEntity().getContent()) {
            byte[] piece = new byte[PIECE];
            for (int count = in.read(piece); count >= 0; count = in.read(piece)) {
                read.write(piece, 0, count);
                if (read.size() > MOST_BYTES) {
                    throw cutOff("too-large", get);
                }
                if (System.nanoTime() > until) {
                    throw cutOff("slow", get);
                }
            }
        }
        return new Content(
                read.toString(StandardCharsets.UTF_8),
                header(response, HttpHeaders.ETAG),
                header(response, HttpHeaders.LAST_MODIFIED));
    }

    /** To close an answer would be to read it to its end, which may never come. */
    private static CutOffException cutOff(String error, HttpGet get) {
        get.abort();
        return new CutOffException(error);
    }

    private static String header(ClassicHttpResponse response, String name) {
        Header header = response.getFirstHeader(name);
        return header == null ? "" : header.getValue();
    }

    @Override
    public void destroy() throws IOException {
        http.obtain().close();
    }
}
