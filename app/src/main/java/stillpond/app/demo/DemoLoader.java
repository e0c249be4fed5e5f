package stillpond.app.demo;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.core.io.ClassPathResource;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;
import stillpond.app.account.Accounts;
import stillpond.app.card.ReferencePicture;
import stillpond.app.card.ReferencePictures;
import stillpond.app.palette.Palettes;
import stillpond.app.palette.Stagings;
import stillpond.app.project.Projects;
import stillpond.app.project.Role;
import stillpond.app.project.Scene;
import stillpond.app.remark.Remarks;
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

/** Loads the demo into an empty database, by the same calls that people's own work goes through. */
@Component
@ConditionalOnProperty(name = "pond.demo", havingValue = "true")
class DemoLoader implements ApplicationRunner {

    /** What the title of a character's model sheet ends with. */
    private static final String MODEL = ", model sheet";

    /** The first is the one that the shelf shows first. */
    private static final List<String> BOOKS = List.of("book.json", "heron.json");

    private static final String REFERENCE = "marsh-at-noon.jpg";

    private final Accounts accounts;
    private final Projects projects;
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
    private final Remarks remarks;
    private final JsonMapper json;
    private final TransactionTemplate transaction;

    DemoLoader(
            Accounts accounts,
            Projects projects,
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
            Remarks remarks,
            JsonMapper json,
            TransactionTemplate transaction) {
        this.accounts = accounts;
        this.projects = projects;
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
        this.remarks = remarks;
        this.json = json;
        this.transaction = transaction;
    }

    @Override
    public void run(ApplicationArguments arguments) {
        if (accounts.none()) {
            // All or nothing, so that an interrupted start begins anew with an empty database.
            transaction.executeWithoutResult(status -> {
                UUID lead = open(DemoPerson.LEAD);
                UUID colourist = open(DemoPerson.COLOURIST);
                for (String book : BOOKS) {
                    load(json.readValue(read(book), DemoBook.class), lead, colourist);
                }
            });
        }
    }

    private void load(DemoBook book, UUID lead, UUID colourist) {
        UUID project = projects.start(book.title(), lead);
        projects.addMember(project, colourist, Role.COLOURIST);
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
        book.remarks().forEach(each -> say(project, each, Map.of("lead", lead, "colourist", colourist)));
    }

    private void say(UUID project, DemoBook.DemoRemark said, Map<String, UUID> people) {
        Sheet sheet = sheets.inProject(project).stream()
                .filter(each -> each.title().equals(said.sheet()))
                .findFirst()
                .orElseThrow();
        Remarks.Place place = new Remarks.Place(
                sheet.id(), sheet.layer().standing().layer(), (int) (said.x() * sheet.widthPx()), (int)
                        (said.y() * sheet.heightPx()));
        UUID remark = remarks.pin(project, place, people.get(said.by()), said.text());
        if (said.answers() != null) {
            said.answers().forEach(each -> remarks.answer(project, remark, people.get(each.by()), each.text()));
        }
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

    private UUID open(DemoPerson person) {
        UUID account = accounts.open(person.signInName(), person.displayName(), DemoPerson.PASSWORD);
        accounts.writeTo(account, person.signInName() + "@tide-post.example");
        return account;
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

    private static byte[] read(String file) {
        try (InputStream in = new ClassPathResource("demo/" + file).getInputStream()) {
            return in.readAllBytes();
        } catch (IOException e) {
            throw new UncheckedIOException("The demo lacks " + file, e);
        }
    }
}
