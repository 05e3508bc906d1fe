package gastfreund.app.typed;

import java.util.OptionalLong;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/** A whole number that an address or a form says, without a sign. */
public final class GivenNumber {

    private static final Pattern NUMBER = Pattern.compile("\\d{1,10}+");

    private GivenNumber() {}

    /** Empty where it says none, or one of more than ten digits. */
    public static OptionalLong of(@Nullable String text) {
        return text != null && NUMBER.matcher(text).matches()
                ? OptionalLong.of(Long.parseLong(text))
                : OptionalLong.empty();
    }

    /** The nearest number from the least to the most (both inclusive); another one where it says none. */
    public static int within(@Nullable String text, int least, int most, int otherwise) {
        OptionalLong number = of(text);
        return number.isPresent() ? (int) Math.max(least, Math.min(most, number.getAsLong())) : otherwise;
    }
}
