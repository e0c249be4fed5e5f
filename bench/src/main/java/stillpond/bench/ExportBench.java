package stillpond.bench;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.Path2D;
import java.awt.image.BufferedImage;
import java.awt.image.DataBufferInt;
import java.io.IOException;
import java.io.OutputStream;
import java.lang.management.ManagementFactory;
import java.lang.management.MemoryPoolMXBean;
import java.lang.management.MemoryType;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.IntStream;
import nu.pattern.OpenCV;
import org.opencv.core.CvType;
import org.opencv.core.Mat;
import org.opencv.core.MatOfByte;
import org.opencv.imgcodecs.Imgcodecs;
import stillpond.core.cell.CellMap;
import stillpond.core.cell.CellPlane;
import stillpond.core.colour.BlendMode;
import stillpond.core.colour.Gamut;
import stillpond.core.colour.Oklab;
import stillpond.core.colour.PrintCondition;
import stillpond.core.colour.Srgb;
import stillpond.core.cut.CutJob;
import stillpond.core.cut.CutPlane;
import stillpond.core.cut.CutSettings;
import stillpond.core.fill.Fill;
import stillpond.core.fill.Fills;
import stillpond.core.format.CutFiles;
import stillpond.core.format.ImageLimits;
import stillpond.core.format.LineArtReader;
import stillpond.core.format.MaskFiles;
import stillpond.core.format.OpenRasterWriter;
import stillpond.core.format.OwnMotifs;
import stillpond.core.format.PlateFiles;
import stillpond.core.format.PngWriter;
import stillpond.core.format.Resolution;
import stillpond.core.format.SvgSheet;
import stillpond.core.handon.Arrangement;
import stillpond.core.handon.Faces;
import stillpond.core.ink.InkFinder;
import stillpond.core.ink.InkPlane;
import stillpond.core.ink.Picture;
import stillpond.core.ledger.CellGroups;
import stillpond.core.palette.Card;
import stillpond.core.palette.Palette;
import stillpond.core.palette.Swatch;
import stillpond.core.plate.Inking;
import stillpond.core.plate.Separation;
import stillpond.core.render.CellColours;
import stillpond.core.render.InkColours;
import stillpond.core.render.InkShapes;
import stillpond.core.render.ShadowLayers.Laying;
import stillpond.core.render.SheetPainter;
import stillpond.core.shape.Cubic;
import stillpond.core.shape.SmoothMap;
import stillpond.core.stack.Standing;

/** How long each form of a page takes to be written and how much heap, from its planes on; how far shapes lie from the flats. */
final class ExportBench {

    private static final int SWATCHES = 24;
    private static final double TOLERANCE_PX = 0.6;
    private static final Resolution RESOLUTION = new Resolution(23622, 23622);
    private static final Laying OVER = new Laying.Blended(BlendMode.NORMAL);

    private final InkPlane ink;
    private final CellMap map;
    private final Fills fills;
    private final Palette palette;
    private final CellColours colours;
    private final Path profile;

    private ExportBench(int megapixels, Path profile) throws IOException {
        this.ink = InkFinder.find(new LineArtReader(ImageLimits.DEFAULT).read(MadePage.file(megapixels)));
        this.map = CellMap.of(ink);
        List<Swatch> swatches = IntStream.range(0, SWATCHES)
                .mapToObj(i -> new Swatch(UUID.randomUUID(), "Swatch " + i, colour(i)))
                .toList();
        this.palette = new Palette(List.of(new Card(UUID.randomUUID(), "Page", "", swatches)));
        Map<Integer, Fill> laid = new HashMap<>();
        for (int cell = 0; cell < map.cells().size(); cell++) {
            laid.put(cell, Fill.flat(swatches.get(cell % SWATCHES).id()));
        }
        this.fills = Fills.of(laid);
        this.colours = CellColours.of(
                fills, palette::colourOf, new OwnMotifs(), map.cells().size());
        this.profile = profile;
    }

    private static Srgb colour(int i) {
        double turn = 2 * Math.PI * i / SWATCHES;
        return Gamut.show(new Oklab(0.5 + 0.4 * (i % 3) / 2, 0.1 * Math.cos(turn), 0.1 * Math.sin(turn)))
                .colour();
    }

    /** What a form came to. @param heapMb the most that was in use meanwhile, with the planes that it is made of */
    record Figure(String form, long millis, long bytes, long heapMb) {}

    private interface Writing {
        void to(OutputStream out) throws IOException;
    }

    /** @param args the size in megapixels, 35 unless told; the profile of inks */
    public static void main(String[] args) throws IOException {
        int megapixels = args.length > 0 ? Integer.parseInt(args[0]) : 35;
        Path profile = Path.of(args.length > 1 ? args[1] : "/usr/share/color/icc/ghostscript/default_cmyk.icc");
        ExportBench bench = new ExportBench(megapixels, profile);
        System.out.printf(
                "%d megapixels, %d cells%n", megapixels, bench.map.cells().size());
        for (Figure figure : bench.figures()) {
            System.out.printf(
                    "%-22s %6d ms %9.1f MB of file %6d MB of heap%n",
                    figure.form(), figure.millis(), figure.bytes() / 1e6, figure.heapMb());
        }
        System.out.println("the composed picture, written by OpenCV: " + bench.openCv() + " ms");
        System.out.println(bench.deviation().words());
    }

    List<Figure> figures() throws IOException {
        List<Figure> figures = new ArrayList<>();
        PngWriter.About about = new PngWriter.About(Optional.of(RESOLUTION), Map.of());
        figures.add(measured(
                "flats, PNG", out -> PngWriter.writeSmallest(SheetPainter.flats(map.plane(), colours), about, out)));
        figures.add(measured("whole sheet, PNG", out -> PngWriter.writeSmallest(composed(), about, out)));
        figures.add(measured("shapes, SVG", out -> SvgSheet.write(page(), List.of(svgLayer()), out)));
        figures.add(measured("layers, OpenRaster", this::openRaster));
        figures.add(measured(
                "masks, 1 bit",
                out -> MaskFiles.write(
                        new MaskFiles.Page(
                                ink.widthPx(),
                                ink.heightPx(),
                                MaskFiles.Depth.ONE_BIT,
                                Optional.of(RESOLUTION),
                                palette::colourOf),
                        List.of(new MaskFiles.Layer(standing(), map.plane(), faces())),
                        out)));
        figures.add(measured("plates, trap of 2, TIFF", this::plates));
        figures.add(measured("cuts of one colour", this::cuts));
        return figures;
    }

    private void cuts(OutputStream out) throws IOException {
        int[] group = new int[map.cells().size()];
        for (int cell = 0; cell < group.length; cell++) {
            group[cell] = cell % SWATCHES + 1;
        }
        CellPlane plane = CutPlane.of(
                ink.widthPx(),
                ink.heightPx(),
                List.of(new CutPlane.OnPage(map.plane(), cell -> group[cell], 0, 0)),
                Optional.empty());
        List<String> names =
                palette.cards().get(0).swatches().stream().map(Swatch::name).toList();
        CutJob job = CutJob.of(plane, names, 1, 1000.0 / RESOLUTION.xPerMetre(), CutSettings.USUAL);
        out.write(CutFiles.program(job).getBytes(StandardCharsets.US_ASCII));
    }

    private Figure measured(String form, Writing writing) throws IOException {
        List<MemoryPoolMXBean> pools = ManagementFactory.getMemoryPoolMXBeans().stream()
                .filter(pool -> pool.getType() == MemoryType.HEAP)
                .toList();
        System.gc();
        pools.forEach(MemoryPoolMXBean::resetPeakUsage);
        Counted counted = new Counted();
        long start = System.nanoTime();
        writing.to(counted);
        long millis = (System.nanoTime() - start) / 1_000_000;
        long heap =
                pools.stream().mapToLong(pool -> pool.getPeakUsage().getUsed()).sum();
        if (counted.bytes < 1000) {
            throw new IllegalStateException(form + " came to nothing");
        }
        return new Figure(form, millis, counted.bytes, heap >> 20);
    }

    private static final class Counted extends OutputStream {
        private long bytes;

        @Override
        public void write(int each) {
            bytes++;
        }

        @Override
        public void write(byte[] some, int from, int length) {
            bytes += length;
        }
    }

    private Picture composed() {
        return SheetPainter.composed(map.plane(), ink, colours, InkColours.BLACK);
    }

    private SvgSheet.Page page() {
        return new SvgSheet.Page("Page", ink.widthPx(), ink.heightPx(), palette, palette::colourOf, new OwnMotifs());
    }

    private static Standing standing() {
        return Standing.of(UUID.randomUUID(), "Drawing");
    }

    private Faces faces() {
        int[] regions = IntStream.range(0, map.cells().size()).toArray();
        return Faces.of(Arrangement.COLOUR, new Faces.Laid(fills, regions, CellGroups.NONE), palette);
    }

    private SvgSheet.Layer svgLayer() {
        return new SvgSheet.Layer(standing(), map.plane(), faces(), InkShapes.of(ink, InkColours.BLACK), Map.of());
    }

    private void openRaster(OutputStream out) throws IOException {
        Faces faces = faces();
        try (OpenRasterWriter writer =
                new OpenRasterWriter(out, ink.widthPx(), ink.heightPx(), Optional.of(RESOLUTION))) {
            writer.layer("Ink", SheetPainter.ink(ink, InkColours.BLACK), OVER, 0, 0);
            for (String group : faces.groups()) {
                int face = faces.in(group).get(0);
                writer.layer(
                        group,
                        SheetPainter.layer(map.plane(), colours.ofCells(cell -> faces.of(cell) == face)),
                        OVER,
                        0,
                        0);
            }
            writer.finish(composed());
        }
    }

    private void plates(OutputStream out) throws IOException {
        Separation.Page page = new Separation.Page(
                SheetPainter.layer(map.plane(), colours),
                Separation.SpotAreas.NONE,
                SheetPainter.ink(ink, InkColours.BLACK));
        PrintCondition condition = PrintCondition.of(Files.readAllBytes(profile));
        PlateFiles.write(
                "Page",
                Separation.of(page, condition, new Inking(true, 2, 300)),
                RESOLUTION,
                PlateFiles.Form.TIFF,
                out);
    }

    /** How long native OpenCV takes to write the composed picture as PNG. */
    private long openCv() {
        OpenCV.loadLocally();
        Picture picture = composed();
        byte[] bgr = new byte[3 * picture.argb().length];
        for (int i = 0; i < picture.argb().length; i++) {
            bgr[3 * i] = (byte) picture.argb()[i];
            bgr[3 * i + 1] = (byte) (picture.argb()[i] >> 8);
            bgr[3 * i + 2] = (byte) (picture.argb()[i] >> 16);
        }
        Mat mat = new Mat(picture.heightPx(), picture.widthPx(), CvType.CV_8UC3);
        mat.put(0, 0, bgr);
        MatOfByte file = new MatOfByte();
        long start = System.nanoTime();
        if (!Imgcodecs.imencode(".png", mat, file) || file.total() < 1000) {
            throw new IllegalStateException("OpenCV wrote nothing");
        }
        long millis = (System.nanoTime() - start) / 1_000_000;
        mat.release();
        file.release();
        return millis;
    }

    /**
     * How the shapes, filled without antialiasing, differ from the flats.
     *
     * @param off pixels of another face
     * @param farOff those of them that are not beside a border
     */
    record Deviation(int nodes, long pixels, long off, long farOff) {
        String words() {
            return String.format(
                    "shapes: %,d nodes; of %,d pixels %,d are another face's than in the flats, %,d of them not beside a border",
                    nodes, pixels, off, farOff);
        }
    }

    Deviation deviation() {
        Faces faces = faces();
        SmoothMap shapes = SmoothMap.of(map.plane(), faces::of, TOLERANCE_PX);
        int width = ink.widthPx();
        int height = ink.heightPx();
        BufferedImage drawn = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        Graphics2D graphics = drawn.createGraphics();
        graphics.setRenderingHint(RenderingHints.KEY_STROKE_CONTROL, RenderingHints.VALUE_STROKE_PURE);
        for (int face = 1; face <= faces.all().size(); face++) {
            graphics.setPaint(new Color(face));
            graphics.fill(path(shapes.around(face)));
        }
        graphics.dispose();
        int[] numbers = ((DataBufferInt) drawn.getRaster().getDataBuffer()).getData();
        long off = 0;
        long farOff = 0;
        for (int y = 0; y < height; y++) {
            for (int x = 0; x < width; x++) {
                int own = faces.of(map.plane().numberAt(x, y));
                if ((numbers[y * width + x] & 0xffffff) != own) {
                    off++;
                    farOff += isBeside(faces, x, y, own) ? 0 : 1;
                }
            }
        }
        return new Deviation(shapes.nodes(), (long) width * height, off, farOff);
    }

    private boolean isBeside(Faces faces, int x, int y, int own) {
        for (int row = Math.max(0, y - 1); row <= Math.min(ink.heightPx() - 1, y + 1); row++) {
            for (int column = Math.max(0, x - 1); column <= Math.min(ink.widthPx() - 1, x + 1); column++) {
                if (faces.of(map.plane().numberAt(column, row)) != own) {
                    return true;
                }
            }
        }
        return false;
    }

    private static Path2D path(List<List<Cubic>> lines) {
        Path2D path = new Path2D.Double(Path2D.WIND_EVEN_ODD);
        for (List<Cubic> line : lines) {
            path.moveTo(line.get(0).x0(), line.get(0).y0());
            line.forEach(each -> path.curveTo(each.x1(), each.y1(), each.x2(), each.y2(), each.x3(), each.y3()));
            path.closePath();
        }
        return path;
    }

    /** For a test: the same on a small page. */
    static ExportBench small() throws IOException {
        return new ExportBench(1, Path.of("/usr/share/color/icc/ghostscript/default_cmyk.icc"));
    }
}
