package idlebough.app.exchange;

import idlebough.app.store.Plan;
import idlebough.core.site.LocalFrame;
import idlebough.core.site.Stand;
import java.io.StringWriter;
import java.util.Optional;
import javax.xml.stream.XMLOutputFactory;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamWriter;

/** Every peg as a waypoint (GPX 1.1). A phone finds them to a few metres: for walking there, not for setting pegs. */
public final class TreesGpx {
    private TreesGpx() {}

    /** Empty while the orchard is not placed on the globe. */
    public static Optional<String> write(Plan plan) {
        return TreesOfPlan.frame(plan).map(frame -> write(plan, frame));
    }

    private static String write(Plan plan, LocalFrame frame) {
        StringWriter out = new StringWriter();
        try {
            XMLStreamWriter gpx = XMLOutputFactory.newFactory().createXMLStreamWriter(out);
            gpx.writeStartDocument("UTF-8", "1.0");
            gpx.writeStartElement("gpx");
            gpx.writeDefaultNamespace("http://www.topografix.com/GPX/1/1");
            gpx.writeAttribute("version", "1.1");
            gpx.writeAttribute("creator", "Idle Bough");
            for (Stand stand : TreesOfPlan.stands(plan)) {
                LocalFrame.Geographic at = TreesOfPlan.place(frame, stand);
                gpx.writeStartElement("wpt");
                gpx.writeAttribute("lat", String.valueOf(TreesOfPlan.degrees(at.latitude())));
                gpx.writeAttribute("lon", String.valueOf(TreesOfPlan.degrees(at.longitude())));
                gpx.writeStartElement("name");
                gpx.writeCharacters(stand.label());
                gpx.writeEndElement();
                gpx.writeStartElement("desc");
                gpx.writeCharacters(stand.title());
                gpx.writeEndElement();
                gpx.writeEndElement();
            }
            gpx.writeEndElement();
            gpx.writeEndDocument();
            gpx.close();
        } catch (XMLStreamException broken) {
            throw new IllegalStateException("A list of waypoints cannot be written.", broken);
        }
        return out.toString();
    }
}
