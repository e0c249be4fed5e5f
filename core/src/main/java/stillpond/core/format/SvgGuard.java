package stillpond.core.format;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.StringReader;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.xml.parsers.ParserConfigurationException;
import javax.xml.parsers.SAXParserFactory;
import javax.xml.transform.TransformerConfigurationException;
import javax.xml.transform.TransformerFactory;
import javax.xml.transform.sax.SAXTransformerFactory;
import javax.xml.transform.sax.TransformerHandler;
import javax.xml.transform.stream.StreamResult;
import org.xml.sax.Attributes;
import org.xml.sax.InputSource;
import org.xml.sax.Locator;
import org.xml.sax.SAXException;
import org.xml.sax.SAXParseException;
import org.xml.sax.XMLReader;
import org.xml.sax.ext.DeclHandler;
import org.xml.sax.helpers.XMLFilterImpl;

/**
 * Makes of an SVG one that only draws. Scripts, event handlers, references to anything outside itself, entities that hold more than text, and
 * {@code use} elements that multiply into more than can be drawn are refused. What drawing programs add for their own use, foreign objects and
 * entities that stand for a text, is left out or put in. Reads the file once and looks nothing up.
 */
final class SvgGuard extends XMLFilterImpl implements DeclHandler {

    /** What a page of dense hatching has, ten times over. */
    static final long MAX_DRAWN_ELEMENTS = 500_000;

    /** Groups within groups: drawing programs nest some dozens. Bounds the stack of everything that walks the drawing. */
    static final int MAX_NESTING = 256;

    /** Bounds the stack likewise where what is shown shows something again. */
    private static final int MAX_SHOWN_DEPTH = 4 * MAX_NESTING;

    private static final Pattern CSS_REFERENCE =
            Pattern.compile("url\\(\\s*['\"]?\\s*(?!#)|@import", Pattern.CASE_INSENSITIVE);

    /** Drawing programs abbreviate the names of name spaces. */
    private static final int LONGEST_ENTITY = 400;

    private static final String FOREIGN = "foreignobject";

    /**
     * What is left of a file.
     *
     * @param leftOut see {@link PictureFile#leftOut}
     */
    record Harmless(byte[] svg, List<String> leftOut) {}

    private final Deque<Element> open = new ArrayDeque<>();
    private final Map<String, Element> byId = new HashMap<>();
    private final StringBuilder style = new StringBuilder();
    private Element root;
    private Locator locator;

    private int foreignObjects;
    private int skippedDepth;

    private SvgGuard(XMLReader reader) {
        super(reader);
    }

    /** @throws UnreadableFile if it does more than draw, or is no SVG */
    static Harmless of(byte[] file) {
        ByteArrayOutputStream svg = new ByteArrayOutputStream(file.length);
        try {
            SvgGuard guard = new SvgGuard(reader());
            guard.setContentHandler(writer(svg));
            guard.setProperty("http://xml.org/sax/properties/declaration-handler", guard);
            guard.parse(new InputSource(new ByteArrayInputStream(file)));
            guard.requireDrawable();
            return new Harmless(svg.toByteArray(), guard.leftOut());
        } catch (SAXParseException e) {
            throw new UnreadableFile(
                    "The SVG is not well-formed at line " + e.getLineNumber() + ". Export or copy it again.", e);
        } catch (SAXException | IOException | ParserConfigurationException | TransformerConfigurationException e) {
            throw new UnreadableFile("The SVG could not be understood. Export or copy it again.", e);
        }
    }

    private List<String> leftOut() {
        return foreignObjects == 0
                ? List.of()
                : List.of(
                        foreignObjects == 1
                                ? "a foreign document inside it"
                                : foreignObjects + " foreign documents inside it");
    }

    private static XMLReader reader() throws ParserConfigurationException, SAXException {
        SAXParserFactory factory = SAXParserFactory.newInstance();
        factory.setNamespaceAware(true);
        factory.setFeature("http://xml.org/sax/features/external-general-entities", false);
        factory.setFeature("http://xml.org/sax/features/external-parameter-entities", false);
        factory.setFeature("http://apache.org/xml/features/nonvalidating/load-external-dtd", false);
        return factory.newSAXParser().getXMLReader();
    }

    private static TransformerHandler writer(ByteArrayOutputStream out) throws TransformerConfigurationException {
        TransformerHandler writer =
                ((SAXTransformerFactory) TransformerFactory.newDefaultInstance()).newTransformerHandler();
        writer.setResult(new StreamResult(out));
        return writer;
    }

    @Override
    public void setDocumentLocator(Locator documentLocator) {
        locator = documentLocator;
        super.setDocumentLocator(documentLocator);
    }

    /** The kind of a document that drawing programs name; it is not fetched. */
    @Override
    public InputSource resolveEntity(String publicId, String systemId) {
        return new InputSource(new StringReader(""));
    }

    /** The parser bounds how much all of them together become. */
    @Override
    public void internalEntityDecl(String name, String value) {
        if (value.length() > LONGEST_ENTITY || value.indexOf('&') >= 0 || value.indexOf('<') >= 0) {
            throw refused("declares entities that hold more than a short text");
        }
    }

    @Override
    public void elementDecl(String name, String model) {
        // Drawing programs repeat here what an SVG is.
    }

    @Override
    public void attributeDecl(String element, String attribute, String type, String mode, String value) {
        // The same.
    }

    @Override
    public void externalEntityDecl(String name, String publicId, String systemId) {
        throw refused("refers to a file outside itself");
    }

    @Override
    public void processingInstruction(String target, String value) {
        if (target.equals("xml-stylesheet")) {
            throw refused("refers to a style sheet outside itself");
        }
        // All others are for the program that wrote it.
    }

    @Override
    public void startElement(String uri, String localName, String qualifiedName, Attributes attributes)
            throws SAXException {
        String name = localName.toLowerCase(Locale.ROOT);
        if (skippedDepth > 0 || name.equals(FOREIGN) || isOtherChoice(attributes)) {
            foreignObjects += skippedDepth == 0 && name.equals(FOREIGN) ? 1 : 0;
            skippedDepth++;
            return;
        }
        requireHarmlessElement(name);
        Element element = new Element();
        for (int i = 0; i < attributes.getLength(); i++) {
            String attribute = attributes.getLocalName(i).toLowerCase(Locale.ROOT);
            String value = attributes.getValue(i).strip();
            requireHarmlessAttribute(name, attribute, value);
            if (attribute.equals("id")) {
                byId.put(value, element);
            }
            if (attribute.equals("href") && name.equals("use")) {
                element.shown = value.substring(1);
            }
        }
        if (open.isEmpty()) {
            root = element;
            if (!name.equals("svg")) {
                throw new UnreadableFile("The file is XML but not an SVG drawing.");
            }
        } else {
            open.peek().children.add(element);
        }
        open.push(element);
        if (open.size() > MAX_NESTING) {
            throw new UnreadableFile("The SVG nests groups more than " + MAX_NESTING + " deep" + place()
                    + ". Ungroup it, or bring it as PNG.");
        }
        element.isSwitch = name.equals("switch");
        // What draws the SVG knows no switch; with one child left, a group is the same.
        String written = element.isSwitch ? qualifiedName.replace(localName, "g") : qualifiedName;
        super.startElement(uri, element.isSwitch ? "g" : localName, written, attributes);
    }

    /** Of a switch the first child counts that asks for nothing that is not there (SVG 1.1, 5.8.2). */
    private boolean isOtherChoice(Attributes attributes) {
        Element parent = open.peek();
        return parent != null
                && parent.isSwitch
                && (!parent.children.isEmpty() || attributes.getValue("requiredExtensions") != null);
    }

    private void requireHarmlessElement(String name) {
        switch (name) {
            case "script", "handler", "listener" -> throw refused("holds a script");
            case "image", "feimage" ->
                throw new UnreadableFile("The SVG holds a picture" + place()
                        + ". Bring that picture as PNG, or the line art without it.");
            default -> {
                // Everything else draws, or is skipped.
            }
        }
    }

    private void requireHarmlessAttribute(String element, String attribute, String value) {
        if (attribute.startsWith("on")) {
            throw refused("holds a script");
        }
        boolean link = attribute.equals("href") || attribute.equals("src");
        if (link && !value.startsWith("#") && !element.equals("a")) {
            throw refused("refers to something outside itself");
        }
        requireHarmlessStyle(value);
    }

    @Override
    public void characters(char[] text, int start, int length) throws SAXException {
        if (skippedDepth == 0) {
            style.append(text, start, length);
            super.characters(text, start, length);
        }
    }

    @Override
    public void endElement(String uri, String localName, String qualifiedName) throws SAXException {
        if (skippedDepth > 0) {
            skippedDepth--;
            return;
        }
        boolean isSwitch = open.pop().isSwitch;
        if (localName.equalsIgnoreCase("style")) {
            requireHarmlessStyle(style.toString());
        }
        style.setLength(0);
        super.endElement(
                uri, isSwitch ? "g" : localName, isSwitch ? qualifiedName.replace(localName, "g") : qualifiedName);
    }

    private void requireHarmlessStyle(String css) {
        Matcher reference = CSS_REFERENCE.matcher(css);
        if (reference.find()) {
            throw refused("refers to something outside itself");
        }
    }

    private UnreadableFile refused(String what) {
        return new UnreadableFile(
                "The SVG " + what + place() + ", so it was not opened. Export it as plain SVG, or as PNG.");
    }

    private String place() {
        return locator == null ? "" : " (line " + locator.getLineNumber() + ")";
    }

    private void requireDrawable() {
        if (root.weight(byId, 0) > MAX_DRAWN_ELEMENTS) {
            throw new UnreadableFile("The SVG repeats itself into more than " + MAX_DRAWN_ELEMENTS
                    + " shapes, or without end. Bring it as PNG.");
        }
    }

    /** An element, weighed by how many elements it draws. */
    private static final class Element {

        private static final long UNKNOWN = -1;

        private final List<Element> children = new ArrayList<>();
        private String shown;
        private boolean isSwitch;
        private long weight = UNKNOWN;
        private boolean beingWeighed;

        /** More than the limit if the element shows itself, or others that show others without end. */
        long weight(Map<String, Element> byId, int depth) {
            if (beingWeighed || depth > MAX_SHOWN_DEPTH) {
                return MAX_DRAWN_ELEMENTS + 1;
            }
            if (weight == UNKNOWN) {
                beingWeighed = true;
                weight = Math.min(MAX_DRAWN_ELEMENTS + 1, weigh(byId, depth + 1));
                beingWeighed = false;
            }
            return weight;
        }

        private long weigh(Map<String, Element> byId, int depth) {
            long sum = 1;
            for (Element child : children) {
                sum += child.weight(byId, depth);
            }
            Element target = shown == null ? null : byId.get(shown);
            return target == null ? sum : sum + target.weight(byId, depth);
        }
    }
}
