package gastfreund.app.feeds;

import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.LinkedHashMap;
import java.util.Map;
import org.springframework.stereotype.Component;
import org.springframework.util.DigestUtils;

/** Since when calendars are as they are, as far as this process has seen it. */
@Component
class Versions {

    private static final int MOST = 10_000;

    /**
     * What a calendar is like.
     *
     * @param tag the same for the same text
     * @param since when it was first seen so
     */
    record Version(String tag, Instant since) {}

    private final Map<String, Version> known = new LinkedHashMap<>(16, 0.75f, true) {
        @Override
        protected boolean removeEldestEntry(Map.Entry<String, Version> eldest) {
            return size() > MOST;
        }
    };

    private final Clock clock;

    Versions(Clock clock) {
        this.clock = clock;
    }

    /** @param name of the calendar, another for each language */
    Version of(String name, String file) {
        String tag = DigestUtils.md5DigestAsHex(file.getBytes(StandardCharsets.UTF_8));
        synchronized (known) {
            return known.compute(
                    name,
                    (n, before) -> before != null && before.tag().equals(tag)
                            ? before
                            : new Version(tag, clock.instant().truncatedTo(ChronoUnit.SECONDS)));
        }
    }
}
