package gastfreund.app.documents;

import gastfreund.app.extras.Legal;
import gastfreund.core.money.Money;
import java.io.StringWriter;
import java.math.BigDecimal;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.Currency;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.xml.stream.XMLOutputFactory;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamWriter;

/** Writes a document as an electronic invoice: EN 16931 in the syntax of UBL 2.1 (an invoice, or a credit note). */
final class UblInvoice {

    private static final String CBC = "urn:oasis:names:specification:ubl:schema:xsd:CommonBasicComponents-2";
    private static final String CAC = "urn:oasis:names:specification:ubl:schema:xsd:CommonAggregateComponents-2";
    private static final String DOCUMENT = "urn:oasis:names:specification:ubl:schema:xsd:";

    /** The specification that it follows. */
    private static final String EN_16931 = "urn:cen.eu:en16931:2017";

    /** What an identification for value added tax looks like in what a house says of its taxes: a country, then figures. */
    private static final Pattern VAT = Pattern.compile("[A-Z]{2} ?[0-9][0-9A-Z ]{1,18}+");

    /** A code of UN/ECE recommendation 20: one of something. */
    private static final String ONE = "C62";

    private final Document document;
    private final Invoice invoice;
    private final Legal legal;
    private final String country;
    private final Currency currency;
    private final ZoneId zone;
    private final StringWriter out = new StringWriter();
    private final XMLStreamWriter xml;
    private final boolean credit;

    private UblInvoice(Document document, Invoice invoice, Legal legal, String country, Currency currency, ZoneId zone)
            throws XMLStreamException {
        this.document = document;
        this.invoice = invoice;
        this.legal = legal;
        this.country = country;
        this.currency = currency;
        this.zone = zone;
        this.credit = document.kind() == Document.Kind.CREDIT_NOTE;
        this.xml = XMLOutputFactory.newFactory().createXMLStreamWriter(out);
    }

    /**
     * The document as XML.
     *
     * @param legal who issues it
     * @param country ISO 3166-1, two letters, of the house; its guests are taken to be of the same
     */
    static String of(Document document, Invoice invoice, Legal legal, String country, Currency currency, ZoneId zone) {
        try {
            UblInvoice written = new UblInvoice(document, invoice, legal, country, currency, zone);
            written.write();
            return written.out.toString();
        } catch (XMLStreamException e) {
            throw new IllegalStateException(e);
        }
    }

    private void write() throws XMLStreamException {
        String root = credit ? "CreditNote" : "Invoice";
        xml.writeStartDocument("UTF-8", "1.0");
        xml.writeStartElement(root);
        xml.writeDefaultNamespace(DOCUMENT + root + "-2");
        xml.writeNamespace("cbc", CBC);
        xml.writeNamespace("cac", CAC);
        value("CustomizationID", EN_16931);
        value("ID", Long.toString(document.number()));
        value("IssueDate", document.issued().atZone(zone).format(DateTimeFormatter.ISO_LOCAL_DATE));
        value(credit ? "CreditNoteTypeCode" : "InvoiceTypeCode", credit ? "381" : "380");
        value("DocumentCurrencyCode", currency.getCurrencyCode());
        open("OrderReference");
        value("ID", Long.toString(document.order()));
        close();
        seller();
        buyer();
        if (due().isPositive()) {
            open("PaymentTerms");
            value("Note", credit ? "Goes back, or is not asked for" : "As agreed with the order");
            close();
        }
        taxes();
        totals();
        int number = 1;
        for (Invoice.Line line : invoice.lines()) {
            line(number++, line);
        }
        xml.writeEndElement();
        xml.writeEndDocument();
        xml.flush();
    }

    private void seller() throws XMLStreamException {
        List<String> issuer = document.issuer().lines().toList();
        String name = !legal.name().isEmpty() ? legal.name() : issuer.isEmpty() ? document.house() : issuer.get(0);
        open("AccountingSupplierParty");
        open("Party");
        open("PartyName");
        value("Name", document.house());
        close();
        address(legal.address().lines().toList());
        if (!legal.taxNumber().isEmpty()) {
            Matcher vat = VAT.matcher(legal.taxNumber());
            boolean found = vat.find();
            open("PartyTaxScheme");
            value("CompanyID", found ? vat.group().replace(" ", "") : legal.taxNumber());
            open("TaxScheme");
            value("ID", found ? "VAT" : "TAX");
            close();
            close();
        }
        open("PartyLegalEntity");
        value("RegistrationName", name);
        close();
        close();
        close();
    }

    private void buyer() throws XMLStreamException {
        List<String> lines = document.guest().lines().toList();
        open("AccountingCustomerParty");
        open("Party");
        address(lines.stream().skip(1).toList());
        open("PartyLegalEntity");
        value("RegistrationName", lines.isEmpty() ? "" : lines.get(0));
        close();
        close();
        close();
    }

    /** As it was written, in lines: nobody asks for its parts. */
    private void address(List<String> lines) throws XMLStreamException {
        open("PostalAddress");
        if (!lines.isEmpty()) {
            value("StreetName", lines.get(0));
        }
        if (lines.size() > 1) {
            value("AdditionalStreetName", lines.get(1));
        }
        if (lines.size() > 2) {
            open("AddressLine");
            value("Line", String.join(", ", lines.subList(2, lines.size())));
            close();
        }
        open("Country");
        value("IdentificationCode", country);
        close();
        close();
    }

    private void taxes() throws XMLStreamException {
        open("TaxTotal");
        amount("TaxAmount", invoice.tax());
        for (Invoice.Rate rate : invoice.rates()) {
            open("TaxSubtotal");
            amount("TaxableAmount", rate.net());
            amount("TaxAmount", rate.tax());
            category("TaxCategory", rate.rate(), true);
            close();
        }
        close();
    }

    /** Taxed at a rate (S), or exempt (E), which needs a reason: a voucher's sale contains no tax, what it pays for does. */
    private void category(String element, String rate, boolean whole) throws XMLStreamException {
        boolean taxed =
                invoice.rates().stream().filter(r -> r.rate().equals(rate)).anyMatch(Invoice.Rate::isTaxed);
        open(element);
        value("ID", taxed ? "S" : "E");
        value("Percent", taxed ? new BigDecimal(rate).toPlainString() : "0");
        if (whole && !taxed) {
            value("TaxExemptionReason", "No tax is contained in it");
        }
        open("TaxScheme");
        value("ID", "VAT");
        close();
        close();
    }

    private Money due() {
        return document.total().minus(document.paid());
    }

    private void totals() throws XMLStreamException {
        open("LegalMonetaryTotal");
        amount("LineExtensionAmount", invoice.net());
        amount("TaxExclusiveAmount", invoice.net());
        amount("TaxInclusiveAmount", document.total());
        amount("PrepaidAmount", document.paid());
        amount("PayableAmount", due());
        close();
    }

    private void line(int number, Invoice.Line line) throws XMLStreamException {
        open(credit ? "CreditNoteLine" : "InvoiceLine");
        value("ID", Integer.toString(number));
        xml.writeStartElement("cbc", credit ? "CreditedQuantity" : "InvoicedQuantity", CBC);
        xml.writeAttribute("unitCode", ONE);
        xml.writeCharacters("1");
        close();
        amount("LineExtensionAmount", line.net());
        open("Item");
        if (!line.when().isEmpty()) {
            value("Description", line.when());
        }
        value("Name", line.title());
        category("ClassifiedTaxCategory", line.rate(), false);
        close();
        open("Price");
        amount("PriceAmount", line.net());
        close();
        close();
    }

    private void open(String element) throws XMLStreamException {
        xml.writeStartElement("cac", element, CAC);
    }

    private void close() throws XMLStreamException {
        xml.writeEndElement();
    }

    private void value(String element, String text) throws XMLStreamException {
        xml.writeStartElement("cbc", element, CBC);
        xml.writeCharacters(text);
        xml.writeEndElement();
    }

    private void amount(String element, Money money) throws XMLStreamException {
        xml.writeStartElement("cbc", element, CBC);
        xml.writeAttribute("currencyID", currency.getCurrencyCode());
        xml.writeCharacters(BigDecimal.valueOf(money.minor(), currency.getDefaultFractionDigits())
                .toPlainString());
        xml.writeEndElement();
    }
}
