package stillpond.core.format;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.xml.parsers.DocumentBuilderFactory;
import javax.xml.parsers.ParserConfigurationException;
import javax.xml.transform.TransformerException;
import javax.xml.transform.TransformerFactory;
import javax.xml.transform.dom.DOMSource;
import javax.xml.transform.stream.StreamResult;
import org.w3c.dom.Document;
import org.w3c.dom.Element;
import org.w3c.dom.Node;
import org.xml.sax.SAXException;

/**
 * The groups that an SVG consists of, as drawings of their own: its uppermost groups, or those in the only one if there is only one. What is drawn beside them goes to the group
 * that follows, or to the last.
 */
final class SvgGroups {

    /** What draws nothing by itself. */
    private static final Set<String> SHARED = Set.of(
            "defs",
            "style",
            "title",
            "desc",
            "metadata",
            "symbol",
            "lineargradient",
            "radialgradient",
            "pattern",
            "clippath",
            "mask",
            "filter",
            "marker",
            "font",
            "view");

    private static final Pattern HIDING = Pattern.compile("display\\s*:\\s*none\\s*;?");

    private SvgGroups() {}

    /**
     * From front to back; none if it has not several.
     *
     * @param svg that only draws; see {@link SvgGuard}
     */
    static List<FileLayer> of(byte[] svg) {
        try {
            DocumentBuilderFactory factory = DocumentBuilderFactory.newInstance();
            factory.setNamespaceAware(true);
            factory.setFeature("http://apache.org/xml/features/nonvalidating/load-external-dtd", false);
            Document document = factory.newDocumentBuilder().parse(new ByteArrayInputStream(svg));
            return of(document);
        } catch (SAXException | ParserConfigurationException | TransformerException | IOException e) {
            throw new UnreadableFile("The groups of the SVG could not be told apart. Bring it without.", e);
        }
    }

    private static List<FileLayer> of(Document document) throws TransformerException {
        Element holder = document.getDocumentElement();
        List<Element> drawn = drawn(holder);
        while (drawn.size() == 1 && isGroup(drawn.get(0))) {
            holder = drawn.get(0);
            drawn = drawn(holder);
        }
        List<List<Element>> layers = layers(drawn);
        if (layers.size() < 2) {
            return List.of();
        }
        OpenRasterReader.requireFew(layers.size());
        for (Element each : drawn) {
            holder.removeChild(each);
        }
        List<FileLayer> apart = new ArrayList<>();
        for (List<Element> layer : layers) {
            Element named = layer.get(layer.size() - 1);
            boolean isHidden = show(named);
            layer.forEach(holder::appendChild);
            apart.add(new FileLayer(name(named, apart.size() + 1), write(document), 0, 0, 100, isHidden));
            layer.forEach(holder::removeChild);
        }
        Collections.reverse(apart);
        return apart;
    }

    private static List<Element> drawn(Element holder) {
        List<Element> drawn = new ArrayList<>();
        for (Node child = holder.getFirstChild(); child != null; child = child.getNextSibling()) {
            // Name spaces of drawing programs hold what is for them alone.
            boolean isDrawn = child instanceof Element element
                    && (element.getPrefix() == null || element.getPrefix().equals("svg"))
                    && !SHARED.contains(nameOf(element));
            if (isDrawn) {
                drawn.add((Element) child);
            }
        }
        return drawn;
    }

    private static List<List<Element>> layers(List<Element> drawn) {
        List<List<Element>> layers = new ArrayList<>();
        List<Element> loose = new ArrayList<>();
        for (Element each : drawn) {
            loose.add(each);
            if (isGroup(each)) {
                layers.add(loose);
                loose = new ArrayList<>();
            }
        }
        if (!loose.isEmpty()) {
            layers.add(loose);
        }
        return layers;
    }

    private static boolean isGroup(Element element) {
        return nameOf(element).equals("g");
    }

    private static String nameOf(Element element) {
        return element.getLocalName().toLowerCase(Locale.ROOT);
    }

    /** Lets a group that is hidden be drawn. @return whether it was hidden */
    private static boolean show(Element element) {
        Matcher hiding = HIDING.matcher(element.getAttribute("style"));
        boolean isHidden =
                hiding.find() || element.getAttribute("display").strip().equals("none");
        if (isHidden) {
            element.removeAttribute("display");
            element.setAttribute("style", hiding.replaceAll(""));
        }
        return isHidden;
    }

    /** As it is called by whoever drew it: by a label, a title or an id. */
    private static String name(Element element, int number) {
        for (int i = 0; i < element.getAttributes().getLength(); i++) {
            Node attribute = element.getAttributes().item(i);
            if ("label".equals(attribute.getLocalName())
                    && !attribute.getNodeValue().isBlank()) {
                return attribute.getNodeValue().strip();
            }
        }
        for (Node child = element.getFirstChild(); child != null; child = child.getNextSibling()) {
            if ("title".equals(child.getLocalName()) && !child.getTextContent().isBlank()) {
                return child.getTextContent().strip();
            }
        }
        return element.getAttribute("id").isBlank() ? "Layer " + number : element.getAttribute("id");
    }

    private static byte[] write(Document document) throws TransformerException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        TransformerFactory.newDefaultInstance()
                .newTransformer()
                .transform(new DOMSource(document), new StreamResult(out));
        return out.toByteArray();
    }
}
