package gastfreund.app.start;

import org.jspecify.annotations.Nullable;

/**
 * The four answers, as they were typed.
 *
 * @param title what people book
 * @param minutes how long it takes
 * @param price what it costs
 * @param party for how many at a time
 * @param week when
 * @param pay how people pay: a word of the house file
 */
public record Answers(String title, String minutes, String price, String party, String week, String pay) {

    /** Fields that a form did not have are empty. */
    public Answers(
            @Nullable String title,
            @Nullable String minutes,
            @Nullable String price,
            @Nullable String party,
            @Nullable String week,
            @Nullable String pay) {
        this.title = title == null ? "" : title;
        this.minutes = minutes == null ? "" : minutes;
        this.price = price == null ? "" : price;
        this.party = party == null ? "" : party;
        this.week = week == null ? "" : week;
        this.pay = pay == null ? "" : pay;
    }
}
