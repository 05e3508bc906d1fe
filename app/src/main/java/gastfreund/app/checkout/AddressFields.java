package gastfreund.app.checkout;

import gastfreund.app.languages.Formats;
import gastfreund.app.pages.Field;
import gastfreund.app.visits.Found;
import java.util.List;

/** The fields in which guests say where they are visited. */
final class AddressFields {

    static final int MOST = 400;

    private AddressFields() {}

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
