package gastfreund.app.typed;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import javax.xml.XMLConstants;
import javax.xml.parsers.DocumentBuilder;
import javax.xml.parsers.DocumentBuilderFactory;
import javax.xml.parsers.ParserConfigurationException;
import org.w3c.dom.Document;
import org.xml.sax.SAXException;

/** XML that somebody sends: read without document types, and so without entities and anything from elsewhere. */
public final class PlainXml {

    private PlainXml() {}

    /** @throws SAXException where it is no such XML */
    public static Document read(byte[] bytes) throws SAXException, IOException {
        return builder().parse(new ByteArrayInputStream(bytes));
    }

    /** A document with nothing in it. */
    public static Document empty() {
        return builder().newDocument();
    }

    private static DocumentBuilder builder() {
        try {
            DocumentBuilderFactory factory = DocumentBuilderFactory.newInstance();
            factory.setNamespaceAware(true);
            factory.setFeature(XMLConstants.FEATURE_SECURE_PROCESSING, true);
            factory.setFeature("http://apache.org/xml/features/disallow-doctype-decl", true);
            factory.setXIncludeAware(false);
            factory.setExpandEntityReferences(false);
            DocumentBuilder builder = factory.newDocumentBuilder();
            builder.setErrorHandler(null);
            return builder;
        } catch (ParserConfigurationException e) {
            throw new IllegalStateException(e);
        }
    }
}
