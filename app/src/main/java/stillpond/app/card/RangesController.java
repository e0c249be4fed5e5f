package stillpond.app.card;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import stillpond.app.account.SignedIn;
import stillpond.app.project.Projects;
import stillpond.core.colour.ColourNames;
import stillpond.core.colour.Srgb;
import stillpond.core.palette.Paint;
import stillpond.core.palette.Ranges;
import stillpond.core.palette.SwatchSteps;
import stillpond.core.refusal.Refusal;

/** The page of ranges that grow from sampled colours, and become a card. */
@Controller
@RequestMapping("/projects/{project}/ranges")
class RangesController {

    private static final int MOST_SAMPLES = 12;
    private static final int MOST_STEPS = 9;

    private final Projects projects;
    private final CardEdits edits;

    RangesController(Projects projects, CardEdits edits) {
        this.projects = projects;
        this.edits = edits;
    }

    /** A sample and its name. */
    record SampleView(String colour, String name) {}

    /** A row of colours. @param at its place among the ranges */
    record RangeView(int at, String words, List<String> colours) {}

    /** @param colour hex codes, in the order in which they were sampled */
    @GetMapping
    String page(
            @PathVariable UUID project,
            @RequestParam(defaultValue = "") List<String> colour,
            @RequestParam(defaultValue = "4") int steps,
            Model model) {
        return show(project, colour, steps, "", model);
    }

    private String show(UUID project, List<String> colours, int steps, String told, Model model) {
        model.addAttribute("project", projects.get(project));
        model.addAttribute("told", told);
        try {
            List<Ranges.Named> samples = samples(colours);
            List<Ranges.Range> ranges = Ranges.of(samples, within(steps));
            model.addAttribute("steps", within(steps));
            model.addAttribute(
                    "samples",
                    samples.stream()
                            .map(each -> new SampleView(each.from().colour().hex(), each.name()))
                            .toList());
            List<RangeView> views = new ArrayList<>();
            for (Ranges.Range range : ranges) {
                views.add(new RangeView(
                        views.size(),
                        range.words(),
                        range.steps().stream().map(step -> step.colour().hex()).toList()));
            }
            model.addAttribute("ranges", views);
        } catch (Refusal refusal) {
            model.addAttribute("steps", 4);
            model.addAttribute("samples", List.of());
            model.addAttribute("ranges", List.of());
            model.addAttribute("told", refusal.getMessage());
        }
        return "card/ranges";
    }

    private static int within(int steps) {
        return Math.max(1, Math.min(MOST_STEPS, steps));
    }

    private static List<Ranges.Named> samples(List<String> colours) {
        List<Ranges.Named> samples = new ArrayList<>();
        for (String each : new LinkedHashSet<>(colours)) {
            if (!each.isBlank()) {
                Srgb colour = Srgb.ofHex(each.startsWith("#") ? each : "#" + each);
                samples.add(
                        new Ranges.Named(ColourNames.suggest(colour), new SwatchSteps.From(UUID.randomUUID(), colour)));
            }
        }
        if (samples.size() > MOST_SAMPLES) {
            throw new Refusal("Ranges grow from up to " + MOST_SAMPLES + " colours at once.");
        }
        return samples;
    }

    /** Makes a card of the samples and of the ranges that are chosen, as one change. @param range their places */
    @PostMapping
    String make(
            @PathVariable UUID project,
            @AuthenticationPrincipal SignedIn person,
            @RequestParam List<String> colour,
            @RequestParam(defaultValue = "4") int steps,
            @RequestParam(defaultValue = "") List<Integer> range,
            @RequestParam(defaultValue = "") String name,
            Model model) {
        try {
            List<Ranges.Named> samples = samples(colour);
            UUID card = UUID.randomUUID();
            List<EditMessage> messages = new ArrayList<>();
            messages.add(new EditMessage.AddCard(card, name.isBlank() ? "Ranges" : name.strip(), "sampled colours"));
            for (Ranges.Named sample : samples) {
                String paint = new Paint.Process(sample.from().colour()).text();
                messages.add(add(card, Optional.of(sample.from().swatch()), sample.name(), paint));
            }
            List<Ranges.Range> all = Ranges.of(samples, within(steps));
            for (int at : new LinkedHashSet<>(range)) {
                if (at < 0 || at >= all.size()) {
                    throw new Refusal("There is no such range any more. Nothing was made.");
                }
                int number = 1;
                for (SwatchSteps.Step step : all.get(at).steps()) {
                    String words = all.get(at).words() + " " + number++;
                    messages.add(add(card, Optional.empty(), words, step.paint().text()));
                }
            }
            edits.make(project, person.id(), messages, "");
            return "redirect:/projects/" + project + "/cards/" + card;
        } catch (Refusal refusal) {
            return show(project, colour, steps, refusal.getMessage(), model);
        }
    }

    private static EditMessage add(UUID card, Optional<UUID> swatch, String name, String paint) {
        return new EditMessage.Add(card, swatch.orElse(null), name, null, null, paint, null, null, null);
    }
}
