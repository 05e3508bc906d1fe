package gastfreund.app.setup;

import java.net.http.HttpClient;
import java.time.Duration;
import org.springframework.http.client.ClientHttpRequestFactory;
import org.springframework.http.client.JdkClientHttpRequestFactory;
import org.springframework.util.function.SingletonSupplier;

/** Calls of services outside the house. */
public final class Outside {

    private Outside() {}

    /** @param patience how long a connection may take, and each answer on it */
    public static ClientHttpRequestFactory calls(Duration patience) {
        // Made when it is first needed: it brings threads and certificates along, which a start need not wait for.
        SingletonSupplier<ClientHttpRequestFactory> made = SingletonSupplier.of(() -> {
            JdkClientHttpRequestFactory calls = new JdkClientHttpRequestFactory(
                    HttpClient.newBuilder().connectTimeout(patience).build());
            calls.setReadTimeout(patience);
            return calls;
        });
        return (address, method) -> made.obtain().createRequest(address, method);
    }
}
