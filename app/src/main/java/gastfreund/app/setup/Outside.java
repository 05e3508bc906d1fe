package gastfreund.app.setup;

import java.net.http.HttpClient;
import java.time.Duration;
import org.springframework.http.client.ClientHttpRequestFactory;
import org.springframework.http.client.JdkClientHttpRequestFactory;

/** Calls of services outside the house. */
public final class Outside {

    private Outside() {}

    /** @param patience how long a connection may take, and each answer on it */
    public static ClientHttpRequestFactory calls(Duration patience) {
        JdkClientHttpRequestFactory calls = new JdkClientHttpRequestFactory(
                HttpClient.newBuilder().connectTimeout(patience).build());
        calls.setReadTimeout(patience);
        return calls;
    }
}
