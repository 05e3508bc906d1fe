package gastfreund.app.housedesk;

import gastfreund.app.editing.Sort;
import gastfreund.app.languages.Formats;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.time.ZonedDateTime;
import java.time.format.DateTimeFormatter;
import java.util.Optional;
import tools.jackson.databind.JsonNode;

/** How members of promo codes are written and read. */
final class CodeSorts {

    /** The first instant of a date. */
    static final Sort FROM = new OfDate(false);

    /** The last second of a date. */
    static final Sort TO = new OfDate(true);

    private CodeSorts() {}

    /** An instant that is typed as a date. */
    private record OfDate(boolean last) implements Sort {

        @Override
        public Optional<JsonNode> read(String typed, Formats f) {
            try {
                LocalDate date = LocalDate.parse(typed);
                ZonedDateTime at = last
                        ? date.plusDays(1).atStartOfDay(f.zone().id()).minusSeconds(1)
                        : date.atStartOfDay(f.zone().id());
                return Optional.of(JSON.stringNode(at.format(DateTimeFormatter.ISO_OFFSET_DATE_TIME)));
            } catch (DateTimeException e) {
                return Optional.empty();
            }
        }

        @Override
        public String said(JsonNode member, Formats f) {
            try {
                Instant at = OffsetDateTime.parse(member.stringValue("")).toInstant();
                return f.zone().dateOf(at).toString();
            } catch (DateTimeException e) {
                return "";
            }
        }
    }
}
