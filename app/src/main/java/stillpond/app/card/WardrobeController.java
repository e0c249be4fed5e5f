package stillpond.app.card;

import java.util.Map;
import java.util.UUID;
import java.util.function.UnaryOperator;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import stillpond.app.account.SignedIn;
import stillpond.app.palette.Palettes;
import stillpond.app.palette.Stagings;
import stillpond.app.project.Projects;
import stillpond.app.project.Right;
import stillpond.core.colour.Srgb;
import stillpond.core.palette.Card;
import stillpond.core.palette.Wardrobe;
import stillpond.core.refusal.Refusal;

/** The wardrobes of a card; those of a locked one are for the lead alone. */
@Controller
@RequestMapping("/projects/{project}/cards/{card}/wardrobes")
class WardrobeController {

    private static final String BACK = "redirect:/projects/{project}/cards/{card}";

    private final Projects projects;
    private final Palettes palettes;
    private final Stagings stagings;

    WardrobeController(Projects projects, Palettes palettes, Stagings stagings) {
        this.projects = projects;
        this.palettes = palettes;
        this.stagings = stagings;
    }

    @PostMapping
    String add(
            @PathVariable UUID project,
            @PathVariable UUID card,
            @RequestParam String name,
            @AuthenticationPrincipal SignedIn person) {
        Card present = requireChangeable(project, card, person);
        Wardrobe made = new Wardrobe(UUID.randomUUID(), card, name, Map.of());
        stagings.change(
                project,
                person.id(),
                "Gave " + present.name() + " the wardrobe " + made.name(),
                staging -> staging.with(made));
        return BACK;
    }

    @PostMapping("/{wardrobe}/rename")
    String rename(
            @PathVariable UUID project,
            @PathVariable UUID card,
            @PathVariable UUID wardrobe,
            @RequestParam String name,
            @AuthenticationPrincipal SignedIn person) {
        change(project, card, wardrobe, person, "Named", each -> each.renamed(name));
        return BACK;
    }

    @PostMapping("/{wardrobe}/remove")
    String remove(
            @PathVariable UUID project,
            @PathVariable UUID card,
            @PathVariable UUID wardrobe,
            @AuthenticationPrincipal SignedIn person) {
        Card present = requireChangeable(project, card, person);
        stagings.change(
                project,
                person.id(),
                "Removed a wardrobe of " + present.name(),
                staging -> staging.withoutWardrobe(wardrobe));
        return BACK;
    }

    /** What a part has in a wardrobe. @param colour null: it is shared with the card again */
    record PartMessage(UUID swatch, String colour) {}

    @PostMapping("/{wardrobe}/parts")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void colour(
            @PathVariable UUID project,
            @PathVariable UUID card,
            @PathVariable UUID wardrobe,
            @RequestBody PartMessage message,
            @AuthenticationPrincipal SignedIn person) {
        if (message.swatch() == null) {
            throw new Refusal("No part was named. Nothing was changed.");
        }
        change(
                project,
                card,
                wardrobe,
                person,
                "Changed",
                each -> message.colour() == null
                        ? each.sharing(message.swatch())
                        : each.colouring(message.swatch(), Srgb.ofHex(message.colour())));
    }

    private void change(
            UUID project, UUID card, UUID wardrobe, SignedIn person, String done, UnaryOperator<Wardrobe> by) {
        Card present = requireChangeable(project, card, person);
        stagings.change(
                project,
                person.id(),
                done + " a wardrobe of " + present.name(),
                staging -> staging.with(by.apply(staging.wardrobe(wardrobe).orElseThrow())));
    }

    private Card requireChangeable(UUID project, UUID card, SignedIn person) {
        Card present = palettes.of(project).card(card).orElseThrow();
        if (present.locked()) {
            projects.require(project, person.id(), Right.CHANGE_LOCKED_CARDS);
        }
        return present;
    }
}
