package gastfreund.app.found;

import java.awt.Graphics2D;
import java.awt.geom.AffineTransform;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.apache.fontbox.ttf.CmapLookup;
import org.apache.fontbox.ttf.TTFParser;
import org.apache.fontbox.ttf.TrueTypeFont;
import org.apache.pdfbox.io.RandomAccessReadBuffer;
import org.springframework.core.io.ClassPathResource;

/**
 * Writes the product's fonts into pictures by their outlines, so that the same comes out on every machine, whether it has fonts
 * or not. What a font does not have is left out.
 */
final class Lettering {

    /** Of headings. */
    static final Lettering HEAD = new Lettering("bricolage-latin-700", "bricolage-latin-ext-700");

    /** Of everything else. */
    static final Lettering BODY = new Lettering("figtree-latin-600", "figtree-latin-ext-600");

    private record Face(TrueTypeFont font, CmapLookup glyphs, float unit) {}

    private record Glyph(Face face, int id) {}

    private final List<Face> faces;

    private Lettering(String... files) {
        faces = Stream.of(files).map(Lettering::face).toList();
    }

    private static Face face(String file) {
        try {
            TrueTypeFont font = new TTFParser()
                    .parse(new RandomAccessReadBuffer(
                            new ClassPathResource("static/vendor/" + file + ".ttf").getContentAsByteArray()));
            return new Face(font, font.getUnicodeCmapLookup(), font.getUnitsPerEm());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private List<Glyph> glyphs(String text) {
        List<Glyph> glyphs = new ArrayList<>();
        text.codePoints().forEach(point -> faces.stream()
                .map(f -> new Glyph(f, f.glyphs().getGlyphId(point)))
                .filter(g -> g.id() > 0)
                .findFirst()
                .ifPresent(glyphs::add));
        return glyphs;
    }

    /** How wide a line is, in points. */
    float width(String text, float size) {
        try {
            float width = 0;
            for (Glyph glyph : glyphs(text)) {
                width += glyph.face().font().getAdvanceWidth(glyph.id())
                        * size
                        / glyph.face().unit();
            }
            return width;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** A text in lines of no more than a width; a word that is wider stands alone on its line. */
    List<String> lines(String text, float size, float most) {
        List<String> lines = new ArrayList<>();
        String line = "";
        for (String word : text.split(" ")) {
            String longer = line.isEmpty() ? word : line + " " + word;
            if (!line.isEmpty() && width(longer, size) > most) {
                lines.add(line);
                line = word;
            } else {
                line = longer;
            }
        }
        lines.add(line);
        return lines;
    }

    /** @param y of the line on which letters stand */
    void write(Graphics2D to, String text, float size, float x, float y) {
        try {
            float at = x;
            for (Glyph glyph : glyphs(text)) {
                float scale = size / glyph.face().unit();
                AffineTransform placed = AffineTransform.getTranslateInstance(at, y);
                placed.scale(scale, -scale);
                to.fill(placed.createTransformedShape(glyph(glyph)));
                at += glyph.face().font().getAdvanceWidth(glyph.id()) * scale;
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** The tables of a font are read when they are needed, one reader at a time. */
    private static java.awt.Shape glyph(Glyph glyph) throws IOException {
        synchronized (glyph.face()) {
            var data = glyph.face().font().getGlyph().getGlyph(glyph.id());
            return data == null ? new java.awt.geom.GeneralPath() : data.getPath();
        }
    }
}
