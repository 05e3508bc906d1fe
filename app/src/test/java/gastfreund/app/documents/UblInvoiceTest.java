package gastfreund.app.documents;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.HostBrowser;
import gastfreund.app.endings.Endings;
import gastfreund.app.extras.Legal;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrdersTest;
import gastfreund.core.money.Money;
import gastfreund.core.terms.Terms;
import java.io.ByteArrayInputStream;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Currency;
import java.util.List;
import java.util.Locale;
import javax.xml.parsers.DocumentBuilderFactory;
import javax.xml.xpath.XPath;
import javax.xml.xpath.XPathConstants;
import javax.xml.xpath.XPathExpressionException;
import javax.xml.xpath.XPathFactory;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.w3c.dom.NodeList;

/** Documents as electronic invoices, beside the rules of EN 16931 that they can break. */
class UblInvoiceTest extends OrdersTest {

    @Autowired
    private Endings endings;

    /** An invoice as a program reads it, whatever its prefixes are. */
    private static final class Read {
        private final org.w3c.dom.Document xml;
        private final XPath path = XPathFactory.newInstance().newXPath();

        Read(String written) throws Exception {
            DocumentBuilderFactory factory = DocumentBuilderFactory.newInstance();
            factory.setNamespaceAware(true);
            xml = factory.newDocumentBuilder()
                    .parse(new ByteArrayInputStream(written.getBytes(StandardCharsets.UTF_8)));
        }

        private static String local(String way) {
            return way.replaceAll("(?<=/|^|\\[)([A-Za-z]+)", "*[local-name()='$1']");
        }

        List<String> all(String way) {
            try {
                NodeList found = (NodeList) path.evaluate(local(way), xml, XPathConstants.NODESET);
                List<String> values = new ArrayList<>();
                for (int i = 0; i < found.getLength(); i++) {
                    values.add(found.item(i).getTextContent());
                }
                return values;
            } catch (XPathExpressionException e) {
                throw new IllegalStateException(e);
            }
        }

        String one(String way) {
            List<String> all = all(way);
            assertThat(all).as(way).hasSize(1);
            return all.get(0);
        }

        BigDecimal amount(String way) {
            return new BigDecimal(one(way));
        }

        BigDecimal sum(String way) {
            return all(way).stream().map(BigDecimal::new).reduce(BigDecimal.ZERO, BigDecimal::add);
        }
    }

    /** The rules that speak of what is always in one of these (BR-1 to BR-16, BR-CO-10 to BR-CO-18, BR-S-8, BR-S-9, BR-E-10). */
    private static void obeysTheRules(String written) throws Exception {
        Read xml = new Read(written);
        String root = xml.xml.getDocumentElement().getLocalName();
        String line = "/" + root + "/" + (root.equals("Invoice") ? "InvoiceLine" : "CreditNoteLine");
        String of = "/" + root + "/";
        for (String must : List.of(
                "CustomizationID",
                "ID",
                "IssueDate",
                root + "TypeCode",
                "DocumentCurrencyCode",
                "AccountingSupplierParty/Party/PartyLegalEntity/RegistrationName",
                "AccountingSupplierParty/Party/PostalAddress/Country/IdentificationCode",
                "AccountingCustomerParty/Party/PartyLegalEntity/RegistrationName",
                "AccountingCustomerParty/Party/PostalAddress/Country/IdentificationCode")) {
            assertThat(xml.one(of + must)).as(must).isNotBlank();
        }
        assertThat(xml.all(line)).isNotEmpty();
        for (String must : List.of("ID", "LineExtensionAmount", "Item/Name", "Price/PriceAmount")) {
            assertThat(xml.all(line + "/" + must))
                    .as(must)
                    .hasSameSizeAs(xml.all(line))
                    .doesNotContain("");
        }
        String totals = of + "LegalMonetaryTotal/";
        BigDecimal net = xml.amount(totals + "TaxExclusiveAmount");
        BigDecimal gross = xml.amount(totals + "TaxInclusiveAmount");
        BigDecimal tax = xml.amount(of + "TaxTotal/TaxAmount");
        assertThat(xml.sum(line + "/LineExtensionAmount"))
                .as("BR-CO-10")
                .isEqualByComparingTo(xml.amount(totals + "LineExtensionAmount"));
        assertThat(net).as("BR-CO-13").isEqualByComparingTo(xml.amount(totals + "LineExtensionAmount"));
        assertThat(xml.sum(of + "TaxTotal/TaxSubtotal/TaxAmount"))
                .as("BR-CO-14")
                .isEqualByComparingTo(tax);
        assertThat(gross).as("BR-CO-15").isEqualByComparingTo(net.add(tax));
        BigDecimal due = xml.amount(totals + "PayableAmount");
        assertThat(due).as("BR-CO-16").isEqualByComparingTo(gross.subtract(xml.amount(totals + "PrepaidAmount")));
        if (due.signum() > 0) {
            assertThat(xml.one(of + "PaymentTerms/Note")).as("BR-CO-25").isNotBlank();
        }
        String rates = of + "TaxTotal/TaxSubtotal";
        List<String> percents = xml.all(rates + "/TaxCategory/Percent");
        for (int i = 1; i <= percents.size(); i++) {
            String rate = rates + "[" + i + "]";
            String category = xml.one(rate + "/TaxCategory/ID");
            BigDecimal taxable = xml.amount(rate + "/TaxableAmount");
            BigDecimal percent = new BigDecimal(percents.get(i - 1));
            BigDecimal own = xml.sum(
                    line + "[Item/ClassifiedTaxCategory/Percent='" + percents.get(i - 1) + "']/LineExtensionAmount");
            assertThat(own).as("BR-S-8").isEqualByComparingTo(taxable);
            assertThat(xml.amount(rate + "/TaxAmount"))
                    .as("BR-S-9, within the cent by which a price with tax is rounded")
                    .isCloseTo(
                            taxable.multiply(percent).divide(BigDecimal.valueOf(100), 2, RoundingMode.HALF_UP),
                            Offset.offset(new BigDecimal("0.01")));
            if (category.equals("E")) {
                assertThat(xml.one(rate + "/TaxCategory/TaxExemptionReason"))
                        .as("BR-E-10")
                        .isNotBlank();
                assertThat(percent).as("BR-E-5").isEqualByComparingTo(BigDecimal.ZERO);
            } else {
                assertThat(category).isEqualTo("S");
                assertThat(percent).as("BR-S-5").isPositive();
                assertThat(xml.one(of + "AccountingSupplierParty/Party/PartyTaxScheme/CompanyID"))
                        .as("BR-S-2")
                        .isNotBlank();
            }
        }
    }

    @Test
    void aReceiptAndACreditNoteAreInvoicesThatAddUp() throws Exception {
        Order order = paid("private-lesson", "90", 7, "WORKS");
        Money back = endings.proposal(line(order), Terms.By.GUEST).refund();
        endings.cancelByGuest(order, line(order).reserved().id(), back, "");
        List<Long> numbers = jdbc.sql("SELECT number FROM documents WHERE order_id = ? ORDER BY number")
                .param(order.id())
                .query(Long.class)
                .list();
        assertThat(numbers).hasSize(2);
        HostBrowser host = new HostBrowser(address(""), somebody());
        host.signIn("okka@quillmere.example", "clay and water");
        for (long number : numbers) {
            String path = "/documents/" + number + ".xml";
            String own = get("/bookings/" + order.token() + path).body();
            obeysTheRules(own);
            assertThat(host.get("/desk/orders/" + order.number() + path).body()).isEqualTo(own);
            assertThat(own).contains("Wenke Farrow", "currencyID=\"EUR\"", "urn:cen.eu:en16931:2017");
        }
        assertThat(get("/bookings/" + order.token()).body()).contains("as an electronic invoice (XML)");
        assertThat(get("/bookings/" + order.token() + "/documents/1.xml").statusCode())
                .isEqualTo(404);
    }

    private static String written(List<Document.Item> items, List<Document.Tax> taxes, Money total, Money paid) {
        Document document = new Document(
                5001,
                Document.Kind.RECEIPT,
                1001,
                Instant.parse("2027-01-13T10:00:00Z"),
                Locale.ENGLISH,
                "House",
                "",
                "Tilde <Rehn> & Co",
                items,
                taxes,
                total,
                paid);
        return UblInvoice.of(
                document,
                Invoice.of(document).orElseThrow(),
                new Legal("House, Okka", "Mill Yard 3\n10999 Quillmere", "VAT no. DE 123 456 789"),
                "DE",
                Currency.getInstance("EUR"),
                ZoneId.of("Europe/Berlin"));
    }

    @Test
    void severalRatesAndCentsThatDoNotDivideAddUpToo() throws Exception {
        List<Document.Item> items = List.of(
                new Document.Item("a", "", Money.ofMinor(333), "19"),
                new Document.Item("b", "then", Money.ofMinor(334), "19"),
                new Document.Item("c", "", Money.ofMinor(333), "19"),
                new Document.Item("bread", "", Money.ofMinor(101), "7"),
                new Document.Item("voucher", "", Money.ofMinor(2500), "0"));
        List<Document.Tax> taxes = List.of(
                new Document.Tax("19", Money.ofMinor(840), Money.ofMinor(160)),
                new Document.Tax("7", Money.ofMinor(94), Money.ofMinor(7)));
        String xml = written(items, taxes, Money.ofMinor(3601), Money.ofMinor(1000));
        obeysTheRules(xml);
        assertThat(new Read(xml).all("/Invoice/TaxTotal/TaxSubtotal/TaxCategory/ID"))
                .containsExactly("S", "S", "E");
        assertThat(new Read(xml).one("/Invoice/AccountingSupplierParty/Party/PartyTaxScheme/CompanyID"))
                .isEqualTo("DE123456789");
        assertThat(new Read(xml).one("/Invoice/AccountingCustomerParty/Party/PartyLegalEntity/RegistrationName"))
                .isEqualTo("Tilde <Rehn> & Co");
    }

    @Test
    void whatWasIssuedBeforeRatesWereKeptIsOneWhereItHasOneRate() throws Exception {
        List<Document.Item> items = List.of(new Document.Item("a", "", Money.ofMinor(1190), ""));
        List<Document.Tax> one = List.of(new Document.Tax("19", Money.ofMinor(1000), Money.ofMinor(190)));
        obeysTheRules(written(items, one, Money.ofMinor(1190), Money.ofMinor(1190)));
        Document two = new Document(
                1,
                Document.Kind.RECEIPT,
                1,
                Instant.EPOCH,
                Locale.ENGLISH,
                "",
                "",
                "",
                List.of(items.get(0), new Document.Item("b", "", Money.ofMinor(107), "")),
                List.of(one.get(0), new Document.Tax("7", Money.ofMinor(100), Money.ofMinor(7))),
                Money.ofMinor(1297),
                Money.ZERO);
        assertThat(two.hasInvoice()).isFalse();
    }
}
