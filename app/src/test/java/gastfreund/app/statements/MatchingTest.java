package gastfreund.app.statements;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.core.money.Money;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;

/** A line is a transfer for certain by reference and amount; with less it is proposed, and with nothing it is not. */
class MatchingTest {

    private static final Matching.Awaited IMKE =
            new Matching.Awaited("p1", "1042-KQX", Money.ofMinor(5250), "Imke Dahl", 1042);
    private static final Matching.Awaited JOST =
            new Matching.Awaited("p2", "1043-ABC", Money.ofMinor(5250), "Jost von Ahn", 1043);

    private static List<String> of(long cents, String name, String words) {
        StatementLine line = new StatementLine("", LocalDate.of(2027, 1, 20), Money.ofMinor(cents), name, words);
        return Matching.of(line, List.of(IMKE, JOST)).stream()
                .map(m -> m.awaited().payment() + " " + m.sure())
                .toList();
    }

    @Test
    void theReferenceIsKnownHoweverItIsWritten() {
        for (String words : List.of("1042-KQX", "order 1042 kqx, thanks", "EREF+1042/KQX", "1042KQX")) {
            assertThat(of(5250, "Somebody Else", words)).containsExactly("p1 CERTAIN");
        }
        assertThat(of(5200, "Imke Dahl", "1042-KQX")).containsExactly("p1 OTHER_AMOUNT");
    }

    @Test
    void withoutItTheAmountAndANameOrANumberAreProposed() {
        assertThat(of(5250, "DAHL, IMKE", "pottery")).containsExactly("p1 LIKELY");
        assertThat(of(5250, "A. Dahl", "order 1043")).containsExactly("p2 LIKELY");
        assertThat(of(5250, "A. Dahl", "pottery")).isEmpty();
        assertThat(of(5251, "Imke Dahl", "pottery")).isEmpty();
        assertThat(of(5250, "Ahn, Jost", "pottery")).as("von is too common").containsExactly();
    }

    @Test
    void whatNamesTwoIsCertainForNeither() {
        assertThat(of(5250, "", "1042-KQX and 1043-ABC")).containsExactly("p1 LIKELY", "p2 LIKELY");
    }
}
