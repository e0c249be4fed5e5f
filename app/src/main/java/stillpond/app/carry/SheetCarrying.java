package stillpond.app.carry;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import java.util.concurrent.ThreadLocalRandom;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import stillpond.app.check.Difference;
import stillpond.app.check.SheetFindings;
import stillpond.app.history.History;
import stillpond.app.history.ShadowText;
import stillpond.app.palette.Palettes;
import stillpond.app.sheet.ChangeOutcome;
import stillpond.app.sheet.ChangeRequest;
import stillpond.app.sheet.Layer;
import stillpond.app.sheet.LayerGroups;
import stillpond.app.sheet.LayerShadows;
import stillpond.app.sheet.Progress;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.SheetCast;
import stillpond.app.sheet.SheetChanges;
import stillpond.app.sheet.Sheets;
import stillpond.core.carry.CarriedGroups;
import stillpond.core.carry.CarriedShadows;
import stillpond.core.carry.Carry;
import stillpond.core.fill.Fill;
import stillpond.core.fill.Fills;
import stillpond.core.fill.Places;
import stillpond.core.ledger.CellGroup;
import stillpond.core.ledger.CellGroups;
import stillpond.core.line.CarriedLines;
import stillpond.core.refusal.Refusal;
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
    private final SheetChanges changes;
    private final CarryPages drawings;
    private final SheetFindings findings;
    private final Palettes palettes;
    private final SheetCast cast;
    private final LayerShadows shadows;
    private final LayerGroups groups;
    private final History history;

    SheetCarrying(
            Sheets sheets,
            SheetChanges changes,
            CarryPages drawings,
            SheetFindings findings,
            Palettes palettes,
            SheetCast cast,
            LayerShadows shadows,
            LayerGroups groups,
            History history) {
        this.sheets = sheets;
        this.changes = changes;
        this.drawings = drawings;
        this.findings = findings;
        this.palettes = palettes;
        this.cast = cast;
        this.shadows = shadows;
        this.groups = groups;
        this.history = history;
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

    /** How much was laid: regions that are sure, strokes of ink, and shadows; and how many regions are in doubt. */
    record Laid(int sure, int doubtful, int strokes, int shadows) {
        Laid and(Laid other) {
            return new Laid(
                    sure + other.sure, doubtful + other.doubtful, strokes + other.strokes, shadows + other.shadows);
        }
    }

    /**
     * A region in doubt.
     *
     * @param layer whose cells are named
     * @param area of it, as a share of the page
     */
    record Doubt(UUID layer, Proposal proposal, Seen seen, double area) {}

    /** What came of carrying onto a sheet. @param changes as which it was laid, in their order */
    record Carried(Laid laid, List<UUID> changes, List<Doubt> doubts) {
        static final Carried NOTHING = new Carried(new Laid(0, 0, 0, 0), List.of(), List.of());

        private Carried and(Carried other) {
            return new Carried(
                    laid.and(other.laid),
                    Stream.concat(changes.stream(), other.changes.stream()).toList(),
                    Stream.concat(doubts.stream(), other.doubts.stream()).toList());
        }
    }

    /** Those that are offered first. */
    List<SourceSheet> sources(UUID project, UUID target) {
        Set<UUID> models = models(project, target);
        Map<UUID, Progress> progress = sheets.progress(project);
        UUID scene = sheets.get(project, target).scene();
        List<SourceSheet> offered = new ArrayList<>();
        List<SourceSheet> others = new ArrayList<>();
        UUID before = null;
        for (Sheet sheet : sheets.inProject(project)) {
            if (sheet.id().equals(target)) {
                break;
            }
            before = sheet.scene().equals(scene) ? sheet.id() : before;
        }
        for (Sheet sheet : sheets.inProject(project)) {
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

    /**
     * What could be worn by a sheet's layer.
     *
     * @param overFilled whether regions that wear something are spoken of too
     * @param uncovered whether regions that only lie near to what is carried are, too
     */
    Proposals propose(Sheet target, List<UUID> sources, boolean overFilled, boolean uncovered) {
        return match(drawings.of(target), pages(target.project(), sources), overFilled, uncovered)
                .proposals();
    }

    /** @param likes what the proposals follow from */
    private record Matched(Proposals proposals, List<Carry.Proposal> likes) {}

    /** Whether a sheet has anything to carry from. Reads all that it takes, so that what cannot be read comes to light. */
    boolean wearsAnything(UUID project, UUID source) {
        return !pages(project, List.of(source)).isEmpty();
    }

    private List<CarryPage> pages(UUID project, List<UUID> sources) {
        return drawings.layersOf(project, sources).stream().map(drawings::of).toList();
    }

    private Matched match(CarryPage there, List<CarryPage> pages, boolean overFilled, boolean uncovered) {
        FillLabels labels = new FillLabels();
        List<Carry.Source> from =
                pages.stream().map(page -> page.source(labels)).toList();
        List<Proposal> proposals = new ArrayList<>();
        List<Carry.Proposal> likes = Carry.from(from, there.drawing());
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

    /**
     * Lays what is sure on regions of a sheet that wear nothing, layer by layer, and says what is in doubt.
     *
     * @param changeFor the id of the change of a layer's fills: if it was made before, it is not made again
     */
    Carried carry(Sheet sheet, UUID author, List<UUID> sources, UnaryOperator<UUID> changeFor) {
        List<CarryPage> pages = pages(sheet.project(), sources);
        return sheet.layers().stream()
                .filter(layer -> !layer.standing().isLocked())
                .map(layer -> carry(
                        drawings.of(sheet.on(layer.standing().layer())), author, pages, changeFor.apply(layer.id())))
                .reduce(Carried.NOTHING, Carried::and);
    }

    private Carried carry(CarryPage there, UUID author, List<CarryPage> pages, UUID change) {
        Matched matched = match(there, pages, false, false);
        Proposals proposals = matched.proposals();
        Map<Integer, Fill> laid = proposals.sure();
        // Somebody may have filled something while it was looked at: that stands, and so does what is locked.
        Fills present = sheets.fills(there.layer());
        laid.keySet().removeIf(place -> !present.of(place).equals(Fill.NONE));
        groups.of(there.layer().id()).groups().stream()
                .filter(CellGroup::isLocked)
                .forEach(group -> laid.keySet().removeAll(group.cells()));
        List<UUID> made = new ArrayList<>();
        if (lays(there.sheet(), author, new ChangeRequest.Lay(change, proposals.layer(), laid))) {
            made.add(change);
        }
        if (!proposals.shadows().isEmpty()) {
            made.add(layShadows(there.sheet(), author, proposals.shadows()));
        }
        carryGroups(there, author, pages, matched.likes()).ifPresent(made::add);
        List<Doubt> doubts = proposals.proposals().stream()
                .filter(proposal -> !proposal.isSure())
                .map(proposal -> new Doubt(
                        proposals.layer(), proposal, there.seen(proposal.cells()), there.share(proposal.cells())))
                .toList();
        Laid counted = new Laid(
                proposals.proposals().size() - doubts.size(),
                doubts.size(),
                (int) laid.keySet().stream().filter(Places::isStroke).count(),
                proposals.shadows().size());
        return new Carried(counted, made, doubts);
    }

    /** Returns the change; empty if there was nothing to change. */
    private Optional<UUID> carryGroups(
            CarryPage there, UUID author, List<CarryPage> pages, List<Carry.Proposal> likes) {
        UUID change = UUID.randomUUID();
        CellGroups before = groups.of(there.layer().id());
        CellGroups after = groups.change(
                change, there.sheet(), author, "Carried groups", present -> carried(pages, likes, there, present));
        return after.equals(before) ? Optional.empty() : Optional.of(change);
    }

    private CellGroups carried(List<CarryPage> pages, List<Carry.Proposal> likes, CarryPage there, CellGroups present) {
        CellGroups after = present;
        for (int source = 0; source < pages.size(); source++) {
            CarryPage page = pages.get(source);
            after = new CarriedGroups(page.regions(), source)
                    .onto(groups.of(page.layer().id()), likes, there.regions(), after, UUID::randomUUID);
        }
        return after;
    }

    /** Returns whether there was anything to lay. */
    private boolean lays(Sheet sheet, UUID author, ChangeRequest.Lay lay) {
        if (lay.fillByPlace().isEmpty()) {
            return history.find(lay.id()).isPresent();
        }
        ChangeOutcome outcome = changes.make(sheet.id(), author, lay);
        if (outcome instanceof ChangeOutcome.Refused refused) {
            throw new Refusal(refused.reason());
        }
        return outcome instanceof ChangeOutcome.Made;
    }

    /** Returns the change. */
    private UUID layShadows(Sheet sheet, UUID author, List<CarriedShadow> carried) {
        Map<Integer, Fill> worn = new HashMap<>();
        carried.forEach(each -> worn.put(each.shadow().number(), Fill.ofText(each.fill())));
        List<Shadow> added =
                carried.stream().map(each -> each.shadow().asShadow()).toList();
        String words = "Carried " + added.size() + (added.size() == 1 ? " shadow" : " shadows");
        UUID change = UUID.randomUUID();
        shadows.change(change, sheet, author, words, all -> all.addingAll(added), worn);
        return change;
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

    /** Filled regions whose sure likes on other sheets, of the same scene or models, all wear something else. */
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
                    List<Carry.Source> from = drawings.layersOf(project, List.of(source.sheet())).stream()
                            .map(layer -> drawings.of(layer).source(labels))
                            .toList();
                    Carry.from(from, there.drawing()).stream()
                            .filter(Carry.Proposal::isSure)
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
