package gastfreund.app.extras;

import gastfreund.housefile.Node;
import java.util.List;
import java.util.stream.Stream;

/**
 * What the law wants to stand on receipts and credit notes; empty: not said yet.
 *
 * @param name in full, of the company or the person that the house is
 * @param address in lines
 * @param taxNumber with the words that go with it
 */
public record Legal(String name, String address, String taxNumber) {

    private static final Legal NONE = new Legal("", "", "");

    static Legal of(Node extra) {
        return extra.member("legal")
                .map(legal -> legal.object("name", "address", "taxNumber"))
                .map(legal -> new Legal(
                        legal.textOrBlank("name"), legal.textOrBlank("address"), legal.textOrBlank("taxNumber")))
                .orElse(NONE);
    }

    /** All of it that is said, in lines. */
    public String inLines() {
        return String.join(
                "\n",
                Stream.of(name, address, taxNumber).filter(l -> !l.isEmpty()).toList());
    }

    /** Whether receipts can be sent with it. */
    public boolean isWhole() {
        return List.of(name, address, taxNumber).stream().noneMatch(String::isEmpty);
    }
}
