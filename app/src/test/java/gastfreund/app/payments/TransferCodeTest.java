package gastfreund.app.payments;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

/** The text of the code for transfers is as EPC069-12 says. */
class TransferCodeTest {

    private static final String IBAN = "DE02 1203 0000 0000 2020 51";

    @Test
    void eachLineHasItsPlace() {
        assertThat(TransferCode.text("EUR", "Quillmere Clay House", IBAN, "52.50", "1042-KQX"))
                .contains("BCD\n002\n1\nSCT\n\nQuillmere Clay House\nDE02120300000000202051\nEUR52.50\n\n\n1042-KQX");
    }

    @Test
    void inOtherCurrenciesOrWithoutAnAccountThereIsNone() {
        assertThat(TransferCode.text("CHF", "House", IBAN, "1.00", "R")).isEmpty();
        assertThat(TransferCode.text("EUR", "House", "12345", "1.00", "R")).isEmpty();
        assertThat(TransferCode.text("EUR", " ", IBAN, "1.00", "R")).isEmpty();
    }

    @Test
    void aLongNameIsCutAndFits() {
        String text = TransferCode.text("EUR", "\u00e4".repeat(200), IBAN, "999999999.99", "R".repeat(100))
                .orElseThrow();
        assertThat(text.split("\n", -1)[5]).hasSize(70);
        assertThat(TransferCode.svg("EUR", "\u00e4".repeat(200), IBAN, "1.00", "R"))
                .isPresent();
    }
}
