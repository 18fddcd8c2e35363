package ebauche.exchange.drawn;

import ebauche.core.geometry.Face;
import ebauche.core.geometry.PathData;
import ebauche.core.geometry.Placing;
import ebauche.core.geometry.Point;
import ebauche.core.geometry.Segment;
import ebauche.core.measure.Decimals;
import ebauche.core.sheet.TemplateSheet;
import java.io.StringWriter;
import java.util.List;
import javax.xml.stream.XMLOutputFactory;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamWriter;

/**
 * Writes templates as SVG at true size: a unit is a millimetre on paper, y down as SVG has it, the neck up.
 *
 * <p>Each template is a group under its feature's name; lines, arcs and curves are written as such.
 */
public final class SvgWriter {
    private static final double ROOM = 10;
    private static final double CROSS = 4;
    private static final XMLOutputFactory FACTORY = XMLOutputFactory.newFactory();

    private SvgWriter() {}

    /** Writes templates that lie on one face into one drawing. */
    public static String write(String title, List<TemplateSheet> sheets) {
        double[] box = box(sheets);
        double width = box[2] - box[0] + 2 * ROOM;
        double height = box[3] - box[1] + 2 * ROOM;
        StringWriter out = new StringWriter();
        try {
            XMLStreamWriter xml = FACTORY.createXMLStreamWriter(out);
            xml.writeStartDocument();
            xml.writeStartElement("svg");
            xml.writeAttribute("xmlns", "http://www.w3.org/2000/svg");
            xml.writeAttribute("width", n(width) + "mm");
            xml.writeAttribute("height", n(height) + "mm");
            xml.writeAttribute(
                    "viewBox", n(box[0] - ROOM) + " " + n(-box[3] - ROOM) + " " + n(width) + " " + n(height));
            xml.writeStartElement("title");
            xml.writeCharacters(title);
            xml.writeEndElement();
            line(xml, "centre-line", 0, box[1] - ROOM / 2, 0, box[3] + ROOM / 2);
            for (TemplateSheet sheet : sheets) {
                sheet(xml, sheet);
            }
            xml.writeEndElement();
            xml.writeEndDocument();
            xml.close();
        } catch (XMLStreamException e) {
            throw new IllegalStateException(e);
        }
        return out.toString();
    }

    private static void sheet(XMLStreamWriter xml, TemplateSheet sheet) throws XMLStreamException {
        xml.writeStartElement("g");
        xml.writeAttribute("id", sheet.feature().word());
        xml.writeStartElement("title");
        xml.writeCharacters(
                sheet.name() + (sheet.face() == Face.BACK ? ", seen from the back" : ", seen from the front"));
        xml.writeEndElement();
        for (List<Segment> ring : sheet.rings()) {
            xml.writeEmptyElement("path");
            xml.writeAttribute("d", data(ring));
            stroke(xml);
        }
        for (Point hole : sheet.holes()) {
            line(xml, null, hole.x() - CROSS, hole.y(), hole.x() + CROSS, hole.y());
            line(xml, null, hole.x(), hole.y() - CROSS, hole.x(), hole.y() + CROSS);
        }
        xml.writeEndElement();
    }

    private static void line(XMLStreamWriter xml, String id, double x1, double y1, double x2, double y2)
            throws XMLStreamException {
        xml.writeEmptyElement("line");
        if (id != null) {
            xml.writeAttribute("id", id);
        }
        xml.writeAttribute("x1", n(x1));
        xml.writeAttribute("y1", n(-y1));
        xml.writeAttribute("x2", n(x2));
        xml.writeAttribute("y2", n(-y2));
        stroke(xml);
    }

    private static void stroke(XMLStreamWriter xml) throws XMLStreamException {
        xml.writeAttribute("fill", "none");
        xml.writeAttribute("stroke", "#000");
        xml.writeAttribute("stroke-width", "0.2");
    }

    /** Path data with y down: half a turn about the x axis is a half turn of what is mirrored. */
    private static String data(List<Segment> ring) {
        Placing down = new Placing(true, 1, Math.PI, 0, 0);
        return PathData.write(ring.stream().map(s -> s.placed(down)).toList());
    }

    static double[] box(List<TemplateSheet> sheets) {
        double[] all = {0, 0, 0, 0};
        for (TemplateSheet sheet : sheets) {
            for (List<Segment> ring : sheet.rings()) {
                double[] box = new DrawnFile.Shape("", ring).box();
                all[0] = Math.min(all[0], box[0]);
                all[1] = Math.min(all[1], box[1]);
                all[2] = Math.max(all[2], box[2]);
                all[3] = Math.max(all[3], box[3]);
            }
        }
        return all;
    }

    private static String n(double value) {
        return Decimals.plain(value, 4);
    }
}
