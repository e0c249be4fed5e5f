package stillpond.core.gap;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.Shape;
import java.awt.geom.Path2D;
import java.awt.image.BufferedImage;
import java.awt.image.DataBufferByte;
import java.util.List;
import stillpond.core.ink.InkPlane;

/** Line art for tests, drawn on a field of 400 x 300 units with strokes 6 wide, at any number of pixels a unit. */
final class Drawn {

    static final double WIDTH = 400;
    static final double HEIGHT = 300;
    static final double STROKE = 6;

    private Drawn() {}

    static InkPlane at(double pxPerUnit, List<? extends Shape> strokes) {
        int width = (int) (WIDTH * pxPerUnit);
        int height = (int) (HEIGHT * pxPerUnit);
        BufferedImage page = new BufferedImage(width, height, BufferedImage.TYPE_BYTE_GRAY);
        Graphics2D pen = page.createGraphics();
        pen.setColor(Color.WHITE);
        pen.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        pen.scale(pxPerUnit, pxPerUnit);
        pen.setStroke(new BasicStroke((float) STROKE, BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND));
        strokes.forEach(pen::draw);
        pen.dispose();
        byte[] density = ((DataBufferByte) page.getRaster().getDataBuffer()).getData();
        return new InkPlane(width, height, density, 128);
    }

    static InkPlane of(Shape... strokes) {
        return at(1.5, List.of(strokes));
    }

    /** Points x, y, x, y... joined by straight lines. */
    static Path2D line(double... points) {
        Path2D path = new Path2D.Double();
        path.moveTo(points[0], points[1]);
        for (int i = 2; i < points.length; i += 2) {
            path.lineTo(points[i], points[i + 1]);
        }
        return path;
    }
}
