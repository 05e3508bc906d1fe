package gastfreund.app.strangers;

import jakarta.servlet.http.HttpServletRequest;
import java.net.InetAddress;
import java.net.UnknownHostException;
import java.util.HexFormat;

/**
 * Where requests come from, as far as it can be told apart: an IPv4 address, or the first 64 bits of an IPv6 address,
 * since whoever has one of those has all of them.
 */
public record Visitor(String network) {

    private static final int NETWORK_BYTES = 8;

    /** The house itself; nobody else can be called so, whatever a proxy says of them. */
    static final Visitor HOUSE = new Visitor(OwnLook.secret());

    /** The visitor of a request; the address is the one that believed proxies give. */
    public static Visitor of(HttpServletRequest request) {
        return OwnLook.is(request) ? HOUSE : ofAddress(request.getRemoteAddr());
    }

    /** @param address a literal IP address; anything else counts as it is written */
    public static Visitor ofAddress(String address) {
        if (address.indexOf(':') < 0) {
            return new Visitor(address);
        }
        try {
            byte[] bytes =
                    InetAddress.getByName("[" + withoutZone(address) + "]").getAddress();
            return new Visitor(
                    bytes.length > 4
                            ? HexFormat.of().formatHex(bytes, 0, NETWORK_BYTES) + "/64"
                            : InetAddress.getByAddress(bytes).getHostAddress());
        } catch (UnknownHostException e) {
            return new Visitor(address);
        }
    }

    private static String withoutZone(String address) {
        int zone = address.indexOf('%');
        return zone < 0 ? address : address.substring(0, zone);
    }
}
