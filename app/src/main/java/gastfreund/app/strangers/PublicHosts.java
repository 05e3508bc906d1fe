package gastfreund.app.strangers;

import java.net.Inet6Address;
import java.net.InetAddress;
import java.net.UnknownHostException;
import java.time.Duration;
import java.util.Arrays;
import java.util.function.Predicate;
import org.apache.hc.client5.http.DnsResolver;
import org.apache.hc.client5.http.SystemDefaultDnsResolver;
import org.apache.hc.client5.http.config.ConnectionConfig;
import org.apache.hc.client5.http.config.RequestConfig;
import org.apache.hc.client5.http.impl.classic.HttpClientBuilder;
import org.apache.hc.client5.http.impl.classic.HttpClients;
import org.apache.hc.client5.http.impl.io.PoolingHttpClientConnectionManagerBuilder;
import org.apache.hc.core5.util.Timeout;

/**
 * Finds the hosts that addresses name, and refuses what may not be connected to, as a rule the server's own network. It is asked for each connection, so
 * that what a name or a redirect leads to is looked at, and nothing else is connected to than what was looked at.
 */
public final class PublicHosts implements DnsResolver {

    /** A host in a network that is nobody's business. */
    public static final class PrivateHostException extends UnknownHostException {

        private static final long serialVersionUID = 1;

        PrivateHostException(String host) {
            super(host);
        }
    }

    private final Predicate<InetAddress> taken;

    /** @param taken which addresses may be connected to */
    public PublicHosts(Predicate<InetAddress> taken) {
        this.taken = taken;
    }

    /**
     * A client that connects to nothing else, keeps nothing and tries nothing again by itself.
     *
     * @param patience how long a connection, and each part of an answer, may take
     */
    public HttpClientBuilder client(Duration patience) {
        Timeout timeout = Timeout.of(patience);
        return HttpClients.custom()
                .setConnectionManager(PoolingHttpClientConnectionManagerBuilder.create()
                        .setDnsResolver(this)
                        .setDefaultConnectionConfig(ConnectionConfig.custom()
                                .setConnectTimeout(timeout)
                                .setSocketTimeout(timeout)
                                .build())
                        .build())
                .setDefaultRequestConfig(
                        RequestConfig.custom().setResponseTimeout(timeout).build())
                .disableCookieManagement()
                .disableAutomaticRetries()
                .setUserAgent("Gastfreund");
    }

    @Override
    public InetAddress[] resolve(String host) throws UnknownHostException {
        InetAddress[] found = SystemDefaultDnsResolver.INSTANCE.resolve(host);
        if (!Arrays.stream(found).allMatch(taken)) {
            throw new PrivateHostException(host);
        }
        return found;
    }

    @Override
    public String resolveCanonicalHostname(String host) {
        return host;
    }

    /** Whether an address can be anybody's in the internet (RFC 6890). */
    public static boolean isPublic(InetAddress address) {
        if (address.isAnyLocalAddress()
                || address.isLoopbackAddress()
                || address.isLinkLocalAddress()
                || address.isSiteLocalAddress()
                || address.isMulticastAddress()) {
            return false;
        }
        byte[] bytes = address.getAddress();
        return address instanceof Inet6Address ? isPublic6(bytes) : isPublic4(bytes, 0);
    }

    private static boolean isPublic4(byte[] bytes, int at) {
        int first = bytes[at] & 0xff;
        int second = bytes[at + 1] & 0xff;
        int third = bytes[at + 2] & 0xff;
        boolean shared = first == 100 && second >= 64 && second < 128;
        boolean linkLocal = first == 169 && second == 254;
        boolean ofLan = first == 10 || first == 172 && second >= 16 && second < 32 || first == 192 && second == 168;
        boolean special = first == 192 && second == 0 && (third == 0 || third == 2)
                || first == 198 && (second == 18 || second == 19 || second == 51 && third == 100)
                || first == 203 && second == 0 && third == 113;
        return first != 0 && first != 127 && first < 224 && !shared && !linkLocal && !ofLan && !special;
    }

    /** Only what is given out to networks, and where an IPv4 address is in it, only such a one. */
    private static boolean isPublic6(byte[] bytes) {
        int first = bytes[0] & 0xff;
        if (first == 0x20 && (bytes[1] & 0xff) == 0x02) {
            return isPublic4(bytes, 2);
        }
        boolean translated =
                first == 0 && (bytes[1] & 0xff) == 0x64 && (bytes[2] & 0xff) == 0xff && (bytes[3] & 0xff) == 0x9b;
        if (translated) {
            return isPublic4(bytes, 12);
        }
        boolean documentation =
                first == 0x20 && bytes[1] == 1 && (bytes[2] & 0xff) == 0x0d && (bytes[3] & 0xff) == 0xb8;
        boolean teredo = first == 0x20 && bytes[1] == 1 && bytes[2] == 0 && bytes[3] == 0;
        return (first & 0xe0) == 0x20 && !documentation && !teredo;
    }
}
