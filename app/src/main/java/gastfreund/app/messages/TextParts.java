package gastfreund.app.messages;

import java.util.Set;
import java.util.stream.Collectors;

/**
 * In how many parts a text message goes, each of which is paid for (3GPP TS 23.038 and 23.040): 160 characters of the usual
 * alphabet, or 153 in each of several; of other alphabets 70, or 67.
 *
 * @param count how many parts
 * @param characters how many characters are counted
 * @param most how many fit into so many parts
 * @param plain whether the usual alphabet is enough
 */
public record TextParts(int count, int characters, int most, boolean plain) {

    private static final String ALPHABET =
            "@£$¥èéùìòÇ\nØø\rÅåΔ_ΦΓΛΩΠΨΣΘΞÆæßÉ !\"#¤%&'()*+,-./0123456789:;<=>?¡ABCDEFGHIJKLMNOPQRSTUVWXYZÄÖÑÜ§¿"
                    + "abcdefghijklmnopqrstuvwxyzäöñüà";

    /** Characters that count twice. */
    private static final String WIDE = "\f^{}\\[~]|€";

    private static final Set<Integer> PLAIN = ALPHABET.chars().boxed().collect(Collectors.toUnmodifiableSet());
    private static final int ONE = 160;
    private static final int EACH = 153;
    private static final int ONE_OTHER = 70;
    private static final int EACH_OTHER = 67;

    /** A text without the signs of good printing, for which each message would have room for half as much. */
    public static String plain(String text) {
        StringBuilder plain = new StringBuilder(text.length());
        text.codePoints().forEach(c -> {
            switch (c) {
                case 0x00a0, 0x2009, 0x202f -> plain.append(' ');
                case 0x2010, 0x2011, 0x2012, 0x2013, 0x2014, 0x2212 -> plain.append('-');
                case 0x2018, 0x2019, 0x201a -> plain.append('\'');
                case 0x201c, 0x201d, 0x201e -> plain.append('"');
                case 0x200b, 0x2060, 0xfeff -> {
                    // They only say where a line may break.
                }
                case 0x2026 -> plain.append("...");
                case 0x00b7 -> plain.append(',');
                default -> plain.appendCodePoint(c);
            }
        });
        return plain.toString();
    }

    public static TextParts of(String text) {
        boolean plain = text.chars().allMatch(c -> PLAIN.contains(c) || WIDE.indexOf(c) >= 0);
        int characters = plain
                ? text.length()
                        + (int) text.chars().filter(c -> WIDE.indexOf(c) >= 0).count()
                : text.length();
        int one = plain ? ONE : ONE_OTHER;
        int each = plain ? EACH : EACH_OTHER;
        int count = characters <= one ? 1 : (characters + each - 1) / each;
        return new TextParts(count, characters, count == 1 ? one : count * each, plain);
    }
}
