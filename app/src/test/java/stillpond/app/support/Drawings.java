package stillpond.app.support;

import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.function.Consumer;
import javax.imageio.ImageIO;

/** Line art made for tests, with regions at known places. */
public final class Drawings {

    /**
     * 600 x 400 units: three closed boxes side by side on an open page. Brought in, a unit is 5 pixels. Inside the boxes lie (100, 200),
     * (300, 200) and (500, 200); outside lies (300, 30).
     */
    public static byte[] threeBoxes() {
        return svg("""
                <g fill="none" stroke="#000" stroke-width="6">
                  <rect x="40" y="100" width="120" height="200"/>
                  <rect x="240" y="100" width="120" height="200"/>
                  <rect x="440" y="100" width="120" height="200"/>
                </g>""");
    }

    /** Another drawing with the same cells. */
    public static byte[] threeBoxesLower() {
        return new String(threeBoxes(), StandardCharsets.UTF_8)
                .replace("y=\"100\"", "y=\"110\"")
                .getBytes(StandardCharsets.UTF_8);
    }

    /** Two boxes that share a wall, with lines 40 pixels wide on a sheet of 3000 x 2000. */
    public static byte[] boxesThatTouch() {
        return svg("""
                <g fill="none" stroke="#000" stroke-width="8"><path d="M40 60H360V340H40ZM200 60V340"/></g>""");
    }

    /**
     * A little person of 9 regions, 130 to 324 by 50 to 360, on an open page: the coat lies at (185, 180) and (185, 260), the belt between at (185, 221), the head at (185, 100).
     *
     * @param transform of SVG; empty: none
     */
    public static byte[] person(String transform) {
        return svg("<g fill=\"#fff\" stroke=\"#000\" stroke-width=\"5\" transform=\"" + transform + "\">" + """
                <rect x="130" y="150" width="110" height="130"/><path d="M130 210H240M130 232H240"/>
                <circle cx="185" cy="100" r="50"/><rect x="135" y="280" width="42" height="80"/>
                <rect x="195" y="280" width="42" height="80"/><ellipse cx="282" cy="235" rx="42" ry="36"/>
                <ellipse cx="282" cy="222" rx="20" ry="12"/></g>""");
    }

    public static byte[] svg(String body) {
        String whole = "<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 600 400\">" + body + "</svg>";
        return whole.getBytes(StandardCharsets.UTF_8);
    }

    /** A clear picture with something painted on it, without soft edges. */
    public static byte[] png(int width, int height, Consumer<Graphics2D> paint) {
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_ARGB);
        Graphics2D pen = image.createGraphics();
        paint.accept(pen);
        pen.dispose();
        ByteArrayOutputStream file = new ByteArrayOutputStream();
        try {
            ImageIO.write(image, "png", file);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return file.toByteArray();
    }

    private Drawings() {}
}
