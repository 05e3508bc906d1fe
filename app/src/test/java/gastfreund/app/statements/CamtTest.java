package gastfreund.app.statements;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import gastfreund.core.money.Money;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Statements in ISO 20022 camt.053 are read in older and newer versions, and what is no credit in our currency is not. */
class CamtTest {

    static String statement(String version, String... entries) {
        return """
                <?xml version="1.0" encoding="UTF-8"?>
                <Document xmlns="urn:iso:std:iso:20022:tech:xsd:camt.053.001.%s"><BkToCstmrStmt>
                <GrpHdr><MsgId>M1</MsgId><CreDtTm>2027-01-21T06:00:00+01:00</CreDtTm></GrpHdr>
                <Stmt><Id>S1</Id>%s</Stmt></BkToCstmrStmt></Document>
                """
                .formatted(version, String.join("", entries));
    }

    static String entry(String reference, String amount, String name, String words) {
        return """
                <Ntry><Amt Ccy="EUR">%s</Amt><CdtDbtInd>CRDT</CdtDbtInd><Sts>BOOK</Sts><BookgDt><Dt>2027-01-20</Dt></BookgDt>
                <AcctSvcrRef>%s</AcctSvcrRef><NtryDtls><TxDtls><Refs><EndToEndId>NOTPROVIDED</EndToEndId></Refs>
                <RltdPties><Dbtr><Nm>%s</Nm></Dbtr></RltdPties><RmtInf><Ustrd>%s</Ustrd></RmtInf></TxDtls></NtryDtls></Ntry>
                """
                .formatted(amount, reference, name, words);
    }

    private static List<StatementLine> read(String xml) throws UnreadableException {
        return Camt.read(xml.getBytes(StandardCharsets.UTF_8), "EUR", 2);
    }

    @Test
    void aCreditIsReadWithWhoSentItAndWhatFor() throws UnreadableException {
        StatementLine line = read(statement("02", entry("B77", "52.5", "Imke D\u00e4hl", "1042-KQX")))
                .get(0);
        assertThat(line.amount()).isEqualTo(Money.ofMinor(5250));
        assertThat(line.booked()).isEqualTo(LocalDate.of(2027, 1, 20));
        assertThat(line.name()).isEqualTo("Imke D\u00e4hl");
        assertThat(line.words()).isEqualTo("1042-KQX");
        assertThat(line.mark()).contains("B77");
    }

    @Test
    void newerVersionsAndEntriesOfSeveralPaymentsAreReadToo() throws UnreadableException {
        String several =
                """
                <Ntry><Amt Ccy="EUR">30.00</Amt><CdtDbtInd>CRDT</CdtDbtInd><Sts><Cd>BOOK</Cd></Sts>
                <BookgDt><DtTm>2027-01-19T23:59:00+01:00</DtTm></BookgDt><AcctSvcrRef>B1</AcctSvcrRef><NtryDtls>
                <TxDtls><Amt Ccy="EUR">10.00</Amt><RltdPties><Dbtr><Pty><Nm>Ann</Nm></Pty></Dbtr></RltdPties>
                <RmtInf><Strd><CdtrRefInf><Ref>RF18</Ref></CdtrRefInf></Strd></RmtInf></TxDtls>
                <TxDtls><AmtDtls><TxAmt><Amt Ccy="EUR">20.00</Amt></TxAmt></AmtDtls><Refs><EndToEndId>1043-ABC</EndToEndId></Refs></TxDtls>
                </NtryDtls></Ntry>
                """;
        List<StatementLine> lines = read(statement("08", several));
        assertThat(lines).extracting(l -> l.amount().minor()).containsExactly(1000L, 2000L);
        assertThat(lines).extracting(StatementLine::words).containsExactly("RF18", "1043-ABC");
        assertThat(lines.get(0).name()).isEqualTo("Ann");
        assertThat(lines).extracting(StatementLine::mark).doesNotHaveDuplicates();
    }

    @Test
    void whatGoesOutIsPendingTakenBackOrInAnotherCurrencyIsLeftOut() throws UnreadableException {
        String good = entry("B1", "1.00", "A", "x");
        assertThat(read(statement(
                        "02",
                        good.replace("CRDT", "DBIT"),
                        good.replace(">BOOK<", ">PDNG<"),
                        good.replace("</CdtDbtInd>", "</CdtDbtInd><RvslInd>true</RvslInd>"),
                        good.replace("Ccy=\"EUR\"", "Ccy=\"CHF\""))))
                .isEmpty();
    }

    @Test
    void whatIsNoStatementIsRefused() {
        assertThatThrownBy(() -> read("<a/>")).hasMessage("statements.noCamt");
        assertThatThrownBy(() -> read("<a")).hasMessage("statements.noXml");
        assertThatThrownBy(() -> read(statement("02", entry("B", "1.001", "A", "x"))))
                .hasMessage("statements.noCamt");
        assertThatThrownBy(() -> read(statement("02", entry("B", "one", "A", "x"))))
                .hasMessage("statements.noCamt");
        assertThatThrownBy(() -> read("<!DOCTYPE a [<!ENTITY b SYSTEM \"file:///etc/passwd\">]><a>&b;</a>"))
                .hasMessage("statements.noXml");
    }
}
