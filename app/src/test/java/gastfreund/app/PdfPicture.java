package gastfreund.app;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.UncheckedIOException;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.ImageType;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.apache.pdfbox.text.PDFTextStripper;

/** A PDF as another program than the one that wrote it reads and draws it. */
public final class PdfPicture {

    private PdfPicture() {}

    /** The first page. */
    public static BufferedImage drawn(byte[] pdf, int dotsPerInch) {
        try (PDDocument document = Loader.loadPDF(pdf)) {
            return new PDFRenderer(document).renderImageWithDPI(0, dotsPerInch, ImageType.RGB);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Its words. */
    public static String text(byte[] pdf) {
        try (PDDocument document = Loader.loadPDF(pdf)) {
            return new PDFTextStripper().getText(document);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
