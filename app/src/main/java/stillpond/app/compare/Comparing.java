package stillpond.app.compare;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import stillpond.app.palette.Palettes;
import stillpond.app.palette.Stagings;
import stillpond.app.project.Projects;
import stillpond.app.sheet.CellAddress;
import stillpond.app.sheet.ChangeOutcome;
import stillpond.app.sheet.ChangeRequest;
import stillpond.app.sheet.Layer;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.SheetChanges;
import stillpond.app.sheet.SheetColours;
import stillpond.app.sheet.SheetParts;
import stillpond.app.sheet.Sheets;
import stillpond.app.sheet.Showing;
import stillpond.app.sheet.SmallPicture;
import stillpond.core.fill.Fill;
import stillpond.core.gap.Regions;
import stillpond.core.ledger.PartsOnSheet;
import stillpond.core.ledger.PartsTable;
import stillpond.core.palette.Card;
import stillpond.core.palette.Palette;
import stillpond.core.palette.Reaching;
import stillpond.core.palette.Staging;
import stillpond.core.palette.SwatchColours;
import stillpond.core.palette.Turns;
import stillpond.core.refusal.Refusal;

/** Puts together what is compared. */
@Service
@Transactional(readOnly = true)
class Comparing {

    private final Projects projects;
    private final Palettes palettes;
    private final Stagings stagings;
    private final Sheets sheets;
    private final SheetColours colours;
    private final SheetParts parts;
    private final SheetChanges changes;

    Comparing(
            Projects projects,
            Palettes palettes,
            Stagings stagings,
            Sheets sheets,
            SheetColours colours,
            SheetParts parts,
            SheetChanges changes) {
        this.projects = projects;
        this.palettes = palettes;
        this.stagings = stagings;
        this.sheets = sheets;
        this.colours = colours;
        this.parts = parts;
        this.changes = changes;
    }

    /**
     * What is compared, and how it is seen.
     *
     * @param card whose parts; empty: of all
     * @param scene whose sheets; empty: of all
     * @param light only sheets under it: an id, {@code plain} for as drawn, or empty for any
     * @param drawn whether all are seen as drawn instead of under their lights
     */
    record Filter(Optional<UUID> card, Optional<UUID> scene, String light, boolean drawn) {
        Showing showing() {
            return drawn ? Showing.AS_DRAWN : Showing.OWN;
        }

        /** For the addresses of small pictures. */
        public String shown() {
            return drawn ? "plain" : "own";
        }
    }

    /**
     * A sheet at the head of the table.
     *
     * @param light under which it is
     * @param turns what is another there than on the sheet before, in words
     * @param at where it is worked on
     * @param picture where its small picture is
     * @param smallWidth of that, in pixels
     */
    record Column(
            UUID id,
            String title,
            String light,
            List<String> turns,
            String at,
            Sheet sheet,
            String picture,
            int smallWidth,
            int smallHeight) {

        /** Where a cell of it is seen. @param layer counted from the front */
        public String desk(int layer, int cell) {
            return CellAddress.of(sheet, layer, cell);
        }

        /** By which the cells of the table name its picture. */
        public String image() {
            return "#sheet-" + id;
        }
    }

    /** In reading order: scene by scene. */
    List<Sheet> sheets(UUID project, Filter filter) {
        Staging staging = stagings.of(project);
        return sheets.inReadingOrder(project).stream()
                .filter(sheet ->
                        filter.scene().isEmpty() || filter.scene().get().equals(sheet.scene()))
                .filter(sheet -> filter.light().isEmpty()
                        || filter.light()
                                .equals(staging.lightOn(sheet.scene(), sheet.id())
                                        .map(UUID::toString)
                                        .orElse("plain")))
                .toList();
    }

    /** A swatch among the parts of a card that it is not on. */
    record Stranger(UUID swatch, UUID among) {}

    /** @return how many regions were given another swatch */
    @Transactional
    public int replaceStrangers(UUID project, UUID person, Stranger stranger, UUID by) {
        Palette palette = palettes.of(project);
        if (!palette.has(by)) {
            throw new Refusal("What is to be worn instead is on no card. Nothing was changed.");
        }
        List<Sheet> all = sheets.inProject(project);
        List<PartsOnSheet> worn = parts.of(all, palette);
        int regions = 0;
        for (int i = 0; i < all.size(); i++) {
            Sheet sheet = all.get(i);
            Map<Integer, List<PartsOnSheet.Stranger>> byLayer = worn.get(i).strangers().stream()
                    .filter(each -> each.swatch().equals(stranger.swatch())
                            && each.card().equals(stranger.among()))
                    .collect(Collectors.groupingBy(each -> each.place().layer()));
            for (Map.Entry<Integer, List<PartsOnSheet.Stranger>> met : byLayer.entrySet()) {
                regions += replace(sheet, sheet.layers().get(met.getKey()), person, met.getValue(), by);
            }
        }
        return regions;
    }

    private int replace(Sheet sheet, Layer layer, UUID person, List<PartsOnSheet.Stranger> met, UUID by) {
        Regions regions = sheets.regions(layer);
        List<Integer> cells = met.stream()
                .flatMap(each -> regions.with(each.place().cell()).stream())
                .toList();
        ChangeOutcome outcome = changes.make(
                sheet.id(), person, new ChangeRequest.Lay(UUID.randomUUID(), layer.id(), Fill.flat(by), cells));
        // A locked group or layer refuses fills: its regions stay as they are.
        return outcome instanceof ChangeOutcome.Made ? met.size() : 0;
    }

    /** A table, and the columns that it was made from. */
    record Compared(PartsTable table, List<PartsTable.Column> columns) {}

    /** @throws java.util.NoSuchElementException if the project has no such sheet or no such swatch */
    void requirePart(UUID project, UUID sheet, UUID swatch) {
        sheets.require(project, sheet);
        palettes.of(project).swatch(swatch).orElseThrow();
    }

    /** @throws java.util.NoSuchElementException if the project has no such card */
    void requireCard(UUID project, UUID card) {
        palettes.of(project).card(card).orElseThrow();
    }

    PartsTable table(UUID project, List<Sheet> compared, Filter filter) {
        return compared(project, compared, filter).table();
    }

    Compared compared(UUID project, List<Sheet> compared, Filter filter) {
        Palette palette = palettes.of(project);
        List<PartsOnSheet> worn = parts.of(compared, palette);
        List<SwatchColours> shown = colours.of(compared, filter.showing());
        List<PartsTable.Column> columns = new ArrayList<>();
        for (int i = 0; i < compared.size(); i++) {
            Sheet sheet = compared.get(i);
            columns.add(new PartsTable.Column(sheet.id(), sheet.scene(), worn.get(i), shown.get(i)));
        }
        List<Card> cards = palette.cards().stream()
                .filter(card -> !card.isNeutral())
                .filter(card -> filter.card().isEmpty() || filter.card().get().equals(card.id()))
                .toList();
        return new Compared(PartsTable.of(columns, palette, cards), columns);
    }

    List<Column> columns(UUID project, List<Sheet> compared, Filter filter) {
        Staging staging = stagings.of(project);
        List<Card> cards = palettes.of(project).cards();
        List<Column> columns = new ArrayList<>();
        Optional<Reaching.Place> before = Optional.empty();
        for (Sheet sheet : compared) {
            Reaching.Place place = new Reaching.Place(sheet.scene(), sheet.id());
            List<String> turns = before.map(last -> Turns.between(staging, last, place, cards))
                    .orElse(List.of());
            columns.add(column(sheet, filter, staging, turns));
            before = Optional.of(place);
        }
        return columns;
    }

    private static Column column(Sheet sheet, Filter filter, Staging staging, List<String> turns) {
        SmallPicture small = SmallPicture.of(sheet);
        return new Column(
                sheet.id(),
                sheet.title(),
                staging.lit(sheet.scene(), sheet.id()).name(),
                turns,
                "/projects/" + sheet.project() + "/sheets/" + sheet.id(),
                sheet,
                small.address() + "?light=" + filter.shown(),
                small.widthPx(),
                small.heightPx());
    }
}
