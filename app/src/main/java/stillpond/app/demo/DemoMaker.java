package stillpond.app.demo;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import stillpond.app.account.Accounts;
import stillpond.app.card.ReferencePicture;
import stillpond.app.card.ReferencePictures;
import stillpond.app.palette.Palettes;
import stillpond.app.palette.Stagings;
import stillpond.app.project.Projects;
import stillpond.app.project.Scene;
import stillpond.app.sheet.ChangeRequest;
import stillpond.app.sheet.Layer;
import stillpond.app.sheet.LineArtFile;
import stillpond.app.sheet.Planes;
import stillpond.app.sheet.Sharpening;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.SheetChanges;
import stillpond.app.sheet.SheetLayers;
import stillpond.app.sheet.SheetOrder;
import stillpond.app.sheet.Sheets;
import stillpond.app.travel.ProjectFiles;
import stillpond.core.cell.CellPlane;
import stillpond.core.colour.Srgb;
import stillpond.core.fill.Fill;
import stillpond.core.fill.Opacity;
import stillpond.core.fill.Span;
import stillpond.core.fill.Stop;
import stillpond.core.format.PlaneCodec;
import stillpond.core.gap.Regions;
import stillpond.core.palette.Card;
import stillpond.core.palette.Light;
import stillpond.core.palette.LightRule;
import stillpond.core.palette.Palette;
import stillpond.core.palette.Staging;
import stillpond.core.palette.Swatch;
import stillpond.core.palette.Wardrobe;
import tools.jackson.databind.json.JsonMapper;

/**
 * Makes the demo anew from its drawings, in an empty database, by the same calls that people's own work goes through; and writes each of its books as a project file,
 * unpacked, for {@link DemoLoader} to bring in. That is {@code ./pond demo}; then the application ends.
 */
@Component
@ConditionalOnProperty("pond.demo-into")
class DemoMaker {

    /** What the title of a character's model sheet ends with. */
    private static final String MODEL = ", model sheet";

    private static final String REFERENCE = "marsh-at-noon.jpg";

    private final Path from;
    private final Path into;
    private final ConfigurableApplicationContext context;
    private final Accounts accounts;
    private final Projects projects;
    private final ProjectFiles files;
    private final Palettes palettes;
    private final Stagings stagings;
    private final Sheets sheets;
    private final SheetLayers layers;
    private final SheetOrder order;
    private final Sharpening sharpening;
    private final SheetChanges changes;
    private final DemoLines lines;
    private final DemoShadows shadows;
    private final DemoBlockedIn blockedIn;
    private final Planes planes;
    private final ReferencePictures pictures;
    private final JsonMapper json;

    /**
     * @param from the folder of drawings and books
     * @param into the folder that the demo ships in
     */
    DemoMaker(
            @Value("${pond.demo-from}") Path from,
            @Value("${pond.demo-into}") Path into,
            ConfigurableApplicationContext context,
            Accounts accounts,
            Projects projects,
            ProjectFiles files,
            Palettes palettes,
            Stagings stagings,
            Sheets sheets,
            SheetLayers layers,
            SheetOrder order,
            Sharpening sharpening,
            SheetChanges changes,
            DemoLines lines,
            DemoShadows shadows,
            DemoBlockedIn blockedIn,
            Planes planes,
            ReferencePictures pictures,
            JsonMapper json) {
        this.from = from;
        this.into = into;
        this.context = context;
        this.accounts = accounts;
        this.projects = projects;
        this.files = files;
        this.palettes = palettes;
        this.stagings = stagings;
        this.sheets = sheets;
        this.layers = layers;
        this.order = order;
        this.sharpening = sharpening;
        this.changes = changes;
        this.lines = lines;
        this.shadows = shadows;
        this.blockedIn = blockedIn;
        this.planes = planes;
        this.pictures = pictures;
        this.json = json;
    }

    @EventListener(ApplicationReadyEvent.class)
    void make() throws IOException {
        UUID lead = accounts.open(DemoPerson.LEAD.signInName(), DemoPerson.LEAD.displayName(), DemoPerson.PASSWORD);
        for (DemoFiles book : DemoFiles.values()) {
            UUID project = make(json.readValue(read(book.source()), DemoBook.class), lead);
            book.write(into, out -> files.write(project, out));
        }
        Files.writeString(into.resolve(DemoFiles.MADE_FROM), DemoFiles.state(from));
        context.close();
    }

    private UUID make(DemoBook book, UUID lead) {
        UUID project = projects.start(book.title(), lead);
        Map<String, UUID> swatches = new HashMap<>();
        Map<String, UUID> cardOfModel = new HashMap<>();
        for (DemoBook.DemoCard demoCard : book.cards()) {
            Card card = demoCard.asCard();
            palettes.add(project, card);
            cardOfModel.put(card.name() + MODEL, card.id());
            for (Swatch swatch : card.swatches()) {
                swatches.put(card.name() + "/" + swatch.name(), swatch.id());
            }
        }
        Map<String, UUID> scenes = new HashMap<>();
        for (DemoBook.DemoScene demoScene : book.scenes()) {
            Scene scene = projects.addScene(project, demoScene.title());
            scenes.put(scene.title(), scene.id());
            List<Sheet> filled = new ArrayList<>();
            for (DemoBook.DemoSheet demoSheet : demoScene.sheets()) {
                if (demoSheet.blockedIn() != null) {
                    byte[] list = read(demoSheet.blockedIn());
                    ReferencePicture marsh = pictures.bring(project, "Marsh at noon.jpg", read(REFERENCE));
                    Sheet made = blockedIn.make(scene, lead, demoSheet.title(), list, marsh, swatches);
                    shadows.lay(made, lead, demoSheet, swatches);
                    continue;
                }
                Sheet sheet = bring(scene, demoSheet);
                for (int i = 0; i < sheet.layers().size(); i++) {
                    Layer layer = sheet.layers().get(i);
                    fill(sheet, layer, lead, demoSheet.allLayers().get(i).fills(), swatches);
                }
                shadows.lay(sheet, lead, demoSheet, swatches);
                filled.add(sheet);
                if (cardOfModel.containsKey(sheet.title())) {
                    palettes.judge(project, cardOfModel.get(sheet.title()), sheet.id());
                }
            }
            if (demoScene.lines() != null) {
                lines.colour(project, lead, filled, demoScene.lines());
            }
        }
        stage(project, book, scenes, swatches);
        return project;
    }

    private Sheet bring(Scene scene, DemoBook.DemoSheet demoSheet) {
        List<LineArtFile> files = demoSheet.allLayers().stream()
                .map(layer -> LineArtFile.of(layer.name(), read(layer.file())))
                .toList();
        UUID project = scene.project();
        UUID brought = (files.size() == 1
                        ? sheets.bring(project, scene.id(), files.get(0))
                        : layers.bring(project, scene.id(), files))
                .sheet()
                .id();
        order.rename(project, brought, demoSheet.title());
        return sharpening.now(project, brought);
    }

    private void stage(UUID project, DemoBook book, Map<String, UUID> scenes, Map<String, UUID> swatches) {
        Palette palette = palettes.of(project);
        for (DemoBook.DemoLight each : book.lights()) {
            UUID id = UUID.randomUUID();
            Map<UUID, Light.Exception> keeps = each.keeps().stream()
                    .collect(Collectors.toMap(swatches::get, part -> new Light.Exception.AsDrawn()));
            Light light = new Light(each.name(), LightRule.ofText(each.rule()), Map.of(), keeps);
            stagings.begin(
                    project,
                    staging ->
                            staging.with(id, light).lighting(scenes.get(each.scene()), new Staging.Choice.Named(id)));
        }
        for (DemoBook.DemoWardrobe each : book.wardrobes()) {
            Map<UUID, Srgb> colours = each.colours().entrySet().stream()
                    .collect(Collectors.toMap(
                            part -> swatches.get(each.card() + "/" + part.getKey()),
                            part -> Srgb.ofHex(part.getValue())));
            UUID card = palette.cardOf(colours.keySet().iterator().next())
                    .orElseThrow()
                    .id();
            Wardrobe wardrobe = new Wardrobe(UUID.randomUUID(), card, each.name(), colours);
            stagings.begin(
                    project,
                    staging -> staging.with(wardrobe)
                            .dressing(scenes.get(each.scene()), card, new Staging.Choice.Named(wardrobe.id())));
        }
    }

    private void fill(
            Sheet sheet, Layer layer, UUID author, List<DemoBook.DemoFill> fills, Map<String, UUID> swatches) {
        Regions regions = sheets.regions(layer);
        CellPlane cells = PlaneCodec.decodeCells(planes.content(layer.cells()));
        for (DemoBook.DemoFill fill : fills) {
            List<Integer> filled = fill.points().stream()
                    .map(point ->
                            cells.numberAt((int) (point[0] * layer.widthPx()), (int) (point[1] * layer.heightPx())))
                    .flatMap(cell -> regions.with(cell).stream())
                    .distinct()
                    .toList();
            Fill laid = fill(fill.swatches().stream().map(swatches::get).toList(), layer);
            changes.make(sheet.id(), author, new ChangeRequest.Lay(UUID.randomUUID(), layer.id(), laid, filled));
        }
    }

    /** One swatch, or a gradient down to the middle of the sheet. */
    private static Fill fill(List<UUID> swatches, Layer layer) {
        if (swatches.size() == 1) {
            return Fill.flat(swatches.get(0));
        }
        Span down = new Span(0, 0, 0, layer.heightPx() / 2);
        List<Stop> stops = List.of(new Stop(0, swatches.get(0)), new Stop(100, swatches.get(1)));
        return new Fill.Gradient(Fill.Course.LINEAR, down, stops, Opacity.FULL);
    }

    private byte[] read(String file) {
        try {
            return Files.readAllBytes(from.resolve(file));
        } catch (IOException e) {
            throw new UncheckedIOException("The demo lacks " + file, e);
        }
    }
}
