package stillpond.app.check;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Stream;
import stillpond.core.check.Finding;
import stillpond.core.fill.Fill;
import stillpond.core.fill.Fills;
import stillpond.core.fill.Places;
import stillpond.core.ledger.FillNames;
import stillpond.core.palette.Palette;
import stillpond.core.stroke.Stroke;

/** What is said of findings on a layer, and what can be done about them. */
record FindingWords(Fills fills, Palette palette) {

    /** @param act empty if there is nothing that is likely meant */
    record Said(String title, String note, Optional<CheckAct> act) {}

    Said of(Finding finding) {
        if (finding instanceof Finding.Unfilled unfilled) {
            return unfilled(unfilled);
        }
        if (finding instanceof Finding.RunsOut out) {
            return runsOut(out);
        }
        if (finding instanceof Finding.TooNear near) {
            String note = String.format(
                    Locale.ROOT,
                    "%s beside %s, no ink between, %.1f apart",
                    name(near.swatch()),
                    name(near.other()),
                    near.difference());
            CheckAct same = CheckAct.lay("Make both " + name(near.other()), Fill.flat(near.other()), near.cells());
            return new Said("Hard to tell apart", note, Optional.of(same));
        }
        if (finding instanceof Finding.Twins twins) {
            return twins(twins);
        }
        if (finding instanceof Finding.LostStop lost) {
            String note = worn(lost) + " is shown without that colour; give the stop another swatch";
            return new Said(
                    "A stop lost its swatch",
                    note,
                    Optional.of(CheckAct.choose("Choose another swatch", lost.cells())));
        }
        if (finding instanceof Finding.LightLine light) {
            return light(light);
        }
        return offCard((Finding.OffCard) finding);
    }

    private Said unfilled(Finding.Unfilled unfilled) {
        String title = switch (unfilled.size()) {
            case POCKET -> "A pocket was missed";
            case SPECK -> "A speck has no fill";
            case REGION -> "No fill yet";
        };
        String note = unfilled.likely()
                .map(likely -> name(likely) + " lies around most of it")
                .orElse("nothing around it has a fill");
        return new Said(
                title,
                note,
                unfilled.likely()
                        .map(likely -> CheckAct.lay("Fill with " + name(likely), Fill.flat(likely), unfilled.cells())));
    }

    private Said runsOut(Finding.RunsOut out) {
        int gaps = out.openings().size();
        String note = worn(out) + " reaches the edge of the page through " + (gaps == 1 ? "a gap" : gaps + " gaps");
        CheckAct takeIn = CheckAct.takeIn("Dam it, clear the outside", out.cells(), out.openings());
        return new Said("This fill ran out", note, Optional.of(takeIn));
    }

    private Said twins(Finding.Twins twins) {
        String note = String.format(
                Locale.ROOT,
                "%s and %s are %.1f apart; more wears the second",
                name(twins.swatch()),
                name(twins.other()),
                twins.difference());
        CheckAct wear = CheckAct.replace("Wear " + name(twins.other()), twins.swatch(), twins.other());
        return new Said("Near twins", note, Optional.of(wear));
    }

    private Said light(Finding.LightLine light) {
        int strokes = light.strokes().size();
        String note = name(light.swatch()) + " on " + (strokes == 1 ? "a stroke" : strokes + " strokes")
                + " is lighter than all beside";
        CheckAct black = CheckAct.lay("Make it black", Fill.NONE, places(light));
        return new Said("A line lighter than its sides", note, Optional.of(black));
    }

    private Said offCard(Finding.OffCard loose) {
        Function<UUID, CheckAct> wear = meant -> CheckAct.replace("Wear " + name(meant), loose.swatch(), meant);
        String close = loose.meant().map(this::name).orElse("none on the cards");
        String note = name(loose.swatch()) + " is a loose colour, close to " + close;
        return new Said("A colour on no card", note, loose.meant().map(wear));
    }

    private String worn(Finding finding) {
        return FillNames.of(fills.of(finding.cells().get(0)), palette);
    }

    private String name(UUID swatch) {
        return FillNames.of(Fill.flat(swatch), palette);
    }

    /** The cells and strokes of a finding, by the numbers of {@link Places}. */
    static List<Integer> places(Finding finding) {
        return Stream.concat(
                        finding.cells().stream(),
                        finding.strokes().stream().map(Stroke::number).map(Places::stroke))
                .toList();
    }
}
