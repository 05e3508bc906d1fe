package gastfreund.app.sharing;

import com.lowagie.text.Document;
import com.lowagie.text.Element;
import com.lowagie.text.Font;
import com.lowagie.text.PageSize;
import com.lowagie.text.Paragraph;
import com.lowagie.text.Rectangle;
import com.lowagie.text.pdf.PdfContentByte;
import com.lowagie.text.pdf.PdfWriter;
import gastfreund.app.pages.Code;
import java.awt.Color;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import org.librepdf.openpdf.fonts.Liberation;

/**
 * A card of the size A6 to lay out or to pin up: what can be booked, and the code that leads there.
 *
 * @param house its name
 * @param words what guests are asked to do
 * @param address that is in the code
 * @param readable the address as somebody would type it
 */
record Card(
        String house, String title, String summary, String words, String address, String readable, String language) {

    private static final Color INK = new Color(0x2a, 0x1f, 0x2d);
    private static final Color QUIET = new Color(0x66, 0x60, 0x6a);
    private static final float MARGIN = 28;
    private static final float SIDE = 150;
    private static final float FOOT = 58;
    private static final int MOST_SUMMARY = 140;

    byte[] pdf() {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        Rectangle size = PageSize.A6;
        try (Document pdf = new Document(size, MARGIN, MARGIN, MARGIN, MARGIN)) {
            PdfWriter writer = PdfWriter.getInstance(pdf, out);
            pdf.addTitle(title);
            pdf.setDocumentLanguage(language);
            pdf.open();
            pdf.add(line(house, false, 9, QUIET, 0));
            pdf.add(line(title, true, 17, INK, 8));
            if (!summary.isEmpty()) {
                pdf.add(line(shortened(summary), false, 9, INK, 5));
            }
            code(writer.getDirectContent(), (size.getWidth() - SIDE) / 2, FOOT);
            foot(writer.getDirectContent(), size);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toByteArray();
    }

    private static String shortened(String text) {
        if (text.length() <= MOST_SUMMARY) {
            return text;
        }
        int end = text.lastIndexOf(' ', MOST_SUMMARY);
        return text.substring(0, end < 0 ? MOST_SUMMARY : end) + " …";
    }

    private static Paragraph line(String text, boolean bold, float size, Color color, float before) throws IOException {
        Font font = (bold ? Liberation.SANS_BOLD : Liberation.SANS).create();
        font.setSize(size);
        font.setColor(color);
        Paragraph line = new Paragraph(size * 1.3f, text, font);
        line.setSpacingBefore(before);
        line.setAlignment(Element.ALIGN_CENTER);
        return line;
    }

    private void code(PdfContentByte to, float left, float foot) {
        Code code = Code.of(address);
        float module = SIDE / code.size();
        to.setColorFill(INK);
        for (int y = 0; y < code.size(); y++) {
            for (int x = 0; x < code.size(); x++) {
                if (code.isDark(x, y)) {
                    to.rectangle(left + x * module, foot + SIDE - (y + 1) * module, module, module);
                }
            }
        }
        to.fill();
    }

    private void foot(PdfContentByte to, Rectangle size) throws IOException {
        centred(to, words, 11, INK, size, FOOT - 14, true);
        centred(to, readable, 8, QUIET, size, FOOT - 28, false);
    }

    private static void centred(
            PdfContentByte to, String text, float size, Color color, Rectangle page, float y, boolean bold)
            throws IOException {
        Font font = (bold ? Liberation.SANS_BOLD : Liberation.SANS).create();
        float room = page.getWidth() - 2 * MARGIN;
        float wide = font.getCalculatedBaseFont(true).getWidthPoint(text, size);
        float fitting = wide <= room ? size : size * room / wide;
        to.beginText();
        to.setFontAndSize(font.getCalculatedBaseFont(true), fitting);
        to.setColorFill(color);
        to.showTextAligned(PdfContentByte.ALIGN_CENTER, text, page.getWidth() / 2, y, 0);
        to.endText();
    }
}
