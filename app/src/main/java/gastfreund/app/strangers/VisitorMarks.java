package gastfreund.app.strangers;

import gastfreund.app.secrets.Secrets;
import org.springframework.stereotype.Component;

/** Tells visitors apart in the tables without keeping where they come from: a keyed hash, which nobody can turn back. */
@Component
public class VisitorMarks {

    private final Secrets secrets;

    VisitorMarks(Secrets secrets) {
        this.secrets = secrets;
    }

    /** A mark of a guest's mail address, for where the address itself is not to stand. */
    public String ofGuest(String email) {
        return secrets.mark("guest", email);
    }

    /** @return empty: nobody whose looks count, but the house itself */
    public String of(Visitor visitor) {
        return visitor.equals(Visitor.HOUSE) ? "" : secrets.mark("visitor", visitor.network());
    }
}
