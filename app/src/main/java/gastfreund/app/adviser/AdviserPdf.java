package gastfreund.app.adviser;

import com.lowagie.text.Document;
import com.lowagie.text.Element;
import com.lowagie.text.Font;
import com.lowagie.text.PageSize;
import com.lowagie.text.Paragraph;
import com.lowagie.text.Phrase;
import com.lowagie.text.Rectangle;
import com.lowagie.text.pdf.PdfPCell;
import com.lowagie.text.pdf.PdfPTable;
import com.lowagie.text.pdf.PdfWriter;
import java.awt.Color;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import org.librepdf.openpdf.fonts.Liberation;

/** A month to be printed. */
final class AdviserPdf {

    private static final Color LINE = new Color(0xd9d2c5);
    private static final float MARGIN = 48;
    private static final float SIZE = 9;

    private AdviserPdf() {}

    /** @param house whose month it is, and what the law wants to know of it, in lines */
    static byte[] of(String title, String house, List<Sheets.Part> parts, String language) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (Document pdf = new Document(PageSize.A4, MARGIN, MARGIN, MARGIN, MARGIN)) {
            PdfWriter.getInstance(pdf, out);
            pdf.addTitle(title);
            pdf.setDocumentLanguage(language);
            pdf.open();
            pdf.add(new Paragraph(title, font(true, 16)));
            pdf.add(new Paragraph(house, font(false, SIZE)));
            for (Sheets.Part part : parts) {
                Paragraph head = new Paragraph(part.title(), font(true, 12));
                head.setSpacingBefore(18);
                pdf.add(head);
                pdf.add(part.rows().isEmpty() ? new Paragraph(part.empty(), font(false, SIZE)) : table(part));
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toByteArray();
    }

    private static PdfPTable table(Sheets.Part part) throws IOException {
        PdfPTable table = new PdfPTable(part.heads().size());
        table.setWidthPercentage(100);
        table.setSpacingBefore(6);
        table.setHeaderRows(1);
        row(table, part.heads(), font(true, SIZE));
        for (List<String> row : part.rows()) {
            row(table, row, font(false, SIZE));
        }
        return table;
    }

    private static void row(PdfPTable table, List<String> values, Font font) {
        for (int c = 0; c < values.size(); c++) {
            PdfPCell cell = new PdfPCell(new Phrase(values.get(c), font));
            cell.setBorder(Rectangle.BOTTOM);
            cell.setBorderColor(LINE);
            cell.setPadding(3);
            cell.setHorizontalAlignment(c == 0 ? Element.ALIGN_LEFT : Element.ALIGN_RIGHT);
            table.addCell(cell);
        }
    }

    private static Font font(boolean bold, float size) throws IOException {
        Font font = (bold ? Liberation.SANS_BOLD : Liberation.SANS).create();
        font.setSize(size);
        return font;
    }
}
