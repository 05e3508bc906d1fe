package gastfreund.app.statements;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import gastfreund.app.typed.GivenTable;
import gastfreund.core.money.Money;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Tables of banks are read as these write them. */
class BankTableTest {

    private static final String GERMAN =
            """
            Umsatzanzeige;Datei erstellt am: 21.01.2027

            Buchung;Auftraggeber/Empfänger;Verwendungszweck;Betrag;Währung
            20.01.2027;Imke Dahl;"Bestellung 1042-KQX; danke";52,50;EUR
            19.01.27;Strom AG;Abschlag;-1.049,00;EUR
            18.01.2027;Haus am See;Miete;1.200,00;EUR
            Summe;;;203,50;
            """;

    @Test
    void headsAreFoundAndColumnsGuessed() throws UnreadableException {
        BankTable table = BankTable.read(GERMAN);
        assertThat(table.heads()).startsWith("Buchung", "Auftraggeber/Empfänger");
        assertThat(table.guessed())
                .startsWith(
                        BankTable.Column.DATE, BankTable.Column.NAME, BankTable.Column.WORDS, BankTable.Column.AMOUNT);
        List<StatementLine> lines = table.lines(table.guessed(), 2);
        assertThat(lines)
                .extracting(l -> l.booked() + " " + l.amount().minor() + " " + l.name() + " " + l.words())
                .containsExactly(
                        "2027-01-20 5250 Imke Dahl Bestellung 1042-KQX; danke", "2027-01-18 120000 Haus am See Miete");
    }

    @Test
    void whatIsNoTableOrSaysTooLittleIsRefused() throws UnreadableException {
        assertThatThrownBy(() -> BankTable.read("hello")).hasMessage("statements.noTable");
        assertThatThrownBy(() -> BankTable.read("")).hasMessage("statements.noTable");
        BankTable table = BankTable.read(GERMAN);
        assertThatThrownBy(() -> table.lines(List.of(BankTable.Column.DATE), 2)).hasMessage("statements.noColumns");
        assertThatThrownBy(() -> table.lines(List.of(BankTable.Column.AMOUNT, BankTable.Column.DATE), 2))
                .hasMessage("statements.noRows");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
                    1.234,56   | 123456
                    1,234.56   | 123456
                    1'234.50   | 123450
                    1 234,5 €  | 123450
                    +12        | 1200
                    -0,01      | -1
                    1.234      | 123400
                    52.50 EUR  | 5250
                    """)
    void amountsAreReadAsTheyAreWritten(String written, long cents) {
        assertThat(GivenTable.amount(written, 2)).contains(Money.ofMinor(cents));
    }

    @Test
    void whatIsNoAmountOrNoDateIsNone() {
        assertThat(GivenTable.amount("twelve", 2)).isEmpty();
        assertThat(GivenTable.amount("", 2)).isEmpty();
        assertThat(GivenTable.amount("1.2.3,4,5", 2)).isEmpty();

        assertThat(BankTable.date("soon")).isEmpty();
    }
}
