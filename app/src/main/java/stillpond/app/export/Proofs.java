package stillpond.app.export;

import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import stillpond.app.card.PrintConditions;
import stillpond.app.export.WornPalettes.Scope;
import stillpond.app.palette.Palettes;
import stillpond.app.project.Projects;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.SheetColours;
import stillpond.app.sheet.SheetPictures;
import stillpond.app.sheet.Sheets;
import stillpond.app.sheet.Showing;
import stillpond.core.colour.PrintCondition;
import stillpond.core.handon.Hatched;
import stillpond.core.handon.Printed;
import stillpond.core.ink.Picture;
import stillpond.core.palette.Palette;
import stillpond.core.palette.SwatchColours;
import stillpond.core.refusal.Refusal;
import stillpond.core.render.Shrunk;

/** Proofs of sheets and scenes: how they look, what they wear, and what a press makes of it. */
@Service
class Proofs {

    /** About 300 pixels to an inch of A4. */
    private static final int LONG_SIDE_PX = 2200;

    /** How wide the lines are over what cannot be printed, where the picture has its long side. */
    private static final int HATCH_PX = 2;

    private static final int MOST_SHEETS = 60;

    private final Sheets sheets;
    private final SheetPictures pictures;
    private final SheetColours colours;
    private final WornPalettes worn;
    private final Palettes palettes;
    private final PrintConditions conditions;
    private final Projects projects;
    private final AskedLight lights;

    Proofs(
            Sheets sheets,
            SheetPictures pictures,
            SheetColours colours,
            WornPalettes worn,
            Palettes palettes,
            PrintConditions conditions,
            Projects projects,
            AskedLight lights) {
        this.sheets = sheets;
        this.pictures = pictures;
        this.colours = colours;
        this.worn = worn;
        this.palettes = palettes;
        this.conditions = conditions;
        this.projects = projects;
        this.lights = lights;
    }

    Proof ofSheet(Sheet sheet) {
        return proof(sheet.project(), sheet.scene(), List.of(sheet));
    }

    /** @throws Refusal if it has no sheet, or too many for one document */
    Proof ofScene(UUID project, UUID scene) {
        List<Sheet> all = sheets.inProject(project).stream()
                .filter(sheet -> sheet.scene().equals(scene))
                .toList();
        if (all.isEmpty()) {
            throw new Refusal("This scene has no sheet yet, so there is nothing to proof.");
        }
        if (all.size() > MOST_SHEETS) {
            throw new Refusal("A proof has up to " + MOST_SHEETS + " sheets; this scene has " + all.size()
                    + ". Proof its sheets one by one.");
        }
        return proof(project, scene, all);
    }

    private Proof proof(UUID project, UUID scene, List<Sheet> all) {
        Optional<PrintCondition> condition = conditions.of(project);
        Palette palette = palettes.of(project);
        List<Proof.Page> pages = new ArrayList<>();
        for (Sheet sheet : all) {
            pages.add(page(sheet, palette, condition));
        }
        Sheet first = all.get(0);
        return new Proof(
                projects.get(project).title(),
                projects.scene(project, scene).title(),
                LocalDate.now(ZoneOffset.UTC).toString(),
                conditions.titleOf(project),
                pages,
                Printed.of(worn.of(first, Scope.SCENE), palette, palette::colourOf, condition));
    }

    private Proof.Page page(Sheet sheet, Palette palette, Optional<PrintCondition> condition) {
        SwatchColours shown = colours.of(sheet, Showing.OWN);
        List<Printed> printed = Printed.of(worn.of(sheet, Scope.SHEET), palette, shown, condition);
        return new Proof.Page(
                sheet.title(), lights.name(sheet, "own").orElse(""), () -> picture(sheet, printed), printed);
    }

    /** With what cannot be printed hatched. */
    private Picture picture(Sheet sheet, List<Printed> palette) {
        Picture composed = pictures.composed(sheet, Showing.OWN);
        Set<Integer> unprintable = palette.stream()
                .filter(each -> !each.isPrintable())
                .map(each -> each.screen().packed())
                .collect(Collectors.toSet());
        if (unprintable.isEmpty()) {
            return Shrunk.to(composed, LONG_SIDE_PX);
        }
        int factor = Shrunk.factor(sheet.widthPx(), sheet.heightPx(), LONG_SIDE_PX);
        Picture hatched = Hatched.over(composed, pictures.flats(sheet, Showing.OWN), unprintable, HATCH_PX * factor);
        return Shrunk.to(hatched, LONG_SIDE_PX);
    }
}
