package stillpond.app.sheet;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import stillpond.core.format.FileLayer;
import stillpond.core.format.ImageLimits;
import stillpond.core.format.UnreadableFile;
import stillpond.core.stack.Stack;
import stillpond.core.stack.Standing;

/** Makes layers of files: one of each, or those that a file consists of, all as large as their page. */
@Component
class LayerFiles {

    private static final int PERCENT = 100;

    private final Analyses analyses;
    private final ImageLimits limits;

    LayerFiles(Analyses analyses, ImageLimits limits) {
        this.analyses = analyses;
        this.limits = limits;
    }

    /** The size of a page. */
    record Page(int widthPx, int heightPx) {}

    /** @param leftOut see {@link Sheets.Brought} */
    record Read(List<Sheets.NewLayer> layers, List<String> leftOut) {}

    private record Part(FileLayer layer, Analyses.Apart of) {}

    /**
     * Layers from front to back; a file that is smaller than the page lies in its middle.
     *
     * @param files from front to back
     * @param page empty: as large as the largest of the files
     * @throws UnreadableFile with a message for the user; then nothing is kept
     */
    Read read(List<LineArtFile> files, Optional<Page> page, ImageLimits sized) {
        List<Part> parts = new ArrayList<>();
        for (LineArtFile file : files) {
            parts.addAll(parts(file, sized, files.size() > 1));
        }
        Page whole = page.orElseGet(() -> new Page(
                parts.stream().mapToInt(part -> part.of().widthPx()).max().orElseThrow(),
                parts.stream().mapToInt(part -> part.of().heightPx()).max().orElseThrow()));
        requireRoom(parts, whole);
        List<Sheets.NewLayer> layers = new ArrayList<>();
        List<String> leftOut = new ArrayList<>();
        for (Part part : parts) {
            layer(part, whole, sized)
                    .ifPresentOrElse(
                            layers::add,
                            () -> leftOut.add("the layer '" + part.layer().name() + "', which is empty or all ink"));
        }
        if (layers.isEmpty()) {
            throw new UnreadableFile(
                    "No ink with paper between was found on any layer. Is the line art hidden, or inverted?");
        }
        return new Read(layers, leftOut);
    }

    private List<Part> parts(LineArtFile file, ImageLimits sized, boolean isOneOfSeveral) {
        try {
            Analyses.Apart apart = analyses.apart(file.content(), sized);
            List<FileLayer> layers = apart.layers().isEmpty()
                    ? List.of(new FileLayer(FileTitle.of(file.name()), file.content(), 0, 0, PERCENT, false))
                    : apart.layers();
            return layers.stream().map(layer -> new Part(layer, apart)).toList();
        } catch (UnreadableFile e) {
            throw isOneOfSeveral ? about(file.name(), e) : e;
        }
    }

    private static UnreadableFile about(String name, UnreadableFile problem) {
        return new UnreadableFile("'" + name + "': " + problem.getMessage() + " Nothing was taken.", problem);
    }

    private void requireRoom(List<Part> parts, Page page) {
        if (parts.size() > Stack.MOST) {
            throw new UnreadableFile("These are " + parts.size() + " layers; a sheet has up to " + Stack.MOST
                    + ". Join some of them, or bring some as a sheet of their own.");
        }
        long pixels = (long) page.widthPx() * page.heightPx() * parts.size();
        if (pixels > limits.maxPixels()) {
            throw new UnreadableFile("These layers have " + pixels / 1_000_000 + " megapixels together; up to "
                    + limits.maxPixels() / 1_000_000 + " can be taken. Join some of them, or bring them smaller.");
        }
        for (Part part : parts) {
            if (part.of().widthPx() > page.widthPx() || part.of().heightPx() > page.heightPx()) {
                throw new UnreadableFile("'" + part.layer().name() + "' is "
                        + part.of().widthPx() + " x "
                        + part.of().heightPx() + " pixels, the sheet " + page.widthPx() + " x " + page.heightPx()
                        + ". A layer may be smaller than its sheet, but not larger. Nothing was taken.");
            }
        }
    }

    private Optional<Sheets.NewLayer> layer(Part part, Page page, ImageLimits sized) {
        FileLayer layer = part.layer();
        int x = (page.widthPx() - part.of().widthPx()) / 2 + layer.xPx();
        int y = (page.heightPx() - part.of().heightPx()) / 2 + layer.yPx();
        try {
            return analyses.glanceOnPage(layer.file(), sized, page.widthPx(), page.heightPx(), x, y)
                    .map(fitted -> new Sheets.NewLayer(standing(layer), fitted.lineArt(), fitted.file()));
        } catch (UnreadableFile e) {
            throw about(layer.name(), e);
        }
    }

    private static Standing standing(FileLayer layer) {
        return Standing.of(UUID.randomUUID(), layer.name())
                .opaque(Math.max(Standing.LEAST_OPACITY, Math.min(PERCENT, layer.opacityPercent())))
                .hidden(layer.isHidden());
    }
}
