package stillpond.app.carry;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import java.util.concurrent.ThreadLocalRandom;
import org.springframework.stereotype.Service;
import stillpond.app.check.Difference;
import stillpond.app.check.SheetFindings;
import stillpond.app.history.ShadowText;
import stillpond.app.palette.Palettes;
import stillpond.app.sheet.Layer;
import stillpond.app.sheet.LayerShadows;
import stillpond.app.sheet.Progress;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.SheetCast;
import stillpond.app.sheet.Sheets;
import stillpond.core.carry.CarriedShadows;
import stillpond.core.carry.Carry;
import stillpond.core.carry.MutualLikes;
import stillpond.core.fill.Fill;
import stillpond.core.fill.Fills;
import stillpond.core.fill.Places;
import stillpond.core.line.CarriedLines;
import stillpond.core.shadow.Shadow;
import stillpond.core.shadow.Shadows;

/** Proposes what the regions of a sheet wear, out of what sheets of the same things wear. */
@Service
class SheetCarrying {

    private static final int MOST_CHOICES = 5;
    /** A first choice with less evidence is not worth looking at, a further one with less is none. */
    private static final double LEAST_FIRST = 0.3;

    private static final double LEAST_FURTHER = 0.04;
    /** A sheet is compared with so many others at the most: each takes about a second. */
    private static final int MOST_COMPARED = 8;

    private final Sheets sheets;
    private final CarryPages drawings;
    private final SheetFindings findings;
    private final Palettes palettes;
    private final SheetCast cast;
    private final LayerShadows shadows;

    SheetCarrying(
            Sheets sheets,
            CarryPages drawings,
            SheetFindings findings,
            Palettes palettes,
            SheetCast cast,
            LayerShadows shadows) {
        this.sheets = sheets;
        this.drawings = drawings;
        this.findings = findings;
        this.palettes = palettes;
        this.cast = cast;
        this.shadows = shadows;
    }

    /**
     * A sheet that can be carried from.
     *
     * @param isModel whether a card is judged by it
     * @param isOffered whether it is a good choice for this sheet: a model, or the one before in the scene
     */
    record SourceSheet(UUID sheet, String title, long filled, boolean isModel, boolean isOffered) {}

    /**
     * What one region could wear.
     *
     * @param cells those of the region that it would be laid on
     * @param choices likeliest first
     */
    record Proposal(List<Integer> cells, List<Choice> choices, boolean isSure) {}

    /**
     * @param share of the evidence, 0 to 1
     * @param sheet that says so, {@code layer} and {@code cell} where on it
     * @param x of that place, as a share of the width of that sheet; {@code y} likewise
     */
    record Choice(String fill, double share, UUID sheet, UUID layer, int cell, double x, double y) {}

    /**
     * @param layer whose cells and strokes are named
     * @param lines the strokes that get each swatch, by its text, once what is sure is laid; see {@link stillpond.core.fill.Places}
     * @param shadows that come along with what is sure
     */
    record Proposals(
            UUID layer, List<Proposal> proposals, Map<String, List<Integer>> lines, List<CarriedShadow> shadows) {

        /** What is sure, and the line colours that come with it. */
        Map<Integer, Fill> sure() {
            Map<Integer, Fill> laid = sureFills(proposals);
            lines.forEach((text, strokes) -> strokes.forEach(stroke -> laid.put(stroke, Fill.ofText(text))));
            return laid;
        }

        private static Map<Integer, Fill> sureFills(List<Proposal> proposals) {
            Map<Integer, Fill> laid = new HashMap<>();
            for (Proposal proposal : proposals) {
                if (proposal.isSure()) {
                    Fill fill = Fill.ofText(proposal.choices().get(0).fill());
                    proposal.cells().forEach(cell -> laid.put(cell, fill));
                }
            }
            return laid;
        }
    }

    /** A shadow as it would lie here. @param fill that it wears */
    record CarriedShadow(ShadowText shadow, String fill) {}

    /** Those that are offered first. */
    List<SourceSheet> sources(UUID project, UUID target) {
        Set<UUID> models = models(project, target);
        Map<UUID, Progress> progress = sheets.progress(project);
        UUID scene = sheets.get(project, target).scene();
        List<SourceSheet> offered = new ArrayList<>();
        List<SourceSheet> others = new ArrayList<>();
        UUID before = null;
        List<Sheet> all = sheets.inProject(project);
        for (Sheet sheet : all) {
            if (sheet.id().equals(target)) {
                break;
            }
            before = sheet.scene().equals(scene) ? sheet.id() : before;
        }
        for (Sheet sheet : all) {
            long filled = progress.get(sheet.id()).filledRegions();
            if (filled > 0 && !sheet.id().equals(target)) {
                boolean isModel = models.contains(sheet.id());
                boolean isOffered = isModel || sheet.id().equals(before);
                (isOffered ? offered : others)
                        .add(new SourceSheet(sheet.id(), sheet.title(), filled, isModel, isOffered));
            }
        }
        offered.addAll(others);
        return offered;
    }

    /** The model sheets of the cards that lie on the shore of a sheet. */
    private Set<UUID> models(UUID project, UUID target) {
        Map<UUID, UUID> models = new HashMap<>(palettes.models(project));
        List<UUID> said = cast.said(target);
        if (!said.isEmpty()) {
            models.keySet().retainAll(said);
        }
        return new HashSet<>(models.values());
    }

    /** @param likes what the proposals follow from */
    record Matched(Proposals proposals, List<Carry.Proposal> likes) {}

    /** Whether a sheet has anything to carry from. Reads all that it takes, so that what cannot be read comes to light. */
    boolean wearsAnything(UUID project, UUID source) {
        return !pages(project, List.of(source)).isEmpty();
    }

    List<CarryPage> pages(UUID project, List<UUID> sources) {
        return drawings.layersOf(project, sources).stream().map(drawings::of).toList();
    }

    /**
     * What could be worn by a sheet's layer.
     *
     * @param overFilled whether regions that wear something are spoken of too
     * @param uncovered whether regions that only lie near to what is carried are, too
     */
    Matched match(CarryPage there, List<CarryPage> pages, boolean overFilled, boolean uncovered) {
        FillLabels labels = new FillLabels();
        List<Carry.Proposal> likes = likes(there, pages, labels);
        List<Proposal> proposals = new ArrayList<>();
        for (Carry.Proposal proposal : likes) {
            List<Integer> cells = there.cells(proposal.region()).stream()
                    .filter(cell -> overFilled || there.fills().of(cell).equals(Fill.NONE))
                    .toList();
            List<Choice> choices = proposal.choices().stream()
                    .filter(choice -> choice.share() >= LEAST_FURTHER)
                    .limit(MOST_CHOICES)
                    .map(choice -> pages.get(choice.source()).choice(choice, labels.fill(choice.label())))
                    .toList();
            boolean isWorthALook = proposal.choices().get(0).share() >= LEAST_FIRST;
            if (!cells.isEmpty() && isWorthALook && (uncovered || proposal.isCovered())) {
                proposals.add(new Proposal(cells, choices, proposal.isSure()));
            }
        }
        Fills laid = there.fills().after(there.fills().laying(Proposals.sureFills(proposals)));
        Map<String, List<Integer>> lines = new TreeMap<>();
        lines(there.layer(), laid, pages)
                .forEach((stroke, fill) -> lines.computeIfAbsent(fill.text(), text -> new ArrayList<>())
                        .add(stroke));
        return new Matched(new Proposals(there.layer().id(), proposals, lines, shadows(pages, likes, there)), likes);
    }

    List<Carry.Proposal> likes(CarryPage there, List<CarryPage> pages) {
        return likes(there, pages, new FillLabels());
    }

    private static List<Carry.Proposal> likes(CarryPage there, List<CarryPage> pages, FillLabels labels) {
        return Carry.from(pages.stream().map(page -> page.source(labels)).toList(), there.drawing());
    }

    private List<CarriedShadow> shadows(List<CarryPage> pages, List<Carry.Proposal> likes, CarryPage there) {
        Shadows present = shadows.of(there.layer().id());
        List<CarriedShadow> carried = new ArrayList<>();
        for (int source = 0; source < pages.size(); source++) {
            CarryPage page = pages.get(source);
            Shadows all = shadows.of(page.layer().id());
            if (!all.all().isEmpty()) {
                new CarriedShadows(page.map().graph(), page.regions(), source)
                        .onto(
                                all,
                                shadows.bases(page.layer(), all, page.fills()),
                                likes,
                                there.regions(),
                                present,
                                () -> ThreadLocalRandom.current().nextInt(Shadow.MOST_NUMBER))
                        .forEach(each -> carried.add(new CarriedShadow(
                                ShadowText.of(each.shadow()),
                                page.fills().of(Places.ofShadow(each.from())).text())));
            }
        }
        return carried;
    }

    /** What black ink of a layer gets, since ink between the same fills wears it on the sheets that are carried from. */
    private Map<Integer, Fill> lines(Layer layer, Fills worn, List<CarryPage> sources) {
        CarriedLines lines = new CarriedLines();
        boolean isAnyColoured = false;
        for (CarryPage source : sources) {
            if (!source.fills().ofStrokes().filled().isEmpty()) {
                lines.learn(sheets.strokes(source.layer()), source.fills());
                isAnyColoured = true;
            }
        }
        return isAnyColoured ? lines.on(sheets.strokes(layer), worn) : Map.of();
    }

    /** Filled regions whose likes on other sheets, of the same scene or models, all wear something else; see {@link MutualLikes}. */
    List<Difference> differences(Sheet target) {
        UUID project = target.project();
        UUID scene = target.scene();
        CarryPage there = drawings.of(target);
        Map<Integer, Map<String, List<String>>> said = new TreeMap<>();
        sources(project, target.id()).stream()
                .filter(source -> source.isModel()
                        || sheets.get(project, source.sheet()).scene().equals(scene))
                .limit(MOST_COMPARED)
                .forEach(source -> {
                    FillLabels labels = new FillLabels();
                    drawings.layersOf(project, List.of(source.sheet())).stream()
                            .map(layer -> drawings.of(layer).source(labels))
                            .flatMap(from -> MutualLikes.between(from, there.drawing()).stream())
                            .forEach(proposal -> said.computeIfAbsent(proposal.region(), any -> new TreeMap<>())
                                    .computeIfAbsent(
                                            labels.fill(
                                                    proposal.choices().get(0).label()),
                                            any -> new ArrayList<>())
                                    .add(source.title()));
                });
        List<Difference> differences = new ArrayList<>();
        said.forEach((region, byFill) -> {
            List<Integer> filled = there.cells(region).stream()
                    .filter(cell -> !there.fills().of(cell).equals(Fill.NONE))
                    .toList();
            boolean isWornElsewhere = filled.stream()
                    .anyMatch(cell -> byFill.containsKey(there.fills().of(cell).text()));
            if (!filled.isEmpty() && !isWornElsewhere) {
                byFill.entrySet().stream()
                        .max(Comparator.comparingInt(entry -> entry.getValue().size()))
                        .ifPresent(most -> differences.add(Difference.of(filled, most.getKey(), most.getValue())));
            }
        });
        Set<String> meant = findings.meant(target.layer());
        return differences.stream().filter(each -> !meant.contains(each.key())).toList();
    }
}
