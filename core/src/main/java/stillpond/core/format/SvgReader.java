package stillpond.core.format;

import com.github.weisj.jsvg.SVGDocument;
import com.github.weisj.jsvg.parser.DocumentLimits;
import com.github.weisj.jsvg.parser.LoaderContext;
import com.github.weisj.jsvg.parser.SVGLoader;
import com.github.weisj.jsvg.parser.resources.ResourcePolicy;
import com.github.weisj.jsvg.view.FloatSize;
import com.github.weisj.jsvg.view.ViewBox;
import java.awt.Component;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.awt.image.DataBufferInt;
import java.io.ByteArrayInputStream;
import stillpond.core.ink.Picture;

/** Draws an SVG at the size that the limits name, on transparent paper. */
final class SvgReader {

    /** The guard has counted already, so that a drawing is refused with our reason; the library's own limits are those of an icon. */
    private static final DocumentLimits GUARDED = new DocumentLimits(
            SvgGuard.MAX_NESTING + 1, SvgGuard.MAX_NESTING + 1, (int) SvgGuard.MAX_DRAWN_ELEMENTS + 1);

    private final ImageLimits limits;

    SvgReader(ImageLimits limits) {
        this.limits = limits;
    }

    PictureFile open(byte[] file) {
        SvgGuard.Harmless harmless = SvgGuard.of(file);
        SVGDocument document = new SVGLoader()
                .load(
                        new ByteArrayInputStream(harmless.svg()),
                        null,
                        LoaderContext.builder()
                                .externalResourcePolicy(ResourcePolicy.DENY_ALL)
                                .documentLimits(GUARDED)
                                .build());
        if (document == null) {
            throw new UnreadableFile("The SVG could not be understood. Export it again as plain SVG, or as PNG.");
        }
        FloatSize size = document.size();
        if (!(size.width > 0) || !(size.height > 0)) {
            throw new UnreadableFile("The SVG does not say how large it is: give it a width and height, or a viewBox.");
        }
        double scale = limits.vectorLongSidePx() / Math.max((double) size.width, size.height);
        int width = Math.max(1, (int) Math.round(size.width * scale));
        int height = Math.max(1, (int) Math.round(size.height * scale));
        limits.requireSize(width, height);
        return new PictureFile(
                width,
                height,
                harmless.leftOut(),
                () -> draw(document, width, height),
                () -> SvgGroups.of(harmless.svg()));
    }

    private static Picture draw(SVGDocument document, int width, int height) {
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_ARGB);
        Graphics2D graphics = image.createGraphics();
        try {
            graphics.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
            graphics.setRenderingHint(RenderingHints.KEY_STROKE_CONTROL, RenderingHints.VALUE_STROKE_PURE);
            document.render((Component) null, graphics, new ViewBox(width, height));
        } catch (RuntimeException e) {
            throw new UnreadableFile("The SVG holds something that cannot be drawn here. Bring it as PNG.", e);
        } finally {
            graphics.dispose();
        }
        return new Picture(width, height, ((DataBufferInt) image.getRaster().getDataBuffer()).getData());
    }
}
