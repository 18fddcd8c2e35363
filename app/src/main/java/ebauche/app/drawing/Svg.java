package ebauche.app.drawing;

import ebauche.app.web.Figures;
import ebauche.core.measure.Decimals;
import java.io.StringWriter;
import java.util.List;
import javax.xml.stream.XMLOutputFactory;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamWriter;

/** Writes one SVG picture through an XML writer, so that no text in it can be taken for markup. */
public final class Svg {
    private static final XMLOutputFactory FACTORY = XMLOutputFactory.newFactory();
    private static final int HUNDREDTHS = 2;

    private final StringWriter out = new StringWriter();
    private final XMLStreamWriter xml;

    /**
     * Opens a picture.
     *
     * @param words what it shows, for those who cannot see it
     */
    public Svg(double width, double height, String cssClass, String words) {
        try {
            xml = FACTORY.createXMLStreamWriter(out);
        } catch (XMLStreamException e) {
            throw new IllegalStateException(e);
        }
        open(
                "svg",
                "xmlns",
                "http://www.w3.org/2000/svg",
                "viewBox",
                "0 0 " + n(width) + " " + n(height),
                "class",
                cssClass);
        attribute("role", "group");
        attribute("aria-label", words);
    }

    /** A number to a hundredth. */
    public static String n(double value) {
        return Decimals.plain(value, HUNDREDTHS);
    }

    /** The same, written on. */
    static StringBuilder n(double value, StringBuilder to) {
        return Decimals.plain(value, HUNDREDTHS, to);
    }

    @FunctionalInterface
    private interface Writing {
        void write() throws XMLStreamException;
    }

    private Svg write(Writing writing) {
        try {
            writing.write();
            return this;
        } catch (XMLStreamException e) {
            throw new IllegalStateException(e);
        }
    }

    /** Opens an element with attributes given as name, value, name, value... */
    public Svg open(String element, String... attributes) {
        write(() -> xml.writeStartElement(element));
        for (int i = 0; i < attributes.length; i += 2) {
            attribute(attributes[i], attributes[i + 1]);
        }
        return this;
    }

    /** One more attribute of the element just opened. */
    public Svg attribute(String name, String value) {
        return write(() -> xml.writeAttribute(name, value));
    }

    public Svg close() {
        return write(xml::writeEndElement);
    }

    public Svg group(String cssClass) {
        return open("g", "class", cssClass);
    }

    public Svg title(String words) {
        open("title");
        write(() -> xml.writeCharacters(words));
        return close();
    }

    public Svg path(String cssClass, String data) {
        return open("path", "class", cssClass, "d", data).close();
    }

    public Svg line(String cssClass, double x1, double y1, double x2, double y2) {
        return open("line", "class", cssClass, "x1", n(x1), "y1", n(y1), "x2", n(x2), "y2", n(y2))
                .close();
    }

    public Svg rect(String cssClass, double x, double y, double width, double height) {
        return open("rect", "class", cssClass, "x", n(x), "y", n(y), "width", n(width), "height", n(height))
                .close();
    }

    public Svg circle(String cssClass, double x, double y, double radius) {
        return open("circle", "class", cssClass, "cx", n(x), "cy", n(y), "r", n(radius))
                .close();
    }

    /** Text; anchor is start, middle or end. */
    public Svg text(String cssClass, double x, double y, String anchor, String words) {
        open("text", "class", cssClass, "x", n(x), "y", n(y), "text-anchor", anchor);
        write(() -> xml.writeCharacters(words));
        return close();
    }

    /** Text whose fractions are set as fractions. */
    public Svg figure(String cssClass, double x, double y, String anchor, List<Figures.TextPart> parts) {
        open("text", "class", cssClass, "x", n(x), "y", n(y), "text-anchor", anchor);
        for (Figures.TextPart part : parts) {
            open("tspan", "class", part.fraction() ? "frac" : "plain");
            write(() -> xml.writeCharacters(part.text()));
            close();
        }
        return close();
    }

    /** A hatch of parallel lines to fill with as {@code url(#id)}. */
    public Svg hatch(String id, String cssClass, double spacing, double degrees) {
        open(
                "pattern",
                "id",
                id,
                "width",
                n(spacing),
                "height",
                n(spacing),
                "patternUnits",
                "userSpaceOnUse",
                "patternTransform",
                "rotate(" + n(degrees) + ")");
        line(cssClass, 0, 0, 0, spacing);
        return close();
    }

    /** Closes the picture and gives its text. */
    public String done() {
        write(() -> {
            xml.writeEndDocument();
            xml.close();
        });
        return out.toString();
    }
}
