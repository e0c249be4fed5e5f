package stillpond.core.format;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import javax.xml.parsers.ParserConfigurationException;
import javax.xml.parsers.SAXParserFactory;
import org.xml.sax.Attributes;
import org.xml.sax.InputSource;
import org.xml.sax.SAXException;
import org.xml.sax.helpers.DefaultHandler;
import stillpond.core.ink.Picture;
import stillpond.core.stack.Stack;
import stillpond.core.stack.Standing;

/**
 * Reads OpenRaster (freedesktop.org, "OpenRaster file layout specification" 0.0.5): a zip with a list of layers, {@code stack.xml}, and a picture for each. Groups of layers are taken
 * for the layers in them. Nothing is unpacked to a disk.
 */
final class OpenRasterReader {

    private static final String LIST = "stack.xml";
    private static final String WHOLE = "mergedimage.png";
    private static final byte[] START = "mimetypeimage/openraster".getBytes(StandardCharsets.US_ASCII);
    /** Where the name of the first entry begins in a zip. */
    private static final int FIRST_NAME = 30;

    private static final int MOST_ENTRIES = 2000;
    private static final int LONGEST_LIST_BYTES = 1 << 20;
    private static final int DEEPEST_GROUP = 64;
    private static final int CHUNK_BYTES = 1 << 16;

    private final ImageLimits limits;

    OpenRasterReader(ImageLimits limits) {
        this.limits = limits;
    }

    /** Whether a file is one: its first entry says so, unpacked, which is what makes it OpenRaster. */
    static boolean reads(byte[] file) {
        if (file.length < FIRST_NAME + START.length || file[0] != 'P' || file[1] != 'K') {
            return false;
        }
        for (int i = 0; i < START.length; i++) {
            if (file[FIRST_NAME + i] != START[i]) {
                return false;
            }
        }
        return true;
    }

    PictureFile open(byte[] file) {
        Listed listed = list(file);
        limits.requireSize(listed.width, listed.height);
        return new PictureFile(
                listed.width, listed.height, List.of(), () -> whole(file), () -> layers(file, listed.layers));
    }

    private Listed list(byte[] file) {
        byte[] list = entries(file, Set.of(LIST), LONGEST_LIST_BYTES).get(LIST);
        if (list == null) {
            throw broken("has no list of its layers", null);
        }
        try {
            SAXParserFactory factory = SAXParserFactory.newInstance();
            factory.setFeature("http://apache.org/xml/features/disallow-doctype-decl", true);
            Listed listed = new Listed();
            factory.newSAXParser().parse(new InputSource(new ByteArrayInputStream(list)), listed);
            return listed;
        } catch (SAXException | ParserConfigurationException | IOException e) {
            throw broken("has a list of layers that cannot be read", e);
        }
    }

    private static UnreadableFile broken(String what, Exception cause) {
        return new UnreadableFile(
                "The OpenRaster file " + what + ". Export it again, or bring its layers as PNG.", cause);
    }

    private Picture whole(byte[] file) {
        byte[] picture = entries(file, Set.of(WHOLE), limits.maxBytes()).get(WHOLE);
        if (picture == null) {
            throw broken("has no picture of the whole", null);
        }
        return new LineArtReader(limits).read(picture);
    }

    private List<FileLayer> layers(byte[] file, List<Entry> entries) {
        requireFew(entries.size());
        Set<String> names = new HashSet<>();
        entries.forEach(each -> names.add(each.path));
        Map<String, byte[]> pictures = entries(file, names, limits.maxBytes());
        List<FileLayer> layers = new ArrayList<>();
        for (Entry entry : entries) {
            byte[] picture = pictures.get(entry.path);
            if (picture == null) {
                throw broken("lists the layer '" + entry.name + "', but does not hold its picture", null);
            }
            layers.add(new FileLayer(entry.name, picture, entry.x, entry.y, entry.opacityPercent, entry.isHidden));
        }
        return layers;
    }

    /** @param layers that a file has */
    static void requireFew(int layers) {
        if (layers > Stack.MOST) {
            throw new UnreadableFile("The file has " + layers + " layers; a sheet has up to " + Stack.MOST
                    + ". Join some of them, or bring some as a sheet of their own.");
        }
    }

    /** @param mostBytes that all of them may have, unpacked */
    private static Map<String, byte[]> entries(byte[] file, Set<String> wanted, long mostBytes) {
        Map<String, byte[]> found = new HashMap<>();
        long left = mostBytes;
        int seen = 0;
        try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(file))) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                if (++seen > MOST_ENTRIES) {
                    throw broken("holds more than " + MOST_ENTRIES + " files", null);
                }
                if (wanted.contains(entry.getName())) {
                    byte[] content = unpack(zip, left);
                    left -= content.length;
                    found.put(entry.getName(), content);
                }
            }
        } catch (UnreadableFile told) {
            throw told;
        } catch (IOException | IllegalArgumentException e) {
            throw broken("is cut off or damaged", e);
        }
        return found;
    }

    private static byte[] unpack(ZipInputStream zip, long most) throws IOException {
        ByteArrayOutputStream content = new ByteArrayOutputStream();
        byte[] chunk = new byte[CHUNK_BYTES];
        for (int read = zip.read(chunk); read >= 0; read = zip.read(chunk)) {
            content.write(chunk, 0, read);
            if (content.size() > most) {
                throw broken("unpacks to more than " + (most >> 20) + " MB", null);
            }
        }
        return content.toByteArray();
    }

    private record Entry(String name, String path, int x, int y, int opacityPercent, boolean isHidden) {}

    /** What a group gives to the layers in it. */
    private record Group(double opacity, boolean isHidden) {}

    /** The list of layers, while it is read. */
    private static final class Listed extends DefaultHandler {

        private final List<Entry> layers = new ArrayList<>();
        private final Deque<Group> groups = new ArrayDeque<>();
        private int width;
        private int height;

        @Override
        public void startElement(String uri, String localName, String name, Attributes attributes) {
            switch (name) {
                case "image" -> {
                    width = (int) number(attributes, "w", -1);
                    height = (int) number(attributes, "h", -1);
                    if (width < 1 || height < 1) {
                        throw broken("does not say how large it is", null);
                    }
                }
                case "stack" -> {
                    groups.push(group(attributes));
                    if (groups.size() > DEEPEST_GROUP) {
                        throw broken("nests groups more than " + DEEPEST_GROUP + " deep", null);
                    }
                }
                case "layer" -> layers.add(layer(attributes));
                default -> {
                    // Others may add what they like (3.3); it is not for us.
                }
            }
        }

        @Override
        public void endElement(String uri, String localName, String name) {
            if (name.equals("stack")) {
                groups.pop();
            }
        }

        @Override
        public void endDocument() {
            if (width == 0) {
                throw broken("has a list of layers that is none", null);
            }
        }

        private Group group(Attributes attributes) {
            Group around = groups.isEmpty() ? new Group(1, false) : groups.peek();
            boolean isHidden = around.isHidden || "hidden".equals(attributes.getValue("visibility"));
            return new Group(around.opacity * within(number(attributes, "opacity", 1)), isHidden);
        }

        private Entry layer(Attributes attributes) {
            String given = attributes.getValue("name");
            String name = given == null || given.isBlank() ? "Layer " + (layers.size() + 1) : given.strip();
            String path = attributes.getValue("src");
            if (path == null || path.startsWith("/") || path.contains("..") || path.contains("\\")) {
                throw broken("says that the layer '" + name + "' lies outside of the file, so it was not opened", null);
            }
            Group group = group(attributes);
            return new Entry(
                    name,
                    path,
                    place(attributes, "x", name),
                    place(attributes, "y", name),
                    (int) Math.round(100 * group.opacity),
                    group.isHidden);
        }

        private static int place(Attributes attributes, String name, String layer) {
            double place = number(attributes, name, 0);
            if (Math.abs(place) > Standing.FARTHEST_PX) {
                throw broken("says that the layer '" + layer + "' lies far from the page", null);
            }
            return (int) Math.round(place);
        }

        private static double within(double share) {
            return Math.max(0, Math.min(1, share));
        }

        private static double number(Attributes attributes, String name, double otherwise) {
            String text = attributes.getValue(name);
            if (text == null) {
                return otherwise;
            }
            try {
                double number = Double.parseDouble(text);
                if (Double.isFinite(number)) {
                    return number;
                }
            } catch (NumberFormatException notOne) {
                // Said below.
            }
            throw broken("has '" + text + "' where a number belongs", null);
        }
    }
}
