package gastfreund.app.letters;

import gastfreund.app.languages.Formats;
import gastfreund.core.money.Money;
import gastfreund.core.time.Interval;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.json.JsonMapper;

/**
 * What a letter about an order says, as it was when the letter was caused. In JSON, instants are minutes since the epoch
 * where bookings begin and end and seconds elsewhere, amounts minor units, dates ISO 8601.
 *
 * @param what the title of what it is about
 * @param rows the bookings it is about
 * @param asked bookings that wait for an answer
 * @param lost bookings that could not be had, or are gone
 * @param struck whether the rows no longer stand
 * @param certain the bookings that go into a calendar
 * @param paid what the house has of the order
 * @param open what was due and is not paid
 * @param later what falls due later
 * @param back what goes back; 0: money is not spoken of
 * @param issued the vouchers and passes that it brings
 * @param transfer null where none is waited for
 * @param letter the id of a letter that goes before or after a booking; null: it is none of these
 * @param reason what the host says of it; null in letters of an earlier version of the application
 * @param page the path of the page that it is about; null: the order's
 * @param until until when it is kept, for a letter that something came free; null: another letter
 * @param prove the path by which the guest shows that the address is theirs; empty: it is not asked
 */
public record Facts(
        long number,
        String token,
        String guest,
        String email,
        String phone,
        String what,
        List<Row> rows,
        List<Row> asked,
        List<Row> lost,
        boolean struck,
        List<Row> certain,
        long paid,
        long open,
        long later,
        long back,
        List<Issued> issued,
        @Nullable Transfer transfer,
        String prove,
        @Nullable String letter,
        @Nullable String reason,
        @Nullable String page,
        @Nullable Long until) {

    private static final JsonMapper JSON = JsonMapper.builder()
            .disable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
            .build();

    /**
     * A booking.
     *
     * @param addOns in words; empty: none
     * @param balanceDue when what is left is due; null where nothing is
     * @param freeUntil until when cancelling costs nothing; null where that is over or never was
     * @param offer its id; null in letters of an earlier version of the application
     * @param answers what its guest answered, in lines; null in letters of an earlier version
     * @param elsewhere whether its guest need not be in the house's town; null in letters of an earlier version
     */
    public record Row(
            String booking,
            String title,
            long start,
            long end,
            int party,
            List<String> staff,
            String place,
            String directions,
            String addOns,
            long total,
            long balance,
            @Nullable String balanceDue,
            @Nullable Long freeUntil,
            @Nullable String offer,
            @Nullable String answers,
            @Nullable Boolean elsewhere) {

        public Interval time() {
            return Interval.between(start, end);
        }

        /** When it is, with the zone where that matters. */
        public String when(Formats f) {
            String when = f.dayAndTimes(time());
            return Boolean.TRUE.equals(elsewhere)
                    ? f.text("letter.when", when, f.zone().id())
                    : when;
        }

        /** Whether it says nothing of money. */
        public boolean isPlain() {
            return total < 0;
        }

        /** When and where, and nothing else. */
        Row plain() {
            return new Row(
                    booking,
                    title,
                    start,
                    end,
                    party,
                    staff,
                    place,
                    directions,
                    "",
                    -1,
                    0,
                    null,
                    null,
                    offer,
                    "",
                    elsewhere);
        }

        public Money price() {
            return Money.ofMinor(total);
        }

        public Money left() {
            return Money.ofMinor(balance);
        }

        @Nullable
        public LocalDate leftOn() {
            return balanceDue == null ? null : LocalDate.parse(balanceDue);
        }

        @Nullable
        public Instant free() {
            return freeUntil == null ? null : Instant.ofEpochSecond(freeUntil);
        }
    }

    /**
     * A voucher, a pass or a ware.
     *
     * @param code empty for a ware
     * @param worth of a ware, what it cost
     * @param lastDay of a ware, where it is handed over: {@code house} or {@code booking}
     */
    public record Issued(String title, String code, boolean voucher, long worth, String lastDay) {

        public Money money() {
            return Money.ofMinor(worth);
        }

        public boolean isWare() {
            return code.isEmpty();
        }

        public LocalDate last() {
            return LocalDate.parse(lastDay);
        }
    }

    /** @param until the last date on which it is waited for */
    public record Transfer(long amount, String holder, String iban, String reference, String until) {}

    /**
     * The same for somebody who comes along: nothing of money, answers or the order itself.
     *
     * @param whose name of whoever booked; empty: it is not said
     */
    Facts alongTo(String name, String mail, String whose) {
        return new Facts(
                number,
                "",
                name,
                mail,
                "",
                what,
                rows.stream().map(Row::plain).toList(),
                List.of(),
                List.of(),
                struck,
                certain.stream().map(Row::plain).toList(),
                0,
                0,
                0,
                0,
                List.of(),
                null,
                "",
                null,
                whose,
                null,
                null);
    }

    /** A letter about one thing that can be had, before there is an order. */
    static Facts offering(String guest, String email, String what, Row row, String page, Instant until) {
        return new Facts(
                0,
                "",
                guest,
                email,
                "",
                what,
                List.of(row),
                List.of(),
                List.of(),
                false,
                List.of(),
                0,
                0,
                0,
                0,
                List.of(),
                null,
                "",
                null,
                null,
                page,
                until.getEpochSecond());
    }

    /** What the host says of it; empty: nothing. */
    public String why() {
        return reason == null ? "" : reason;
    }

    String json() {
        return JSON.writeValueAsString(this);
    }

    static Facts of(String json) {
        return JSON.readValue(json, Facts.class);
    }
}
