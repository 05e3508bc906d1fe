package gastfreund.app.documents;

import com.lowagie.text.Element;
import com.lowagie.text.Font;
import com.lowagie.text.PageSize;
import com.lowagie.text.Paragraph;
import com.lowagie.text.Phrase;
import com.lowagie.text.Rectangle;
import com.lowagie.text.pdf.PdfPCell;
import com.lowagie.text.pdf.PdfPTable;
import com.lowagie.text.pdf.PdfWriter;
import gastfreund.app.languages.Formats;
import gastfreund.core.money.Money;
import java.awt.Color;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import org.librepdf.openpdf.fonts.Liberation;

/** Draws a document as a PDF of one column of words and one of amounts. */
final class DocumentPdf {

    private static final Color INK = new Color(0x2a, 0x1f, 0x2d);
    private static final Color QUIET = new Color(0x66, 0x60, 0x6a);
    private static final Color LINE = new Color(0xe5, 0xdc, 0xd0);
    private static final float MARGIN = 64;
    private static final float LEADING = 1.45f;

    private final Document document;
    private final Formats f;

    DocumentPdf(Document document, Formats f) {
        this.document = document;
        this.f = f;
    }

    byte[] drawn() {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (com.lowagie.text.Document pdf =
                new com.lowagie.text.Document(PageSize.A4, MARGIN, MARGIN, MARGIN, MARGIN)) {
            PdfWriter.getInstance(pdf, out);
            String kind = document.kind().code();
            pdf.addTitle(f.text("document." + kind, Long.toString(document.number())));
            pdf.setDocumentLanguage(document.locale().toLanguageTag());
            pdf.open();
            pdf.add(new Paragraph(document.house(), font(true, 20, INK)));
            if (!document.issuer().isEmpty()) {
                pdf.add(new Paragraph(document.issuer(), font(false, 9, QUIET)));
            }
            Paragraph title =
                    new Paragraph(f.text("document." + kind, Long.toString(document.number())), font(true, 13, INK));
            title.setSpacingBefore(34);
            pdf.add(title);
            pdf.add(new Paragraph(
                    f.text("document.about", Long.toString(document.order()), f.fullDate(document.issued())),
                    font(false, 10, QUIET)));
            Paragraph guest = new Paragraph(f.text("document.for", document.guest()), font(false, 10, QUIET));
            guest.setSpacingAfter(22);
            pdf.add(guest);
            pdf.add(table());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toByteArray();
    }

    private PdfPTable table() throws IOException {
        PdfPTable table = new PdfPTable(new float[] {4, 1});
        table.setWidthPercentage(100);
        for (Document.Item item : document.items()) {
            Phrase words = new Phrase(item.title(), font(true, 11, INK));
            words.add(new Phrase("\n" + item.when(), font(false, 10, QUIET)));
            row(table, words, item.amount(), font(false, 11, INK), true);
        }
        row(
                table,
                new Phrase(f.text("ladder.total"), font(true, 13, INK)),
                document.total(),
                font(true, 13, INK),
                false);
        for (Document.Tax tax : document.taxes()) {
            String words = f.text("ladder.tax", tax.rate()) + " (" + f.text("document.net", f.money(tax.net())) + ")";
            row(table, new Phrase(words, font(false, 10, QUIET)), tax.tax(), font(false, 10, QUIET), false);
        }
        boolean receipt = document.kind() == Document.Kind.RECEIPT;
        if (receipt || document.paid().isPositive()) {
            String paid = receipt ? "booking.paid" : "cancel.back";
            row(table, new Phrase(f.text(paid), font(true, 11, INK)), document.paid(), font(true, 11, INK), false);
        }
        Money left = document.total().minus(document.paid());
        if (left.isPositive()) {
            String rest = receipt ? "booking.later" : "document.dropped";
            row(table, new Phrase(f.text(rest), font(false, 11, INK)), left, font(false, 11, INK), false);
        }
        return table;
    }

    private void row(PdfPTable table, Phrase words, Money amount, Font font, boolean lined) {
        cell(table, words, Element.ALIGN_LEFT, lined);
        cell(table, new Phrase(f.money(amount), font), Element.ALIGN_RIGHT, lined);
    }

    private static void cell(PdfPTable table, Phrase phrase, int alignment, boolean lined) {
        PdfPCell cell = new PdfPCell(phrase);
        cell.setHorizontalAlignment(alignment);
        cell.setBorder(lined ? Rectangle.BOTTOM : Rectangle.NO_BORDER);
        cell.setBorderColor(LINE);
        cell.setPadding(0);
        cell.setLeading(0, LEADING);
        cell.setPaddingTop(8);
        cell.setPaddingBottom(lined ? 12 : 2);
        table.addCell(cell);
    }

    private static Font font(boolean bold, float size, Color color) throws IOException {
        Font font = (bold ? Liberation.SANS_BOLD : Liberation.SANS).create();
        font.setSize(size);
        font.setColor(color);
        return font;
    }
}
