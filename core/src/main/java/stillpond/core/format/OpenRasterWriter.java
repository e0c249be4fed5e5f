package stillpond.core.format;

import java.io.Closeable;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.zip.CRC32;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import stillpond.core.cell.Box;
import stillpond.core.handon.Cropped;
import stillpond.core.ink.Picture;
import stillpond.core.render.ShadowLayers.Laying;
import stillpond.core.render.Shrunk;

/**
 * Writes OpenRaster (freedesktop.org, "OpenRaster file layout specification" 0.0.5), layer by layer from the front on, so that one picture is held at a time. {@link #finish} makes it whole.
 */
public final class OpenRasterWriter implements Closeable {

    private static final int THUMBNAIL_PX = 256;

    private final ZipOutputStream zip;
    private final PngWriter.About about;
    private final int widthPx;
    private final int heightPx;
    private final StringBuilder stack = new StringBuilder();
    private int layers;

    /** @param out is left open */
    public OpenRasterWriter(OutputStream out, int widthPx, int heightPx, Optional<Resolution> resolution)
            throws IOException {
        this.zip = new ZipOutputStream(out, StandardCharsets.UTF_8);
        this.about = new PngWriter.About(resolution, Map.of());
        this.widthPx = widthPx;
        this.heightPx = heightPx;
        String size = String.format("<image version=\"0.0.5\" w=\"%d\" h=\"%d\"", widthPx, heightPx);
        stack.append("<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n").append(size);
        resolution.ifPresent(known -> stack.append(
                String.format(" xres=\"%d\" yres=\"%d\"", perInch(known.xPerMetre()), perInch(known.yPerMetre()))));
        stack.append(">\n<stack>\n");
        stored("mimetype", "image/openraster".getBytes(StandardCharsets.US_ASCII));
    }

    private static long perInch(int perMetre) {
        return Math.round(perMetre * 0.0254);
    }

    /** The layers that follow, until {@link #end}, are one group, which is made on its own and then laid over what lies behind it. */
    public void begin(String name, int xPx, int yPx, int opacityPercent) {
        stack.append(String.format(
                Locale.ROOT,
                "<stack name=\"%s\" isolation=\"isolate\" x=\"%d\" y=\"%d\" opacity=\"%.2f\">%n",
                SvgNames.text(name),
                xPx,
                yPx,
                opacityPercent / 100.0));
    }

    public void end() {
        stack.append("</stack>\n");
    }

    /** Behind those that are there; one that is clear all over is left out. */
    public void layer(String name, Picture picture, Laying laying, int xPx, int yPx) throws IOException {
        Optional<Box> laid = Cropped.laid(picture);
        if (laid.isEmpty()) {
            return;
        }
        Box box = laid.get();
        String path = String.format("data/layer%03d.png", layers++);
        zip.putNextEntry(new ZipEntry(path));
        PngWriter.writeSmallest(Cropped.of(picture, box), about, zip);
        zip.closeEntry();
        stack.append(String.format(
                "<layer name=\"%s\" src=\"%s\" x=\"%d\" y=\"%d\" composite-op=\"%s\"/>%n",
                SvgNames.text(name), path, xPx + box.xStart(), yPx + box.yStart(), operator(laying)));
    }

    private static String operator(Laying laying) {
        if (laying instanceof Laying.Blended blended) {
            String mode = blended.mode().standardName();
            return mode.equals("normal") ? "svg:src-over" : "svg:" + mode;
        }
        return laying instanceof Laying.Atop ? "svg:src-atop" : "svg:dst-out";
    }

    /** @param whole the page as it looks with all its layers */
    public void finish(Picture whole) throws IOException {
        zip.putNextEntry(new ZipEntry("mergedimage.png"));
        PngWriter.writeSmallest(whole, about, zip);
        zip.closeEntry();
        zip.putNextEntry(new ZipEntry("Thumbnails/thumbnail.png"));
        PngWriter.write(Shrunk.to(whole, THUMBNAIL_PX), zip);
        zip.closeEntry();
        stack.append("</stack>\n</image>\n");
        zip.putNextEntry(new ZipEntry("stack.xml"));
        zip.write(stack.toString().getBytes(StandardCharsets.UTF_8));
        zip.closeEntry();
        zip.finish();
    }

    /** As the first entry must be, so that the kind of the file is seen without unpacking it. */
    private void stored(String name, byte[] content) throws IOException {
        CRC32 check = new CRC32();
        check.update(content);
        ZipEntry entry = new ZipEntry(name);
        entry.setMethod(ZipEntry.STORED);
        entry.setSize(content.length);
        entry.setCrc(check.getValue());
        zip.putNextEntry(entry);
        zip.write(content);
        zip.closeEntry();
    }

    /** Gives up what it needs to pack; the stream that it writes to stays open. */
    @Override
    public void close() throws IOException {
        zip.flush();
    }
}
