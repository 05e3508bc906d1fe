package gastfreund.app.pages;

import java.util.Locale;
import java.util.Optional;
import java.util.regex.Pattern;

/**
 * The colours of a page that are made from one: on paper and, in dark pages, on ink. Contrasts are those of WCAG 2.2, 1.4.3.
 *
 * @param rgb the colour, eight bits each of red, green and blue
 */
public record Palette(int rgb) {

    private static final Pattern HEX = Pattern.compile("#[0-9a-fA-F]{6}");
    private static final int PAPER = 0xfbf7f1;
    private static final int NIGHT = 0x1d171f;
    private static final int WHITE = 0xffffff;
    private static final int INK = 0x120b14;
    private static final double LEAST = 4.5;
    private static final double STEP = 0.02;
    private static final double DEEPER = 0.16;

    /** @param colour as {@code #4f6b46} */
    public static Optional<Palette> of(String colour) {
        return HEX.matcher(colour).matches()
                ? Optional.of(new Palette(Integer.parseInt(colour.substring(1), 16)))
                : Optional.empty();
    }

    /** Whether it can be read on paper. */
    public boolean isReadable() {
        return contrast(rgb, PAPER) >= LEAST;
    }

    /** Its contrast to paper, from 1 to 21. */
    public double contrast() {
        return contrast(rgb, PAPER);
    }

    /** The nearest darker colour that can be read on paper; itself where it can. */
    public String readable() {
        return hex(towards(rgb, 0, PAPER));
    }

    /**
     * The colours of a page.
     *
     * @param main of what matters most
     * @param over the same under a pointer
     * @param on what is written on it
     */
    public record Colours(String main, String over, String on) {

        /** As properties of a style sheet. */
        public String declarations() {
            return "--clay: " + main + "; --clay-deep: " + over + "; --on-clay: " + on + ";";
        }
    }

    /** Both as a style sheet: for whoever reads in the light, in the dark, or where a page says which it is. */
    public String css() {
        String dark = atNight().declarations();
        return ":root { " + onPaper().declarations() + " }\n"
                + "@media (prefers-color-scheme: dark) { :root:not([data-scheme=light]) { " + dark + " } }\n"
                + ":root[data-scheme=dark] { " + dark + " }\n";
    }

    public Colours onPaper() {
        return colours(rgb, mix(rgb, 0, DEEPER));
    }

    /** The same for dark pages, light enough to be read there. */
    public Colours atNight() {
        int light = towards(rgb, WHITE, NIGHT);
        return colours(light, mix(light, WHITE, DEEPER));
    }

    private static Colours colours(int colour, int over) {
        return new Colours(hex(colour), hex(over), hex(contrast(colour, WHITE) >= LEAST ? WHITE : INK));
    }

    /** A colour brought nearer to another until it can be read on a ground. */
    private static int towards(int colour, int other, int ground) {
        int mixed = colour;
        for (double share = 0; share < 1 && contrast(mixed, ground) < LEAST; share += STEP) {
            mixed = mix(colour, other, share);
        }
        return mixed;
    }

    private static int mix(int colour, int other, double share) {
        int mixed = 0;
        for (int shift = 16; shift >= 0; shift -= 8) {
            int one = colour >> shift & 0xff;
            int two = other >> shift & 0xff;
            mixed |= (int) Math.round(one + (two - one) * share) << shift;
        }
        return mixed;
    }

    /** From 1 to 21. */
    static double contrast(int one, int two) {
        double a = luminance(one);
        double b = luminance(two);
        return (Math.max(a, b) + 0.05) / (Math.min(a, b) + 0.05);
    }

    private static double luminance(int rgb) {
        return 0.2126 * linear(rgb >> 16 & 0xff) + 0.7152 * linear(rgb >> 8 & 0xff) + 0.0722 * linear(rgb & 0xff);
    }

    private static double linear(int channel) {
        double share = channel / 255.0;
        return share <= 0.04045 ? share / 12.92 : Math.pow((share + 0.055) / 1.055, 2.4);
    }

    private static String hex(int rgb) {
        return String.format(Locale.ROOT, "#%06x", rgb);
    }
}
