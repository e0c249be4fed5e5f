package stillpond.bench.flats;

import java.awt.image.BufferedImage;
import java.awt.image.DataBufferByte;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import stillpond.core.cell.DistanceField;
import stillpond.core.ink.InkPlane;
import stillpond.core.ink.StrokeWidth;

/** Cuts gaps into the line art of a case, where ink parts two regions: most real drawings have too few to be fitted to. The truth stays. */
public final class GapCutter {

    /** In stroke widths: as long as the trade's gaps are. */
    private static final double SHORTEST = 0.4;

    private static final double LONGEST = 6;
    private static final double GAPS_A_REGION = 0.4;

    private GapCutter() {}

    public static Case cut(Case drawn, Random random) {
        int width = drawn.width();
        int height = drawn.height();
        InkPlane ink = FlatsBench.ink(drawn);
        double stroke = StrokeWidth.of(ink);
        DistanceField toRegion =
                DistanceField.to(width, height, i -> drawn.truth()[i] != Case.DO_NOT_CARE && !ink.isInk(i));
        List<Integer> borders = borders(drawn, ink, toRegion);
        BufferedImage page = new BufferedImage(width, height, BufferedImage.TYPE_BYTE_GRAY);
        byte[] grey = ((DataBufferByte) page.getRaster().getDataBuffer()).getData();
        int[] before = drawn.line().getRaster().getSamples(0, 0, width, height, 0, (int[]) null);
        for (int i = 0; i < grey.length; i++) {
            grey[i] = (byte) before[i];
        }
        int gaps = borders.isEmpty()
                ? 0
                : 1 + (int) (GAPS_A_REGION * drawn.regions().size());
        for (int i = 0; i < gaps; i++) {
            double length = stroke * SHORTEST * Math.pow(LONGEST / SHORTEST, random.nextDouble());
            int at = borders.get(random.nextInt(borders.size()));
            erase(grey, width, height, at, length / 2 + 0.5);
        }
        return new Case(drawn.name() + "-gaps", page, drawn.truth(), drawn.regions());
    }

    /** Pixels of ink on whose two sides different regions lie nearest, and not far. */
    private static List<Integer> borders(Case drawn, InkPlane ink, DistanceField toRegion) {
        List<Integer> borders = new ArrayList<>();
        int width = drawn.width();
        for (int i = 0; i + width < drawn.truth().length; i++) {
            if (ink.isInk(i) && i % width < width - 1) {
                int here = drawn.truth()[toRegion.nearest(i)];
                boolean beside = drawn.truth()[toRegion.nearest(i + 1)] != here;
                boolean below = drawn.truth()[toRegion.nearest(i + width)] != here;
                if (beside || below) {
                    borders.add(i);
                }
            }
        }
        return borders;
    }

    private static void erase(byte[] grey, int width, int height, int at, double radius) {
        int reach = (int) Math.ceil(radius + 1);
        for (int dy = -reach; dy <= reach; dy++) {
            for (int dx = -reach; dx <= reach; dx++) {
                int x = at % width + dx;
                int y = at / width + dy;
                if (x >= 0 && y >= 0 && x < width && y < height) {
                    double paper = Math.max(0, Math.min(1, radius + 0.5 - Math.hypot(dx, dy)));
                    int i = y * width + x;
                    grey[i] = (byte) Math.round((grey[i] & 0xff) * (1 - paper) + 255 * paper);
                }
            }
        }
    }
}
