package gastfreund.app.openings;

import gastfreund.app.languages.Formats;
import gastfreund.app.markup.Markup;
import gastfreund.core.money.Money;
import gastfreund.core.offers.AddOn;
import gastfreund.core.offers.Length;
import gastfreund.core.offers.Place;
import gastfreund.core.offers.Staff;
import gastfreund.core.time.Minutes;
import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * The booking panel of an offer's page. Every chip is a link to the same page with one thing changed, so that it works
 * with scripts off; with scripts on only the panel is fetched.
 *
 * @param earlier address of the five weeks before; null where they are over
 * @param later address of the five weeks after
 * @param closedFor why the chosen date is closed, in the house's own words; empty: nobody said, or it is not
 * @param elsewhere whether its guest can be anywhere, so that times may be others there
 * @param cheapest the lowest price of the chosen date, where not all are the same; null: they are
 * @param others what else fits where nothing does on the chosen date
 * @param allMonths the address of the months of a year; null where only the time can be chosen
 * @param months the months of a year, instead of the days; null: the days are shown
 * @param wish where a guest says that they wait for something on the chosen date; null: there is no waiting list
 * @param way where a guest asks whether the house comes to them; null where nothing depends on that
 * @param answerHours in how many hours a request is answered; 0 where it is booked at once
 */
public record Panel(
        Chips chips,
        Ribbon ribbon,
        List<DayLink> days,
        List<Part> parts,
        @Nullable String earlier,
        String later,
        String closedFor,
        boolean elsewhere,
        @Nullable Money cheapest,
        List<Other> others,
        @Nullable String allMonths,
        @Nullable Months months,
        @Nullable String wish,
        @Nullable String way,
        int answerHours) {

    /**
     * What else fits.
     *
     * @param kind what is another: {@code staff}, {@code place}, {@code length}, {@code party} or {@code day}
     * @param name of the place; empty for another kind
     * @param minutes of the length; null for another kind
     * @param start the first that can be had, in minutes since the epoch
     */
    public record Other(String kind, String name, @Nullable Minutes minutes, int party, long start, String address) {}

    /**
     * What can be chosen before the time.
     *
     * @param fewer address with one person less; null where it would be too few
     * @param more address with one person more; null where it would be too many
     * @param units how many units of the length; null where it is sold as one
     * @param agreed whether the price is agreed with each guest
     */
    public record Chips(
            Choice choice,
            @Nullable String fewer,
            @Nullable String more,
            List<LengthChip> lengths,
            @Nullable Stepper units,
            List<AddOnChip> addOns,
            List<StaffChip> staff,
            List<PlaceChip> places,
            boolean agreed) {}

    public record LengthChip(Length length, Money from, String address, boolean chosen) {}

    /**
     * A number that can be raised and lowered.
     *
     * @param fewer null where it would be too few
     * @param more null where it would be too many
     */
    public record Stepper(int number, @Nullable String fewer, @Nullable String more) {}

    /**
     * An add-on: chosen by one click where it is sold at most once, else counted.
     *
     * @param toggle address with it, or without it where it is chosen; null where it is counted
     * @param counted null where it is sold at most once
     * @param left how many there are, where fewer than usual can be had; null: enough
     */
    public record AddOnChip(
            AddOn addOn, @Nullable String toggle, boolean chosen, @Nullable Stepper counted, @Nullable Integer left) {

        /** Whether nobody can have another, and this guest has none. */
        public boolean isSoldOut() {
            return toggle == null && counted == null;
        }

        /** Whether each person pays for it. */
        public boolean each() {
            return addOn.per() == AddOn.Per.PERSON;
        }
    }

    /**
     * @param person null: anyone
     * @param price null for anyone
     * @param words what the house says of them; empty: nothing
     * @param picture the file name of their picture; empty: none
     * @param next when they can be had next, in minutes since the epoch; null: nobody knows, or for anyone
     */
    public record StaffChip(
            @Nullable Staff person,
            @Nullable Money price,
            String words,
            String picture,
            String address,
            boolean chosen,
            @Nullable Long next) {}

    public record PlaceChip(Place place, String address, boolean chosen) {}

    /**
     * The inside of the ribbon's picture.
     *
     * @param root the address under which the house lies, with a slash at its end
     */
    public String ribbonDrawn(Formats f, String root) {
        RibbonDrawing drawing = new RibbonDrawing(this, f, root);
        Markup to = new Markup();
        days.forEach(d -> drawing.day(d, to));
        return to.toString();
    }

    /** A date of the ribbon with where it stands in the picture. */
    public record DayLink(Ribbon.Day day, int x, String address, boolean chosen) {}

    /**
     * A part of the day.
     *
     * @param name {@code morning}, {@code afternoon} or {@code evening}
     */
    public record Part(String name, List<Slot> slots) {}

    /** The same with the months of a year. */
    Panel with(Months year) {
        return new Panel(
                chips,
                ribbon,
                days,
                parts,
                earlier,
                later,
                closedFor,
                elsewhere,
                cheapest,
                others,
                allMonths,
                year,
                wish,
                way,
                answerHours);
    }

    private static final Set<String> WHY = Set.of("price", "moment", "share", "stock");

    /** The word of a message for why a place was not kept, from what an address says. */
    public static String whyGone(String why) {
        return why != null && WHY.contains(why) ? why : "taken";
    }

    /** The first date of the ribbon. */
    public LocalDate first() {
        return ribbon.days().get(0).date();
    }
}
