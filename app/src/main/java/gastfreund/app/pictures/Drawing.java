package gastfreund.app.pictures;

import gastfreund.app.typed.PlainXml;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.xml.XMLConstants;
import javax.xml.transform.OutputKeys;
import javax.xml.transform.Transformer;
import javax.xml.transform.TransformerException;
import javax.xml.transform.TransformerFactory;
import javax.xml.transform.dom.DOMSource;
import javax.xml.transform.stream.StreamResult;
import org.jspecify.annotations.Nullable;
import org.w3c.dom.Attr;
import org.w3c.dom.Document;
import org.w3c.dom.Element;
import org.w3c.dom.NamedNodeMap;
import org.w3c.dom.Node;
import org.xml.sax.SAXException;

/**
 * SVG written anew with nothing in it but shapes and colours. What a drawing program notes for itself is left out; where
 * something would look otherwise without what is not taken (scripts, styles, pictures, fonts), there is no drawing.
 */
final class Drawing {

    private static final String SVG = "http://www.w3.org/2000/svg";
    private static final String XLINK = "http://www.w3.org/1999/xlink";
    private static final int MOST_BYTES = 500_000;
    private static final int MOST_ELEMENTS = 20_000;
    private static final int DEEPEST = 100;

    private static final Set<String> SHAPES = Set.of(
            "svg",
            "g",
            "defs",
            "symbol",
            "use",
            "path",
            "rect",
            "circle",
            "ellipse",
            "line",
            "polyline",
            "polygon",
            "linearGradient",
            "radialGradient",
            "stop",
            "clipPath",
            "mask",
            "title",
            "desc");

    /** What says nothing about how it looks. */
    private static final Set<String> SILENT = Set.of("metadata");

    private static final Set<String> PLACES = Set.of(
            "id",
            "viewBox",
            "width",
            "height",
            "x",
            "y",
            "x1",
            "y1",
            "x2",
            "y2",
            "cx",
            "cy",
            "r",
            "rx",
            "ry",
            "fx",
            "fy",
            "d",
            "points",
            "transform",
            "preserveAspectRatio",
            "offset",
            "gradientUnits",
            "gradientTransform",
            "spreadMethod",
            "clipPathUnits",
            "maskUnits",
            "maskContentUnits",
            "pathLength");

    private static final Set<String> LOOKS = Set.of(
            "fill",
            "fill-rule",
            "fill-opacity",
            "stroke",
            "stroke-width",
            "stroke-linecap",
            "stroke-linejoin",
            "stroke-miterlimit",
            "stroke-dasharray",
            "stroke-dashoffset",
            "stroke-opacity",
            "opacity",
            "color",
            "display",
            "visibility",
            "stop-color",
            "stop-opacity",
            "clip-path",
            "clip-rule",
            "mask",
            "vector-effect",
            "paint-order",
            "mix-blend-mode",
            "isolation",
            "overflow");

    private static final Set<String> FUNCTIONS =
            Set.of("rgb", "rgba", "hsl", "hsla", "matrix", "translate", "scale", "rotate", "skewX", "skewY", "url");

    private static final int LONGEST_NAME = 10;

    private static final Pattern ODD = Pattern.compile("[<&\\\\@]");

    private static final Pattern OWN = Pattern.compile("\\A#[\\w.:-]++\\z");
    private static final Pattern SIZE = Pattern.compile("\\A\\s*+(\\d++(?:\\.\\d++)?+)(?:px)?+\\s*+\\z");

    /** It holds something that is not taken. */
    private static final class Refused extends Exception {
        private static final long serialVersionUID = 1;
    }

    private int elements;

    private Drawing() {}

    /** Whether it begins like a drawing. */
    static boolean isOne(byte[] bytes) {
        String begin = new String(bytes, 0, Math.min(bytes.length, 1000), StandardCharsets.UTF_8);
        return begin.toLowerCase(Locale.ROOT).contains("<svg")
                || begin.stripLeading().startsWith("<?xml");
    }

    /** Written anew; empty where it is none that is taken. */
    static Optional<byte[]> clean(byte[] bytes) {
        if (bytes.length > MOST_BYTES) {
            return Optional.empty();
        }
        try {
            Document read = PlainXml.read(bytes);
            Document fresh = PlainXml.empty();
            Element root = new Drawing().taken(read.getDocumentElement(), fresh, 0);
            if (root == null || !root.getLocalName().equals("svg") || !sized(root)) {
                return Optional.empty();
            }
            fresh.appendChild(root);
            return Optional.of(written(fresh));
        } catch (Refused | SAXException | IOException e) {
            return Optional.empty();
        } catch (TransformerException e) {
            throw new IllegalStateException(e);
        }
    }

    private static byte[] written(Document document) throws TransformerException {
        TransformerFactory factory = TransformerFactory.newInstance();
        factory.setFeature(XMLConstants.FEATURE_SECURE_PROCESSING, true);
        Transformer plain = factory.newTransformer();
        plain.setOutputProperty(OutputKeys.OMIT_XML_DECLARATION, "yes");
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        plain.transform(new DOMSource(document), new StreamResult(out));
        return out.toByteArray();
    }

    /** The element as it is taken; null where it says nothing. */
    private @Nullable Element taken(Element element, Document fresh, int deep) throws Refused {
        if (!SVG.equals(element.getNamespaceURI()) || SILENT.contains(element.getLocalName())) {
            return null;
        }
        if (!SHAPES.contains(element.getLocalName()) || ++elements > MOST_ELEMENTS || deep > DEEPEST) {
            throw new Refused();
        }
        Element own = fresh.createElementNS(SVG, element.getLocalName());
        NamedNodeMap attributes = element.getAttributes();
        for (int i = 0; i < attributes.getLength(); i++) {
            take((Attr) attributes.item(i), own);
        }
        for (Node child = element.getFirstChild(); child != null; child = child.getNextSibling()) {
            if (child instanceof Element inner) {
                Element kept = taken(inner, fresh, deep + 1);
                if (kept != null) {
                    own.appendChild(kept);
                }
            } else if (child.getNodeType() == Node.TEXT_NODE && isWords(element)) {
                own.appendChild(fresh.createTextNode(child.getNodeValue()));
            }
        }
        return own;
    }

    private static boolean isWords(Element element) {
        return element.getLocalName().equals("title") || element.getLocalName().equals("desc");
    }

    private static void take(Attr attribute, Element own) throws Refused {
        String name = attribute.getLocalName();
        String value = attribute.getValue();
        String space = attribute.getNamespaceURI();
        if (name.equals("href") && (space == null || space.equals(XLINK))) {
            if (!OWN.matcher(value).matches()) {
                throw new Refused();
            }
            own.setAttribute("href", value);
        } else if (space != null) {
            return;
        } else if (name.equals("style")) {
            for (String[] look : looks(value)) {
                put(own, look[0], look[1]);
            }
        } else if (PLACES.contains(name) || LOOKS.contains(name)) {
            put(own, name, value);
        } else if (name.toLowerCase(Locale.ROOT).startsWith("on")) {
            throw new Refused();
        }
    }

    /** What a style says of looks; the rest of it says nothing that is drawn here. */
    private static List<String[]> looks(String style) {
        List<String[]> looks = new ArrayList<>();
        for (String declaration : style.split(";")) {
            int colon = declaration.indexOf(':');
            String name = colon < 0 ? "" : declaration.substring(0, colon).strip();
            if (LOOKS.contains(name)) {
                looks.add(new String[] {name, declaration.substring(colon + 1).strip()});
            }
        }
        return looks;
    }

    private static void put(Element own, String name, String value) throws Refused {
        if (!isPlain(value)) {
            throw new Refused();
        }
        own.setAttribute(name, value);
    }

    /** Whether it is a number, a colour, a word or a path, or something of the drawing itself. */
    private static boolean isPlain(String value) {
        if (ODD.matcher(value).find()) {
            return false;
        }
        for (int open = value.indexOf('('); open >= 0; open = value.indexOf('(', open + 1)) {
            String called = calledBefore(value, open);
            if (!FUNCTIONS.contains(called) || called.equals("url") && !isOwn(value, open + 1)) {
                return false;
            }
        }
        return true;
    }

    /** The name of what is called by a bracket. */
    private static String calledBefore(String value, int open) {
        int from = open;
        while (from > 0 && open - from <= LONGEST_NAME && Character.isLetter(value.charAt(from - 1))) {
            from--;
        }
        return value.substring(from, open);
    }

    /** Whether what stands there is something of the drawing itself. */
    private static boolean isOwn(String value, int from) {
        int at = from;
        while (at < value.length()
                && (value.charAt(at) == '"' || value.charAt(at) == '\'' || value.charAt(at) == ' ')) {
            at++;
        }
        return at < value.length() && value.charAt(at) == '#';
    }

    /** Whether it says how large it is; one that says only its size gets a box of that size, so that it can be scaled. */
    private static boolean sized(Element root) {
        if (root.hasAttribute("viewBox")) {
            return true;
        }
        Matcher width = SIZE.matcher(root.getAttribute("width"));
        Matcher height = SIZE.matcher(root.getAttribute("height"));
        if (!width.matches() || !height.matches()) {
            return false;
        }
        root.setAttribute("viewBox", "0 0 " + width.group(1) + " " + height.group(1));
        return true;
    }
}
