package gastfreund.app.pictures;

import gastfreund.housefile.Node;
import java.util.regex.Pattern;

/** The names of pictures, as documents keep them. */
public final class PictureName {

    private static final Pattern NAME = Pattern.compile("\\A[a-z0-9-]++\\.(?:svg|png|jpg|webp)\\z");

    private static final Pattern POINTS = Pattern.compile("\\A[a-z0-9-]++\\.(?:png|jpg|webp)\\z");

    private PictureName() {}

    /** Whether it names a picture of points, and no drawing. */
    public static boolean isOfPoints(String name) {
        return POINTS.matcher(name).matches();
    }

    /** What a member names; empty: no picture. */
    public static String in(Node owner, String member) {
        String name = owner.textOrBlank(member);
        if (!name.isEmpty() && !NAME.matcher(name).matches()) {
            owner.at(member).problem("must be the file name of a picture");
        }
        return name;
    }
}
