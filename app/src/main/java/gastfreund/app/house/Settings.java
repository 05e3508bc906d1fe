package gastfreund.app.house;

import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;
import org.springframework.format.annotation.DateTimeFormat;
import org.springframework.format.annotation.DateTimeFormat.ISO;

/**
 * What is set from outside.
 *
 * @param home the folder of all data
 * @param address how guests reach this application; empty: not said yet
 * @param demo the folder of the demo house to start with; empty: none
 * @param today the date that the demo takes for today; null: today
 * @param ahead how far the clock is ahead of the machine's; for tests
 * @param mailFrom the sender of all mail; empty: not said yet
 * @param proxies the addresses whose word is taken for where a request comes from; a star stands for any ending
 */
@ConfigurationProperties("gastfreund")
public record Settings(
        @DefaultValue("data") String home,
        @DefaultValue("") String address,
        @DefaultValue("") String demo,
        @DateTimeFormat(iso = ISO.DATE) @Nullable LocalDate today,
        @DefaultValue("0s") Duration ahead,
        @DefaultValue("") String mailFrom,
        @DefaultValue List<String> proxies,
        @DefaultValue Gateway gateway,
        @DefaultValue Limits limits,
        @DefaultValue Door door,
        @DefaultValue Shares shares) {

    /** @throws IllegalArgumentException where a house that is not the demo is to live on another day */
    public Settings {
        if (today != null && demo.isBlank()) {
            throw new IllegalArgumentException("GASTFREUND_TODAY is for the demo alone: a real house lives today.");
        }
    }

    /** The folder of all data. */
    public Path folder() {
        return Path.of(home);
    }

    /** The folder of the demo house; empty: none. */
    public Optional<Path> demoFolder() {
        return isDemo() ? Optional.of(Path.of(demo)) : Optional.empty();
    }

    public boolean isDemo() {
        return !demo.isBlank();
    }

    /** Whether mail can go out: who it comes from and where its links lead must have been said. */
    public boolean canWrite() {
        return !mailFrom.isBlank() && (!address.isBlank() || isDemo());
    }

    /** How far the clock is ahead of the machine's time: by whole days where the demo takes another date for today. */
    Duration aheadOf(Instant now) {
        return today == null
                ? ahead
                : Duration.ofDays(ChronoUnit.DAYS.between(LocalDate.ofInstant(now, ZoneOffset.UTC), today));
    }

    /**
     * The practice gateway.
     *
     * @param url where its API is
     * @param key what we prove ourselves with
     * @param secret what its notifications are signed with
     */
    public record Gateway(
            @DefaultValue("http://localhost:8081") String url,
            @DefaultValue("practice-key") String key,
            @DefaultValue("practice-secret") String secret,
            @DefaultValue("10s") Duration patience) {}

    /**
     * How often one visitor may do what costs us something, each per minute.
     *
     * @param slower how much longer a sign-in takes after the first failures at its account; doubled by each more
     * @param letters how many letters one guest's address gets in a day
     */
    public record Limits(
            @DefaultValue("10") int signIns,
            @DefaultValue("20") int checkouts,
            @DefaultValue("120") int holds,
            @DefaultValue("30") int codes,
            @DefaultValue("600") int notifications,
            @DefaultValue("500ms") Duration slower,
            @DefaultValue("20") int letters) {}

    /**
     * What keeps programs from ordering.
     *
     * @param bits how many zero bits a proof of work begins with
     * @param pause how long a page without scripts must have been open
     */
    public record Door(@DefaultValue("14") int bits, @DefaultValue("15s") Duration pause) {}

    /**
     * How much of an offer's openings may be kept by those who have not paid, in percent.
     *
     * @param visitor by one visitor, beyond a few places
     * @param house by all of them together, beyond each one's first place
     * @param few how many places a visitor may keep whatever the share
     */
    public record Shares(@DefaultValue("20") int visitor, @DefaultValue("50") int house, @DefaultValue("3") int few) {}
}
