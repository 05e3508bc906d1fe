package gastfreund.app.extras;

import gastfreund.app.languages.Languages;
import gastfreund.housefile.Node;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Set;

/**
 * In which languages and how a house says things.
 *
 * @param languages in which guests are spoken to; the first is the one in which its texts are written
 * @param week the day with which weeks begin
 * @param twelveHours whether the clock has twelve hours
 * @param country two letters (ISO 3166-1); empty: not said
 */
public record Manners(List<Locale> languages, DayOfWeek week, boolean twelveHours, String country) {

    private static final Set<String> COUNTRIES = Locale.getISOCountries(Locale.IsoCountryCode.PART1_ALPHA2);

    static Manners of(Node extra) {
        String week = extra.word("week", new String[] {"mon", "sun", "sat"}, "mon");
        String country = extra.textOrBlank("country");
        if (!country.isEmpty() && !COUNTRIES.contains(country)) {
            extra.at("country").problem("must be two letters of a country (ISO 3166-1)");
        }
        return new Manners(
                languages(extra),
                week.equals("sun") ? DayOfWeek.SUNDAY : week.equals("sat") ? DayOfWeek.SATURDAY : DayOfWeek.MONDAY,
                extra.word("clock", new String[] {"24", "12"}, "24").equals("12"),
                country);
    }

    private static List<Locale> languages(Node extra) {
        String[] known = Languages.all().stream().map(Locale::toLanguageTag).toArray(String[]::new);
        List<Locale> languages = new ArrayList<>();
        for (Node one : extra.elements("languages")) {
            Locale language = Locale.forLanguageTag(one.word(known));
            if (languages.contains(language)) {
                one.problem("is there already");
            }
            languages.add(language);
        }
        return languages.isEmpty() ? Languages.all() : List.copyOf(languages);
    }

    /** The first day of the week in which a date lies. */
    public LocalDate weekOf(LocalDate date) {
        return date.with(TemporalAdjusters.previousOrSame(week));
    }

    /** The language in which the house's texts are written. */
    public Locale first() {
        return languages.get(0);
    }

    /** The language in which somebody is spoken to who would like to hear another. */
    public Locale spoken(Locale wanted) {
        return languages.stream()
                .filter(l -> l.getLanguage().equals(wanted.getLanguage()))
                .findFirst()
                .orElse(first());
    }

    /** All countries, by their two letters. */
    public static List<String> countries() {
        return Arrays.stream(Locale.getISOCountries()).sorted().toList();
    }
}
