package gastfreund.app.typed;

import java.util.regex.Pattern;

/** What people may call themselves: anything that leads nowhere, since names are written into letters to others. */
public final class Names {

    private static final Pattern AWAY = Pattern.compile(
            "://|\\bwww\\.|@|\\p{L}\\.(?:com|net|org|info|biz|shop|site|online|xyz|top|link|click|app|dev|io|co|me|tv|ly|gg|ru|cn|tk"
                    + "|de|at|ch|eu|uk|fr|nl|pl|it|es|us)\\b",
            Pattern.CASE_INSENSITIVE | Pattern.UNICODE_CASE);

    private Names() {}

    /** Whether a name holds the address of a website or a mailbox. */
    public static boolean leadsAway(String name) {
        return AWAY.matcher(name).find();
    }
}
