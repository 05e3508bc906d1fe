package gastfreund.app.messages;

import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.pages.Address;
import gastfreund.app.pages.Palette;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.jsoup.Jsoup;
import org.jsoup.nodes.DataNode;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.springframework.stereotype.Component;

/**
 * The one frame in which all mails stand: a column of 320 pixels and more, the house's name or logo above and how it is reached
 * below, in its colours by day and by night. Mail programs know few style sheets, so that every element gets its style; those
 * that know how their reader's evening looks find a sheet for that.
 */
@Component
class MailFrame {

    private static final Palette OWN = new Palette(0xb5482f);
    private static final String PAPER = "#fbf7f1";
    private static final String FONT = "font-family:Figtree,Helvetica,Arial,sans-serif;font-size:16px;line-height:1.55";

    private final CatalogueService catalogues;
    private final Address address;

    MailFrame(CatalogueService catalogues, Address address) {
        this.catalogues = catalogues;
        this.address = address;
    }

    /** @param html a page with what the mail says; its classes are those of {@link #styles} */
    String framed(String html, Locale locale) {
        Document from = Jsoup.parse(html);
        Optional<Catalogue> house = catalogues.find();
        Palette palette =
                house.flatMap(c -> Palette.of(c.extras().look().colour())).orElse(OWN);
        Document mail = Document.createShell("");
        mail.outputSettings().prettyPrint(false);
        mail.expectFirst("html").attr("lang", locale.toLanguageTag()).attr("dir", "ltr");
        mail.head()
                .append(
                        "<meta charset=\"utf-8\"><meta name=\"viewport\" content=\"width=device-width, initial-scale=1\">"
                                + "<meta name=\"color-scheme\" content=\"light dark\"><meta name=\"supported-color-schemes\" content=\"light dark\">");
        mail.head().appendElement("title").text(from.title());
        mail.head().appendElement("style").appendChild(new DataNode(night(palette)));
        Element outer = table(mail.body().addClass("page"));
        Element cell = outer.addClass("page").attr("align", "center");
        Element sheet = table(cell).addClass("sheet");
        Objects.requireNonNull(sheet.closest("table")).attr("style", "max-width:600px");
        head(sheet, house);
        sheet.appendElement("div").html(from.body().html());
        foot(sheet, house);
        styles(palette).forEach((selector, style) -> mail.select(selector)
                .forEach(e -> e.attr("style", e.hasAttr("style") ? e.attr("style") + ";" + style : style)));
        return mail.outerHtml();
    }

    /** A table of one cell, for programs that lay out nothing else. */
    private static Element table(Element in) {
        Element table = in.appendElement("table")
                .attr("role", "presentation")
                .attr("width", "100%")
                .attr("cellpadding", "0")
                .attr("cellspacing", "0")
                .attr("border", "0");
        return table.appendElement("tbody").appendElement("tr").appendElement("td");
    }

    /** The logo where mail programs can show it, which drawings are not; the name is said in any case. */
    private void head(Element sheet, Optional<Catalogue> house) {
        String name = house.map(c -> c.house().name()).orElse("Gastfreund");
        String logo = house.map(c -> c.extras().about().logo()).orElse("");
        Element title = sheet.appendElement("h1").addClass("title");
        Element link = title.appendElement("a").addClass("home").attr("href", address.inLetters("/"));
        if (logo.endsWith(".png") || logo.endsWith(".jpg")) {
            link.appendElement("img")
                    .attr("src", address.inLetters("/pictures/" + logo))
                    .attr("alt", name)
                    .attr("height", "48");
        } else {
            link.text(name);
        }
    }

    private static void foot(Element sheet, Optional<Catalogue> house) {
        String own = house.map(c -> c.extras().mailing().foot()).orElse("");
        own.lines().forEach(line -> sheet.appendElement("p").addClass("foot").text(line));
        List<String> contact = house.map(c -> c.extras().about().contact()).orElse(List.of());
        if (!contact.isEmpty()) {
            sheet.appendElement("p")
                    .addClass("foot")
                    .text(house.orElseThrow().house().name() + " · " + String.join(" · ", contact));
        }
    }

    /** By day; a later one counts more than those before it. */
    private static Map<String, String> styles(Palette palette) {
        Palette.Colours colours = palette.onPaper();
        Map<String, String> styles = new LinkedHashMap<>();
        styles.put("body", "margin:0;padding:0;background-color:" + PAPER + ";color:#2a1f2d;" + FONT);
        styles.put("td.page", "padding:24px 12px;background-color:" + PAPER);
        styles.put("td.sheet", "text-align:start;color:#2a1f2d;" + FONT);
        styles.put("h1.title", "font-size:24px;line-height:1.25;margin:0 0 20px");
        styles.put("a", "color:" + colours.main());
        styles.put("a.home", "color:#2a1f2d;text-decoration:none");
        styles.put("img", "max-width:100%;height:48px;border:0");
        styles.put("p", "margin:0 0 16px;overflow-wrap:anywhere");
        styles.put(
                ".line", "background-color:#fffdf9;border-radius:14px;padding:16px 20px;margin:0 0 12px;color:#2a1f2d");
        styles.put(".code", "white-space:pre-wrap;overflow-wrap:anywhere;font-family:monospace;font-size:14px");
        styles.put(".when", "font-size:18px;font-weight:700;margin:0 0 4px");
        styles.put(".quiet", "color:#66606a;margin:0");
        styles.put(
                "a.button",
                "display:inline-block;background-color:" + colours.main() + ";color:" + colours.on()
                        + ";text-decoration:none;font-weight:700;padding:12px 22px;border-radius:999px");
        styles.put(".foot", "margin:28px 0 0;font-size:14px;color:#66606a");
        return styles;
    }

    private static String night(Palette palette) {
        Palette.Colours colours = palette.atNight();
        return ":root{color-scheme:light dark}@media (prefers-color-scheme:dark){"
                + "body,td.page{background-color:#1d171f!important}"
                + "body,td.sheet,a.home,.line{color:#f3ece6!important}"
                + ".line{background-color:#2a232d!important}"
                + ".quiet,.foot{color:#bbb0ba!important}"
                + "a{color:" + colours.main() + "!important}"
                + "a.home{color:#f3ece6!important}"
                + "a.button{background-color:" + colours.main() + "!important;color:" + colours.on() + "!important}}";
    }
}
