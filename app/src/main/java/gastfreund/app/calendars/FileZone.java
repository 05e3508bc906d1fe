package gastfreund.app.calendars;

import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * A zone of the times in a calendar. A local time that there is twice is the earlier one, and one that clocks skip is read with
 * the offset before the gap (RFC 5545, 3.3.5).
 */
interface FileZone {

    Instant instant(LocalDateTime local);

    LocalDateTime local(Instant instant);

    /** A zone that is known everywhere. */
    record Known(ZoneId id) implements FileZone {

        @Override
        public Instant instant(LocalDateTime local) {
            return local.atZone(id).toInstant();
        }

        @Override
        public LocalDateTime local(Instant instant) {
            return LocalDateTime.ofInstant(instant, id);
        }
    }

    /** A known zone, also where programs have put something of their own before its name; empty: nobody knows it. */
    static Optional<FileZone> known(String name) {
        for (int slash = -1; ; ) {
            String rest = name.substring(slash + 1);
            try {
                return Optional.of(new Known(ZoneId.of(rest)));
            } catch (DateTimeException e) {
                slash = name.indexOf('/', slash + 1);
                if (slash < 0) {
                    return Optional.empty();
                }
            }
        }
    }

    /**
     * A zone that the file describes.
     *
     * @param zone a {@code VTIMEZONE}
     * @param until how far it is worked out
     * @throws IllegalArgumentException where it cannot be understood
     */
    static FileZone described(Component zone, Instant until) {
        List<Change> changes = new ArrayList<>();
        for (Component part : zone.inside()) {
            LocalDateTime first = FileTime.local(part.value("DTSTART"));
            ZoneOffset before = offset(part.value("TZOFFSETFROM"));
            ZoneOffset after = offset(part.value("TZOFFSETTO"));
            changes.add(new Change(first.toInstant(before), before, after));
            part.all("RDATE")
                    .flatMap(l -> List.of(l.value().split(",")).stream())
                    .forEach(v -> changes.add(new Change(FileTime.local(v).toInstant(before), before, after)));
            part.all("RRULE").forEach(l -> {
                Instant end = Rules.until(l.value())
                        .map(u -> FileTime.isUtc(u)
                                ? FileTime.local(u).toInstant(ZoneOffset.UTC)
                                : FileTime.local(u).toInstant(before))
                        .filter(u -> u.isBefore(until))
                        .orElse(until);
                Rules.each(l.value(), first, first, local -> {
                    Instant at = local.toInstant(before);
                    boolean goesOn = !at.isAfter(end);
                    if (goesOn) {
                        changes.add(new Change(at, before, after));
                    }
                    return goesOn;
                });
            });
        }
        if (changes.isEmpty()) {
            throw new IllegalArgumentException("a zone without offsets");
        }
        changes.sort(Comparator.comparing(Change::at));
        return new Described(List.copyOf(changes));
    }

    private static ZoneOffset offset(String text) {
        try {
            return ZoneOffset.of(text);
        } catch (DateTimeException e) {
            throw new IllegalArgumentException("no offset: " + text, e);
        }
    }

    /** When clocks change. */
    record Change(Instant at, ZoneOffset before, ZoneOffset after) {}

    /**
     * @param changes at least one, ascending
     * @param offsets all there are, the greatest first: with it a local time is earliest
     */
    record Described(List<Change> changes, List<ZoneOffset> offsets) implements FileZone {

        Described(List<Change> changes) {
            this(
                    changes,
                    changes.stream()
                            .flatMap(c -> Stream.of(c.before(), c.after()))
                            .distinct()
                            .sorted()
                            .toList());
        }

        @Override
        public Instant instant(LocalDateTime local) {
            for (ZoneOffset offset : offsets) {
                Instant at = local.toInstant(offset);
                if (at(at).equals(offset)) {
                    return at;
                }
            }
            return local.toInstant(at(local.toInstant(offsets.get(0))));
        }

        @Override
        public LocalDateTime local(Instant instant) {
            return LocalDateTime.ofInstant(instant, at(instant));
        }

        private ZoneOffset at(Instant instant) {
            ZoneOffset offset = changes.get(0).before();
            for (Change change : changes) {
                if (change.at().isAfter(instant)) {
                    break;
                }
                offset = change.after();
            }
            return offset;
        }
    }
}
