package gastfreund.app.vouchers;

import com.lowagie.text.Document;
import com.lowagie.text.Element;
import com.lowagie.text.Font;
import com.lowagie.text.PageSize;
import com.lowagie.text.Paragraph;
import com.lowagie.text.Rectangle;
import com.lowagie.text.pdf.ColumnText;
import com.lowagie.text.pdf.PdfContentByte;
import com.lowagie.text.pdf.PdfWriter;
import gastfreund.app.languages.Formats;
import gastfreund.app.pages.Code;
import java.awt.Color;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import org.librepdf.openpdf.fonts.Liberation;

/** A voucher or a pass as a page to be printed and given away: words on the left, the code for a camera on the right. */
final class PrepaidPdf {

    private static final Color INK = new Color(0x2a, 0x1f, 0x2d);
    private static final Color QUIET = new Color(0x66, 0x60, 0x6a);
    private static final Color CLAY = new Color(0xb5, 0x48, 0x2f);
    private static final Color PAPER = new Color(0xfb, 0xf7, 0xf1);
    private static final float MARGIN = 48;
    private static final float CODE = 150;

    private final Prepaid prepaid;
    private final String house;
    private final String address;
    private final Formats f;

    /** @param address what the code for a camera leads to */
    PrepaidPdf(Prepaid prepaid, String house, String address, Formats f) {
        this.prepaid = prepaid;
        this.house = house;
        this.address = address;
        this.f = f;
    }

    byte[] drawn() {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        Rectangle page = PageSize.A5.rotate();
        try (Document pdf = new Document(page, MARGIN, MARGIN, MARGIN, MARGIN)) {
            PdfWriter writer = PdfWriter.getInstance(pdf, out);
            pdf.addTitle(prepaid.title() + " " + prepaid.code());
            pdf.setDocumentLanguage(f.locale().toLanguageTag());
            pdf.open();
            PdfContentByte canvas = writer.getDirectContent();
            canvas.setColorFill(PAPER);
            canvas.rectangle(0, 0, page.getWidth(), page.getHeight());
            canvas.fill();
            canvas.setColorFill(CLAY);
            canvas.rectangle(0, 0, 10, page.getHeight());
            canvas.fill();
            float right = page.getWidth() - MARGIN;
            ColumnText column = new ColumnText(canvas);
            column.setSimpleColumn(MARGIN, MARGIN, right - CODE - 28, page.getHeight() - MARGIN + 6);
            write(column);
            drawCode(canvas, right - CODE, page.getHeight() - MARGIN - CODE);
            ColumnText under = new ColumnText(canvas);
            under.setSimpleColumn(right - CODE, MARGIN, right, page.getHeight() - MARGIN - CODE - 6);
            under.addElement(paragraph(f.text("prepaid.scan"), font(false, 9, QUIET), 0));
            under.go();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toByteArray();
    }

    private void write(ColumnText column) throws IOException {
        column.addElement(paragraph(house, font(true, 15, INK), 0));
        column.addElement(paragraph(prepaid.title(), font(false, 12, QUIET), 22));
        String worth = prepaid.isVoucher() ? f.money(prepaid.worthMoney()) : f.text("prepaid.visits", prepaid.worth());
        column.addElement(paragraph(worth, font(true, 34, CLAY), 4));
        if (!prepaid.recipient().isEmpty()) {
            column.addElement(paragraph(f.text("prepaid.for", prepaid.recipient()), font(true, 13, INK), 16));
        }
        if (!prepaid.greeting().isEmpty()) {
            column.addElement(paragraph(prepaid.greeting(), font(false, 11, INK), 6));
        }
        column.addElement(paragraph(prepaid.code(), font(true, 18, INK), 24));
        column.addElement(paragraph(f.text("prepaid.until", f.fullDate(prepaid.lastDay())), font(false, 10, QUIET), 4));
        column.go();
    }

    private static Paragraph paragraph(String text, Font font, float before) {
        Paragraph paragraph = new Paragraph(font.getSize() * 1.35f, text, font);
        paragraph.setSpacingBefore(before);
        paragraph.setAlignment(Element.ALIGN_LEFT);
        return paragraph;
    }

    private void drawCode(PdfContentByte canvas, float x, float y) {
        Code code = Code.of(address);
        float module = CODE / code.size();
        canvas.setColorFill(Color.WHITE);
        canvas.rectangle(x, y, CODE, CODE);
        canvas.fill();
        canvas.setColorFill(INK);
        for (int row = 0; row < code.size(); row++) {
            for (int column = 0; column < code.size(); column++) {
                if (code.isDark(column, row)) {
                    canvas.rectangle(x + column * module, y + CODE - (row + 1) * module, module, module);
                }
            }
        }
        canvas.fill();
    }

    private static Font font(boolean bold, float size, Color color) throws IOException {
        Font font = (bold ? Liberation.SANS_BOLD : Liberation.SANS).create();
        font.setSize(size);
        font.setColor(color);
        return font;
    }
}
