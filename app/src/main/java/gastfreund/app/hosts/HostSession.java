package gastfreund.app.hosts;

import java.time.Instant;

/**
 * Where a host is signed in.
 *
 * @param seen when it was last used, within some minutes
 * @param address from where it began
 * @param agent what the browser said of itself
 */
public record HostSession(String id, long host, Instant since, Instant seen, String address, String agent) {}
