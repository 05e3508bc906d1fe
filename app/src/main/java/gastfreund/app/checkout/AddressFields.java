package gastfreund.app.checkout;

import gastfreund.app.extras.Reach;
import gastfreund.app.languages.Formats;
import gastfreund.app.pages.Field;
import gastfreund.app.typed.Written;
import gastfreund.app.visits.Found;
import java.util.List;

/** The fields in which guests say where they are visited. */
final class AddressFields {

    private static final int MOST = 400;
    private static final double METRES = 1000;

    private AddressFields() {}

    /** What was sent, in lines; at most one character longer than it may be. */
    static String written(String address) {
        return Written.text(address, MOST + 1).replace("\r\n", "\n");
    }

    /** What is wrong with what was written; empty: nothing. */
    static String problem(String written, Formats f) {
        if (written.isEmpty()) {
            return f.text("where.missing");
        }
        return written.length() > MOST ? f.text("checkout.address.long") : "";
    }

    static String tooFar(int metres, String title, Reach reach, Formats f) {
        return f.text("where.tooFar", metres / METRES, title, reach.km());
    }

    static Field address(String written, String error, Formats f) {
        return Field.text("address", f.text("where.address"), MOST)
                .with("autocomplete", "street-address")
                .help(f.text("where.addressHelp"))
                .value(written)
                .required()
                .wrong(error);
    }

    /** Which of several is meant; the likeliest is proposed. */
    static Field meant(List<Found> found, Formats f) {
        List<Field.Option> options = found.stream()
                .map(one -> Field.Option.of(one.label(), one.label()))
                .toList();
        return Field.choice("meant", f.text("where.meant"), options)
                .value(options.get(0).value());
    }
}
