package stillpond.core.format;

import java.io.ByteArrayInputStream;
import java.io.IOException;
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
import javax.xml.parsers.SAXParser;
import javax.xml.parsers.SAXParserFactory;
import org.xml.sax.Attributes;
import org.xml.sax.InputSource;
import org.xml.sax.Locator;
import org.xml.sax.SAXException;
import org.xml.sax.SAXParseException;
import org.xml.sax.ext.DefaultHandler2;

/**
 * Refuses an SVG that does more than draw: scripts, event handlers, references to anything outside itself, entities of its own, and
 * {@code use} elements that multiply into more than can be drawn. Reads the file once and looks nothing up.
 */
final class SvgGuard extends DefaultHandler2 {

    /** What a page of dense hatching has, ten times over. */
    static final long MAX_DRAWN_ELEMENTS = 500_000;

    /** Groups within groups: drawing programs nest some dozens. Bounds the stack of everything that walks the drawing. */
    static final int MAX_NESTING = 256;

    private static final Pattern CSS_REFERENCE =
            Pattern.compile("url\\(\\s*['\"]?\\s*(?!#)|@import", Pattern.CASE_INSENSITIVE);

    private final Deque<Element> open = new ArrayDeque<>();
    private final Map<String, Element> byId = new HashMap<>();
    private final StringBuilder style = new StringBuilder();
    private Element root;
    private Locator locator;

    private SvgGuard() {}

    static void requireHarmless(byte[] file) {
        SvgGuard guard = new SvgGuard();
        try {
            parser(guard).parse(new ByteArrayInputStream(file), guard);
        } catch (SAXParseException e) {
            throw new UnreadableFile(
                    "The SVG is not well-formed at line " + e.getLineNumber() + ". Export or copy it again.", e);
        } catch (SAXException | IOException | ParserConfigurationException e) {
            throw new UnreadableFile("The SVG could not be understood. Export or copy it again.", e);
        }
        guard.requireDrawable();
    }

    private static SAXParser parser(SvgGuard guard) throws ParserConfigurationException, SAXException {
        SAXParserFactory factory = SAXParserFactory.newInstance();
        factory.setNamespaceAware(true);
        factory.setFeature("http://xml.org/sax/features/external-general-entities", false);
        factory.setFeature("http://xml.org/sax/features/external-parameter-entities", false);
        factory.setFeature("http://apache.org/xml/features/nonvalidating/load-external-dtd", false);
        SAXParser parser = factory.newSAXParser();
        parser.setProperty("http://xml.org/sax/properties/declaration-handler", guard);
        parser.setProperty("http://xml.org/sax/properties/lexical-handler", guard);
        return parser;
    }

    @Override
    public void setDocumentLocator(Locator documentLocator) {
        locator = documentLocator;
    }

    @Override
    public InputSource resolveEntity(String name, String publicId, String baseUri, String systemId) {
        throw refused("refers to a file outside itself");
    }

    @Override
    public void internalEntityDecl(String name, String value) {
        throw refused("declares entities of its own");
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
    }

    @Override
    public void startElement(String uri, String localName, String qualifiedName, Attributes attributes) {
        String name = localName.toLowerCase(Locale.ROOT);
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
    }

    private void requireHarmlessElement(String name) {
        switch (name) {
            case "script", "foreignobject", "handler", "listener" ->
                throw refused("holds a script or a foreign document");
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
    public void characters(char[] text, int start, int length) {
        style.append(text, start, length);
    }

    @Override
    public void endElement(String uri, String localName, String qualifiedName) {
        open.pop();
        if (localName.equalsIgnoreCase("style")) {
            requireHarmlessStyle(style.toString());
        }
        style.setLength(0);
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
        if (root.weight(byId) > MAX_DRAWN_ELEMENTS) {
            throw new UnreadableFile("The SVG repeats itself into more than " + MAX_DRAWN_ELEMENTS
                    + " shapes, or without end. Bring it as PNG.");
        }
    }

    /** An element, weighed by how many elements it draws. */
    private static final class Element {

        private static final long UNKNOWN = -1;

        private final List<Element> children = new ArrayList<>();
        private String shown;
        private long weight = UNKNOWN;
        private boolean beingWeighed;

        /** More than the limit if the element shows itself. */
        long weight(Map<String, Element> byId) {
            if (beingWeighed) {
                return MAX_DRAWN_ELEMENTS + 1;
            }
            if (weight == UNKNOWN) {
                beingWeighed = true;
                weight = Math.min(MAX_DRAWN_ELEMENTS + 1, weigh(byId));
                beingWeighed = false;
            }
            return weight;
        }

        private long weigh(Map<String, Element> byId) {
            long sum = 1;
            for (Element child : children) {
                sum += child.weight(byId);
            }
            Element target = shown == null ? null : byId.get(shown);
            return target == null ? sum : sum + target.weight(byId);
        }
    }
}
