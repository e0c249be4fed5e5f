package stillpond.app.team;

import java.util.List;
import java.util.Map;
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
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;
import stillpond.app.account.Accounts;
import stillpond.app.account.Audit;
import stillpond.app.account.SignedIn;
import stillpond.app.mail.Letters;
import stillpond.app.project.Members;
import stillpond.app.project.Projects;
import stillpond.app.project.Right;
import stillpond.app.project.Role;
import stillpond.app.visit.Visits;
import stillpond.core.refusal.Refusal;

/** Who works on a project. */
@Controller
@RequestMapping("/projects/{project}/members")
class MembersController {

    private static final String BACK = "redirect:/projects/{project}/members";

    private final Projects projects;
    private final Members members;
    private final Accounts accounts;
    private final Invitations invitations;
    private final Letters letters;
    private final Visits visits;
    private final Audit audit;

    MembersController(
            Projects projects,
            Members members,
            Accounts accounts,
            Invitations invitations,
            Letters letters,
            Visits visits,
            Audit audit) {
        this.projects = projects;
        this.members = members;
        this.accounts = accounts;
        this.invitations = invitations;
        this.letters = letters;
        this.visits = visits;
        this.audit = audit;
    }

    /** A member as the page shows it. */
    record Row(UUID account, String name, Role role, boolean isSelf) {}

    @GetMapping
    String page(@PathVariable UUID project, @AuthenticationPrincipal SignedIn person, Model model) {
        List<Members.Place> places = members.of(project);
        Map<UUID, String> names =
                accounts.names(places.stream().map(Members.Place::account).toList());
        model.addAttribute("project", projects.get(project));
        model.addAttribute(
                "members",
                places.stream()
                        .map(place -> new Row(
                                place.account(),
                                names.get(place.account()),
                                place.role(),
                                place.account().equals(person.id())))
                        .toList());
        boolean mayManage = projects.may(project, person.id(), Right.MANAGE_MEMBERS);
        model.addAttribute("mayManage", mayManage);
        model.addAttribute("invitations", mayManage ? invitations.open(project) : List.of());
        model.addAttribute("visits", mayManage ? visits.open(project) : List.of());
        model.addAttribute("scenes", projects.scenes(project));
        model.addAttribute("lives", Visits.LIVES_IN_DAYS);
        model.addAttribute("roles", Role.values());
        model.addAttribute("isSent", letters.areSent());
        model.addAttribute("days", Invitations.LIFE.toDays());
        return "team/members";
    }

    /** @param scene left out: all scenes */
    @PostMapping("/visits")
    String letLook(
            @PathVariable UUID project,
            @AuthenticationPrincipal SignedIn person,
            @RequestParam Optional<UUID> scene,
            @RequestParam int days,
            RedirectAttributes told) {
        return tell(told, () -> {
            String site = ServletUriComponentsBuilder.fromCurrentContextPath().toUriString();
            String code = visits.make(project, person.id(), scene, days).code();
            told.addFlashAttribute("link", site + "/visit/" + code);
            return "Whoever has this link looks at the sheets, without an account. It is shown once: copy it now.";
        });
    }

    @PostMapping("/visits/{visit}/withdraw")
    String endLooking(
            @PathVariable UUID project,
            @PathVariable UUID visit,
            @AuthenticationPrincipal SignedIn person,
            RedirectAttributes told) {
        return tell(told, () -> {
            visits.withdraw(project, visit, person.id());
            return "The link leads nowhere now.";
        });
    }

    @PostMapping("/invite")
    String invite(
            @PathVariable UUID project,
            @AuthenticationPrincipal SignedIn person,
            @RequestParam Role role,
            @RequestParam(defaultValue = "") String address,
            RedirectAttributes told) {
        return tell(told, () -> {
            String link = invitations.invite(project, person, role, address, site());
            told.addFlashAttribute("link", link);
            return address.isBlank()
                    ? "This link lets one person in. It is shown once: copy it now."
                    : "The link was sent to " + address.strip() + ". It can be copied here, too.";
        });
    }

    @PostMapping("/invitations/{invitation}/withdraw")
    String withdraw(
            @PathVariable UUID project,
            @PathVariable UUID invitation,
            @AuthenticationPrincipal SignedIn person,
            RedirectAttributes told) {
        return tell(told, () -> {
            invitations.withdraw(project, invitation, person.id());
            return "The invitation leads nowhere now.";
        });
    }

    @PostMapping("/{account}/role")
    String changeRole(
            @PathVariable UUID project,
            @PathVariable UUID account,
            @AuthenticationPrincipal SignedIn person,
            @RequestParam Role role,
            RedirectAttributes told) {
        return tell(told, () -> {
            members.changeRole(project, account, role, person.id());
            String words = nameOf(account) + " is a " + role.words() + " now";
            audit.note(person.id(), project, Audit.Kind.MEMBERS, words);
            return words + ".";
        });
    }

    @PostMapping("/{account}/remove")
    String remove(
            @PathVariable UUID project,
            @PathVariable UUID account,
            @AuthenticationPrincipal SignedIn person,
            RedirectAttributes told) {
        return tell(told, () -> {
            members.remove(project, account, person.id());
            audit.note(person.id(), project, Audit.Kind.MEMBERS, "Removed " + nameOf(account));
            return nameOf(account) + " is no member any more. What they did stays.";
        });
    }

    @PostMapping("/{account}/hand-over")
    String handOver(
            @PathVariable UUID project,
            @PathVariable UUID account,
            @AuthenticationPrincipal SignedIn person,
            RedirectAttributes told) {
        return tell(told, () -> {
            members.handOver(project, account, person.id());
            audit.note(person.id(), project, Audit.Kind.MEMBERS, "Handed the lead over to " + nameOf(account));
            return nameOf(account) + " is the lead now, and you are a colourist.";
        });
    }

    @PostMapping("/leave")
    String leave(@PathVariable UUID project, @AuthenticationPrincipal SignedIn person, RedirectAttributes told) {
        String title = projects.get(project).title();
        try {
            members.leave(project, person.id());
        } catch (Refusal refusal) {
            told.addFlashAttribute("refusal", refusal.getMessage());
            return BACK;
        }
        audit.note(person.id(), project, Audit.Kind.MEMBERS, person.displayName() + " left");
        told.addFlashAttribute("said", "You left " + title + ". What you did stays there.");
        return "redirect:/";
    }

    /** The address of this installation, as it was called, without a slash at its end. */
    private static String site() {
        return ServletUriComponentsBuilder.fromCurrentContextPath().toUriString();
    }

    private String nameOf(UUID account) {
        return accounts.find(account).map(SignedIn::displayName).orElse("Somebody");
    }

    private interface Act {
        String run();
    }

    private static String tell(RedirectAttributes told, Act act) {
        try {
            told.addFlashAttribute("said", act.run());
        } catch (Refusal refusal) {
            told.addFlashAttribute("refusal", refusal.getMessage());
        }
        return BACK;
    }
}
