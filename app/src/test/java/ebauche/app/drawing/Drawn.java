package ebauche.app.drawing;

import java.io.StringReader;
import java.util.ArrayList;
import java.util.List;
import javax.xml.parsers.DocumentBuilderFactory;
import org.w3c.dom.Document;
import org.w3c.dom.Element;
import org.w3c.dom.NodeList;
import org.xml.sax.InputSource;

/** A picture taken apart: what a drawing's tests look at. */
final class Drawn {
    private Drawn() {}

    static Document xml(String svg) {
        try {
            return DocumentBuilderFactory.newInstance()
                    .newDocumentBuilder()
                    .parse(new InputSource(new StringReader(svg)));
        } catch (Exception e) {
            throw new AssertionError(svg, e);
        }
    }

    static List<Element> all(Document svg, String tag, String cssClass) {
        List<Element> out = new ArrayList<>();
        NodeList nodes = svg.getElementsByTagName(tag);
        for (int i = 0; i < nodes.getLength(); i++) {
            Element e = (Element) nodes.item(i);
            if (List.of(e.getAttribute("class").split(" ")).contains(cssClass)) {
                out.add(e);
            }
        }
        return out;
    }
}
