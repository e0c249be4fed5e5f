package stillpond.app.support;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import javax.imageio.ImageIO;
import javax.xml.parsers.DocumentBuilderFactory;
import org.w3c.dom.Element;
import org.w3c.dom.NodeList;

/** Reads OpenRaster as another program would, and composites it after W3C Compositing and Blending Level 1 in floating point; knows the operators that tests need. */
public final class OpenRaster {

    private final Map<String, byte[]> entries = new HashMap<>();
    private final List<Element> layers = new ArrayList<>();
    private final Element root;
    private final int width;
    private final int height;

    private OpenRaster(byte[] file) throws Exception {
        entries.putAll(Unzipped.of(file));
        root = DocumentBuilderFactory.newInstance()
                .newDocumentBuilder()
                .parse(new ByteArrayInputStream(entries.get("stack.xml")))
                .getDocumentElement();
        width = Integer.parseInt(root.getAttribute("w"));
        height = Integer.parseInt(root.getAttribute("h"));
        NodeList all = root.getElementsByTagName("layer");
        for (int i = 0; i < all.getLength(); i++) {
            layers.add((Element) all.item(i));
        }
    }

    public static OpenRaster read(byte[] file) throws Exception {
        return new OpenRaster(file);
    }

    public List<String> names() {
        return layers.stream().map(layer -> layer.getAttribute("name")).toList();
    }

    public List<String> operators() {
        return layers.stream().map(layer -> layer.getAttribute("composite-op")).toList();
    }

    public BufferedImage merged() throws IOException {
        return ImageIO.read(new ByteArrayInputStream(entries.get("mergedimage.png")));
    }

    /** All layers, the last in the list first. */
    public BufferedImage composed() throws IOException {
        double[] page = stack((Element) root.getElementsByTagName("stack").item(0));
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_ARGB);
        for (int i = 0; i < width * height; i++) {
            int argb = 0;
            for (int channel = 0; channel < 4; channel++) {
                argb |= (int) Math.round(255 * page[4 * i + channel]) << (channel == 3 ? 24 : 16 - 8 * channel);
            }
            image.setRGB(i % width, i / width, argb);
        }
        return image;
    }

    /** Red, green, blue and alpha of each pixel, 0 to 1, not premultiplied. */
    private double[] stack(Element stack) throws IOException {
        double[] page = new double[4 * width * height];
        NodeList children = stack.getChildNodes();
        for (int i = children.getLength() - 1; i >= 0; i--) {
            if (children.item(i) instanceof Element child) {
                double opacity = child.hasAttribute("opacity") ? Double.parseDouble(child.getAttribute("opacity")) : 1;
                lay(page, child.getTagName().equals("stack") ? stack(child) : layer(child), operator(child), opacity);
            }
        }
        return page;
    }

    private static String operator(Element child) {
        return child.hasAttribute("composite-op") ? child.getAttribute("composite-op") : "svg:src-over";
    }

    private double[] layer(Element layer) throws IOException {
        double[] pixels = new double[4 * width * height];
        BufferedImage image = ImageIO.read(new ByteArrayInputStream(entries.get(layer.getAttribute("src"))));
        int left = Integer.parseInt(layer.getAttribute("x"));
        int top = Integer.parseInt(layer.getAttribute("y"));
        for (int y = 0; y < image.getHeight(); y++) {
            for (int x = 0; x < image.getWidth(); x++) {
                int argb = image.getRGB(x, y);
                int at = 4 * ((y + top) * width + x + left);
                pixels[at] = (argb >> 16 & 0xff) / 255.0;
                pixels[at + 1] = (argb >> 8 & 0xff) / 255.0;
                pixels[at + 2] = (argb & 0xff) / 255.0;
                pixels[at + 3] = (argb >>> 24) / 255.0;
            }
        }
        return pixels;
    }

    private static void lay(double[] page, double[] layer, String operator, double opacity) {
        for (int i = 0; i < page.length; i += 4) {
            double over = layer[i + 3] * opacity;
            double under = page[i + 3];
            boolean isAtop = operator.equals("svg:src-atop");
            double alpha = isAtop ? under : over + under * (1 - over);
            for (int channel = i; channel < i + 3 && alpha > 0; channel++) {
                double blended = (1 - under) * layer[channel] + under * blend(operator, page[channel], layer[channel]);
                double source = isAtop ? over * under : over;
                page[channel] = (source * blended + (1 - over) * under * page[channel]) / alpha;
            }
            page[i + 3] = alpha;
        }
    }

    private static double blend(String operator, double backdrop, double source) {
        return switch (operator) {
            case "svg:src-over", "svg:src-atop" -> source;
            case "svg:multiply" -> backdrop * source;
            case "svg:screen" -> backdrop + source - backdrop * source;
            default -> throw new IllegalArgumentException("Not known here: " + operator);
        };
    }
}
