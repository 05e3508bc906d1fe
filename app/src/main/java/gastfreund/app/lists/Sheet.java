package gastfreund.app.lists;

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
import gastfreund.app.pages.Table;
import java.awt.Color;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Set;
import org.dhatim.fastexcel.Workbook;
import org.dhatim.fastexcel.Worksheet;
import org.librepdf.openpdf.fonts.Liberation;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;

/**
 * A list as a file: as CSV (RFC 4180), as a spreadsheet (XLSX), or to be printed (PDF).
 *
 * @param name of the file, without what it ends with
 * @param title above a printed one
 * @param heads of the columns
 * @param numbers the places of those whose values are numbers, as programs write them
 * @param rows each with as many values as there are columns
 */
public record Sheet(String name, String title, List<String> heads, Set<Integer> numbers, List<List<String>> rows) {

    private static final Color LINE = new Color(0xd9d2c5);
    private static final float SIZE = 8;

    public ResponseEntity<String> csv() {
        return Table.file(name + ".csv", heads, rows);
    }

    public ResponseEntity<byte[]> xlsx() {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (Workbook book = new Workbook(out, "Gastfreund", "1.0")) {
            Worksheet sheet = book.newWorksheet(title);
            for (int c = 0; c < heads.size(); c++) {
                sheet.value(0, c, heads.get(c));
                sheet.style(0, c).bold().set();
            }
            sheet.freezePane(0, 1);
            for (int r = 0; r < rows.size(); r++) {
                for (int c = 0; c < heads.size(); c++) {
                    String value = rows.get(r).get(c);
                    if (numbers.contains(c) && !value.isEmpty()) {
                        sheet.value(r + 1, c, Double.parseDouble(value));
                    } else {
                        sheet.value(r + 1, c, value);
                    }
                }
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return file(".xlsx", "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet", out.toByteArray());
    }

    public ResponseEntity<byte[]> pdf() {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (Document pdf = new Document(PageSize.A4.rotate(), 36, 36, 36, 36)) {
            PdfWriter.getInstance(pdf, out);
            pdf.open();
            pdf.add(new Paragraph(title, font(true, 14)));
            PdfPTable table = new PdfPTable(heads.size());
            table.setWidthPercentage(100);
            table.setSpacingBefore(10);
            table.setHeaderRows(1);
            for (int c = 0; c < heads.size(); c++) {
                table.addCell(cell(heads.get(c), font(true, SIZE), c));
            }
            for (List<String> row : rows) {
                for (int c = 0; c < heads.size(); c++) {
                    table.addCell(cell(row.get(c), font(false, SIZE), c));
                }
            }
            pdf.add(table);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return file(".pdf", MediaType.APPLICATION_PDF_VALUE, out.toByteArray());
    }

    private PdfPCell cell(String value, Font font, int column) {
        PdfPCell cell = new PdfPCell(new Phrase(value, font));
        cell.setBorder(Rectangle.BOTTOM);
        cell.setBorderColor(LINE);
        cell.setPadding(3);
        cell.setHorizontalAlignment(numbers.contains(column) ? Element.ALIGN_RIGHT : Element.ALIGN_LEFT);
        return cell;
    }

    private static Font font(boolean bold, float size) throws IOException {
        Font font = (bold ? Liberation.SANS_BOLD : Liberation.SANS).create();
        font.setSize(size);
        return font;
    }

    private ResponseEntity<byte[]> file(String ending, String type, byte[] content) {
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType(type))
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename(name + ending)
                                .build()
                                .toString())
                .body(content);
    }
}
