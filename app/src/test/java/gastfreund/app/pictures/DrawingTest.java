package gastfreund.app.pictures;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Of a drawing its shapes and colours are taken; what would run, load or look otherwise is not. */
class DrawingTest {

    private static String svg(String inside) {
        return "<svg xmlns=\"http://www.w3.org/2000/svg\" xmlns:xlink=\"http://www.w3.org/1999/xlink\" viewBox=\"0 0 9 9\">"
                + inside + "</svg>";
    }

    private static Optional<String> clean(String drawing) {
        return Drawing.clean(drawing.getBytes(StandardCharsets.UTF_8))
                .map(bytes -> new String(bytes, StandardCharsets.UTF_8));
    }

    @Test
    void shapesAndColoursStayAndWhatAProgramNotesForItselfGoes() {
        String made = "<?xml version=\"1.0\" encoding=\"UTF-8\"?><!-- by hand -->"
                + svg("<title>A &amp; B</title><metadata><x xmlns=\"urn:x\">secret</x></metadata>"
                        + "<defs><linearGradient id=\"g\"><stop offset=\"0\" stop-color=\"#fff\"/></linearGradient></defs>"
                        + "<g data-name=\"Layer 1\" transform=\"translate(1 2) rotate(45)\">"
                        + "<path d=\"M0 0h9v9z\" style=\"fill:url(#g);font-family:Odd;stroke:rgb(1,2,3)\"/></g>"
                        + "<use xlink:href=\"#g\"/>");
        String clean = clean(made).orElseThrow();
        assertThat(clean)
                .contains(
                        "<title>A &amp; B</title>",
                        "fill=\"url(#g)\"",
                        "stroke=\"rgb(1,2,3)\"",
                        "href=\"#g\"",
                        "M0 0h9v9z")
                .contains("translate(1 2) rotate(45)", "viewBox=\"0 0 9 9\"")
                .doesNotContain("secret", "by hand", "data-name", "font-family", "style=", "xlink");
        assertThat(clean(clean)).as("once clean it stays as it is").contains(clean);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "<script>alert(1)</script>",
                "<style>@import url(https://elsewhere.example)</style>",
                "<rect onclick=\"alert(1)\" width=\"1\" height=\"1\"/>",
                "<image href=\"https://elsewhere.example/a.png\"/>",
                "<use href=\"https://elsewhere.example/a.svg#x\"/>",
                "<use xlink:href=\"data:image/svg+xml,x\"/>",
                "<rect fill=\"url(https://elsewhere.example/#a)\"/>",
                "<rect style=\"fill:url(//elsewhere.example)\"/>",
                "<rect fill=\"u\\72l(x)\"/>",
                "<rect fill=\"expression(alert(1))\"/>",
                "<foreignObject><p xmlns=\"http://www.w3.org/1999/xhtml\">hello</p></foreignObject>",
                "<text>hello</text>",
                "<a href=\"javascript:alert(1)\"><rect/></a>",
                "<animate attributeName=\"href\" to=\"javascript:alert(1)\"/>",
                "<set attributeName=\"onload\" to=\"alert(1)\"/>",
                "<g>"
            })
    void whatWouldRunLoadOrLookOtherwiseIsRefused(String inside) {
        assertThat(clean(svg(inside))).isEmpty();
    }

    @Test
    void whatIsNoDrawingOfASizeIsRefused() {
        assertThat(clean("<!DOCTYPE svg [<!ENTITY a SYSTEM \"file:///etc/passwd\">]>" + svg("<title>&a;</title>")))
                .isEmpty();
        assertThat(clean("<svg xmlns=\"http://www.w3.org/2000/svg\"><rect/></svg>"))
                .isEmpty();
        assertThat(clean("<svg viewBox=\"0 0 1 1\"><rect/></svg>")).isEmpty();
        assertThat(clean("<html xmlns=\"http://www.w3.org/1999/xhtml\"/>")).isEmpty();
        assertThat(clean(svg("<g>".repeat(30_000) + "</g>".repeat(30_000)))).isEmpty();
        assertThat(clean(svg("<rect/>".repeat(60_000)))).isEmpty();
        assertThat(clean("<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"30px\" height=\"20\"><rect/></svg>"))
                .hasValueSatisfying(s -> assertThat(s).contains("viewBox=\"0 0 30 20\""));
    }

    @Test
    void longPathsAreTaken() {
        assertThat(clean(svg("<path d=\"M0 0" + " l1 1".repeat(60_000) + "\"/>")))
                .isPresent();
    }

    @Test
    void theDrawingsOfTheDemoHouseAreTaken() throws IOException {
        Path demo = Path.of(Files.exists(Path.of("demo")) ? "demo" : "../demo");
        List<Path> drawings;
        try (var files = Files.walk(demo)) {
            drawings = files.filter(f -> f.toString().endsWith(".svg")).toList();
        }
        assertThat(drawings).isNotEmpty();
        for (Path drawing : drawings) {
            assertThat(Drawing.clean(Files.readAllBytes(drawing)))
                    .as(drawing.toString())
                    .isPresent();
        }
    }
}
