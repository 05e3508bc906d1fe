package gastfreund.app.webhooks;

import gastfreund.app.strangers.PublicHosts;
import java.io.IOException;
import java.io.InterruptedIOException;
import java.net.URI;
import java.net.UnknownHostException;
import java.time.Instant;
import org.apache.hc.client5.http.classic.methods.HttpPost;
import org.apache.hc.client5.http.impl.classic.CloseableHttpClient;
import org.apache.hc.core5.http.ClassicHttpResponse;
import org.apache.hc.core5.http.ContentType;
import org.apache.hc.core5.http.HttpHost;
import org.apache.hc.core5.http.io.entity.StringEntity;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.stereotype.Component;
import org.springframework.util.function.SingletonSupplier;

/** Sends one message over HTTP. It follows nowhere else, and goes into the server's own network only where that is allowed. */
@Component
class Post implements DisposableBean {

    /** What a program answers that wants nothing any more. */
    static final String GONE = "410";

    private final SingletonSupplier<CloseableHttpClient> http;

    Post(WebhookSettings settings) {
        PublicHosts hosts = new PublicHosts(settings.privateAddresses() ? a -> true : PublicHosts::isPublic);
        this.http = SingletonSupplier.of(() ->
                hosts.client(settings.patience()).disableRedirectHandling().build());
    }

    /** What came back: a status, or a word for why none did. */
    String send(Delivery delivery, String secret, Instant now) {
        HttpPost post = new HttpPost(URI.create(delivery.address()));
        post.setHeader("webhook-id", delivery.message());
        post.setHeader("webhook-timestamp", Long.toString(now.getEpochSecond()));
        post.setHeader("webhook-signature", Signature.of(secret, delivery.message(), now, delivery.body()));
        post.setEntity(new StringEntity(delivery.body(), ContentType.APPLICATION_JSON));
        try {
            ClassicHttpResponse response =
                    http.obtain().executeOpen(HttpHost.create(URI.create(delivery.address())), post, null);
            // Only the status is looked at. To close the answer would be to read it to its end, which may never come.
            post.abort();
            return Integer.toString(response.getCode());
        } catch (PublicHosts.PrivateHostException e) {
            return "private";
        } catch (UnknownHostException e) {
            return "unknown-host";
        } catch (InterruptedIOException e) {
            return "slow";
        } catch (IOException e) {
            return "unreachable";
        }
    }

    static boolean isTaken(String answer) {
        return answer.length() == 3 && answer.startsWith("2");
    }

    @Override
    public void destroy() throws IOException {
        http.obtain().close();
    }
}
