package gastfreund.app.languages;

import gastfreund.core.money.Money;
import gastfreund.core.time.HouseZone;
import gastfreund.core.time.Interval;
import gastfreund.core.time.Minutes;
import java.math.BigDecimal;
import java.text.NumberFormat;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.time.format.FormatStyle;
import java.util.Currency;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.regex.Pattern;
import org.springframework.context.MessageSource;
import org.springframework.ui.Model;

/** How amounts, times and durations are said in one language, for one house; each page and letter has its own. */
public final class Formats {

    /** Those of a page, which every handler finds in its model. */
    public static Formats of(Model model) {
        return (Formats) Objects.requireNonNull(model.getAttribute("f"), "there is no house yet");
    }

    /** A dash at which no line breaks. */
    private static final String TO = "\u202f–\u2060\u202f";

    /** Two languages with a few patterns each, and dear to make. */
    private static final Map<DatePattern, DateTimeFormatter> PATTERNS = new ConcurrentHashMap<>();

    private static final int MOST_AMOUNT = 40;
    private static final Pattern AMOUNT = Pattern.compile("\\d{1,9}+(?:\\.\\d{1,3}+)?+");

    private record DatePattern(String pattern, Locale locale) {}

    private final Words words;
    private final Locale locale;
    private final String clock;
    private final HouseZone zone;
    private final Currency currency;
    private final NumberFormat wholeNumbers;
    private final NumberFormat numbers;

    /** With a clock of twenty-four hours. @param locale one of {@link Languages} */
    public Formats(MessageSource messages, Locale locale, HouseZone zone, Currency currency) {
        this(messages, locale, zone, currency, false);
    }

    /**
     * @param locale one of {@link Languages}
     * @param twelveHours whether the clock has twelve hours
     */
    public Formats(MessageSource messages, Locale locale, HouseZone zone, Currency currency, boolean twelveHours) {
        this.clock = twelveHours ? "h:mm\u202fa" : "H:mm";
        this.words = new Words(messages, locale);
        this.locale = locale;
        this.zone = zone;
        this.currency = currency;
        int digits = Math.max(0, currency.getDefaultFractionDigits());
        this.wholeNumbers = numbers(locale, 0, digits);
        this.numbers = numbers(locale, digits, digits);
    }

    private static NumberFormat numbers(Locale locale, int least, int most) {
        NumberFormat format = NumberFormat.getNumberInstance(locale);
        format.setMinimumFractionDigits(least);
        format.setMaximumFractionDigits(most);
        return format;
    }

    public Locale locale() {
        return locale;
    }

    /** The hours of the clock, by their name in Unicode's data for scripts: {@code h23} or {@code h12}. */
    public String hourCycle() {
        return clock.startsWith("H") ? "h23" : "h12";
    }

    public HouseZone zone() {
        return zone;
    }

    public Words words() {
        return words;
    }

    public String text(String key, Object... arguments) {
        return words.text(key, arguments);
    }

    /** {@code 26.00 €}: the amount as the language writes numbers, then the sign, in every language alike. */
    public String money(Money money) {
        int digits = Math.max(0, currency.getDefaultFractionDigits());
        return amount(money, digits, digits);
    }

    /** An amount as programs write it: {@code 52.00}. */
    public String decimal(Money money) {
        return BigDecimal.valueOf(money.minor(), Math.max(0, currency.getDefaultFractionDigits()))
                .toPlainString();
    }

    /** The currency as programs write it: {@code EUR}. */
    public String currencyCode() {
        return currency.getCurrencyCode();
    }

    /** The currency's sign. */
    public String symbol() {
        return currency.getSymbol(locale);
    }

    /** {@code 26 €} where there are no cents, else as {@link #money}. */
    public String shortMoney(Money money) {
        if (money.isZero()) {
            return text("money.free");
        }
        int digits = Math.max(0, currency.getDefaultFractionDigits());
        boolean whole =
                BigDecimal.valueOf(money.minor(), digits).stripTrailingZeros().scale() <= 0;
        return amount(money, whole ? 0 : digits, digits);
    }

    /** {@code from 48 €}, or that it costs nothing. */
    public String fromMoney(Money money) {
        return money.isZero() ? shortMoney(money) : text("house.from", shortMoney(money));
    }

    /** {@code 21 January 2027}, with its year, as papers want it. */
    public String fullDate(Instant instant) {
        return fullDate(zone.dateOf(instant));
    }

    public String fullDate(LocalDate date) {
        return DateTimeFormatter.ofLocalizedDate(FormatStyle.LONG)
                .withLocale(locale)
                .format(date);
    }

    /** The amount as a field shows it, without the currency: {@code 26.00}. */
    public String field(Money money) {
        int digits = Math.max(0, currency.getDefaultFractionDigits());
        return BigDecimal.valueOf(money.minor(), digits).toPlainString();
    }

    /** What somebody wrote as an amount, with a point or a comma; empty where it is none. */
    public Optional<Money> amount(String written) {
        if (written.length() > MOST_AMOUNT) {
            return Optional.empty();
        }
        int digits = Math.max(0, currency.getDefaultFractionDigits());
        String plain =
                written.strip().replace(currency.getSymbol(locale), "").strip().replace(',', '.');
        if (!AMOUNT.matcher(plain).matches()) {
            return Optional.empty();
        }
        BigDecimal minor = new BigDecimal(plain).movePointRight(digits).stripTrailingZeros();
        return minor.scale() > 0 ? Optional.empty() : Optional.of(Money.ofMinor(minor.longValueExact()));
    }

    /** The bare number, where it is short enough to stand under a bar; else nothing. */
    public String bareMoney(Money money) {
        int digits = Math.max(0, currency.getDefaultFractionDigits());
        BigDecimal amount = BigDecimal.valueOf(money.minor(), digits).stripTrailingZeros();
        return amount.signum() != 0 && amount.scale() <= 0 && amount.precision() - amount.scale() <= 3
                ? amount.toPlainString()
                : "";
    }

    private String amount(Money money, int least, int digits) {
        NumberFormat format = least == 0 ? wholeNumbers : numbers;
        return format.format(BigDecimal.valueOf(money.minor(), digits)) + "\u00a0" + currency.getSymbol(locale);
    }

    /** {@code 16:30}. */
    public String time(long minute) {
        return zone.localOf(minute).format(pattern(clock));
    }

    public String time(Instant instant) {
        return local(instant).format(pattern(clock));
    }

    /** {@code 16:30 – 18:00}. */
    public String times(Interval interval) {
        return time(interval.start()) + TO + time(interval.end());
    }

    /** {@code Thursday 21 January}. */
    public String day(LocalDate date) {
        return date.format(pattern(text("format.day")));
    }

    /** {@code Thu 21 Jan}. */
    public String shortDay(LocalDate date) {
        return date.format(pattern(text("format.shortDay")));
    }

    /** {@code 21 Jan}. */
    public String dayAndMonth(LocalDate date) {
        return date.format(pattern(text("format.dayAndMonth")));
    }

    /** {@code January 2027}. */
    public String month(LocalDate date) {
        return date.format(pattern(text("format.month")));
    }

    /** {@code Thu 21 Jan 16:30}. */
    public String moment(Instant instant) {
        return shortDay(local(instant).toLocalDate()) + " " + time(instant);
    }

    /** {@code Thursday 21 January, 16:30 – 18:00}; with the other date where it ends on one. */
    public String dayAndTimes(Interval interval) {
        LocalDate first = zone.dateOf(interval.start());
        LocalDate last = zone.dateOf(interval.end());
        String end = first.equals(last)
                ? times(interval)
                : time(interval.start()) + TO + shortDay(last) + " " + time(interval.end());
        return day(first) + ", " + end;
    }

    /** {@code today 16:30}, {@code tomorrow 10:00} or {@code Sat 12 Dec}. */
    public String soon(long minute, Instant now) {
        LocalDate date = zone.dateOf(minute);
        LocalDate today = zone.dateOf(now);
        if (date.equals(today)) {
            return text("soon.today", time(minute));
        }
        return date.equals(today.plusDays(1)) ? text("soon.tomorrow", time(minute)) : shortDay(date);
    }

    /** {@code 45 min}, {@code 1 hour}, {@code 1 ½ hours}. */
    public String duration(Minutes minutes) {
        long count = minutes.count();
        if (count < 60 || count % 30 != 0) {
            return count < 60 || count % 60 == 0
                    ? text("duration.minutes", count)
                    : text("duration.hoursAndMinutes", count / 60, count % 60);
        }
        String half = count % 60 == 30 ? "\u00a0½" : "";
        return count == 60 ? text("duration.hour") : text("duration.hours", count / 60 + half);
    }

    private LocalDateTime local(Instant instant) {
        return instant.atZone(zone.id()).toLocalDateTime();
    }

    private DateTimeFormatter pattern(String pattern) {
        return PATTERNS.computeIfAbsent(
                new DatePattern(pattern, locale), p -> DateTimeFormatter.ofPattern(p.pattern(), p.locale()));
    }
}
