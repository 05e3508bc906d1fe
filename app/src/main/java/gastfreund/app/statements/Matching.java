package gastfreund.app.statements;

import gastfreund.core.money.Money;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;

/** Which of the transfers that are waited for a line of a statement may be. */
final class Matching {

    private static final Pattern NO_SIGN = Pattern.compile("[^\\p{L}\\p{N}]++");
    private static final int LEAST_NAME = 3;

    private Matching() {}

    /**
     * A transfer that is waited for.
     *
     * @param reference that the guest was told
     * @param guest their name
     * @param order the number of their order
     */
    record Awaited(String payment, String reference, Money amount, String guest, long order) {}

    /** How sure it is. */
    enum Sure {
        /** By reference and amount. */
        CERTAIN,
        /** The reference is right, and the amount another. */
        OTHER_AMOUNT,
        /** The amount is right, and the name or the order's number is said. */
        LIKELY
    }

    /** A transfer that a line may be. */
    record Match(Awaited awaited, Sure sure) {}

    /** All that a line may be, the surest first. Certain is none of several that are. */
    static List<Match> of(StatementLine line, List<Awaited> awaited) {
        List<Match> matches = awaited.stream()
                .flatMap(a -> sure(line, a).stream().map(s -> new Match(a, s)))
                .sorted((a, b) -> a.sure().compareTo(b.sure()))
                .toList();
        long certain = matches.stream().filter(m -> m.sure() == Sure.CERTAIN).count();
        return certain < 2
                ? matches
                : matches.stream()
                        .map(m -> new Match(m.awaited(), m.sure() == Sure.CERTAIN ? Sure.LIKELY : m.sure()))
                        .toList();
    }

    private static List<Sure> sure(StatementLine line, Awaited awaited) {
        boolean reference = plain(line.words()).contains(plain(awaited.reference()));
        boolean amount = line.amount().equals(awaited.amount());
        if (reference) {
            return List.of(amount ? Sure.CERTAIN : Sure.OTHER_AMOUNT);
        }
        boolean said = words(line.words()).contains(Long.toString(awaited.order()))
                || isNamed(awaited.guest(), line.name() + " " + line.words());
        return amount && said ? List.of(Sure.LIKELY) : List.of();
    }

    /** Whether every word of a name of some length is there. */
    private static boolean isNamed(String guest, String text) {
        List<String> said = words(text);
        List<String> name =
                words(guest).stream().filter(w -> w.length() >= LEAST_NAME).toList();
        return !name.isEmpty() && said.containsAll(name);
    }

    private static List<String> words(String text) {
        return Arrays.stream(NO_SIGN.split(text.toUpperCase(Locale.ROOT))).toList();
    }

    /** Without what people and banks put between letters and figures. */
    private static String plain(String text) {
        return NO_SIGN.matcher(text.toUpperCase(Locale.ROOT)).replaceAll("");
    }
}
