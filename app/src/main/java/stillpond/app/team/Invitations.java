package stillpond.app.team;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import stillpond.app.account.Accounts;
import stillpond.app.account.Audit;
import stillpond.app.account.OneTimeCode;
import stillpond.app.account.SignedIn;
import stillpond.app.mail.Letter;
import stillpond.app.mail.Letters;
import stillpond.app.project.Members;
import stillpond.app.project.Project;
import stillpond.app.project.Projects;
import stillpond.app.project.Right;
import stillpond.app.project.Role;
import stillpond.core.refusal.Refusal;

/** Invitations to a project: each is a link that lets one person in, once, for some days. */
@Service
@Transactional
class Invitations {

    static final Duration LIFE = Duration.ofDays(7);
    private static final Duration FIRST_LIFE = Duration.ofDays(1);
    private static final int MOST_OPEN = 50;

    private final InvitationRepository invitations;
    private final Accounts accounts;
    private final Projects projects;
    private final Members members;
    private final Letters letters;
    private final Audit audit;
    private final Clock clock;

    Invitations(
            InvitationRepository invitations,
            Accounts accounts,
            Projects projects,
            Members members,
            Letters letters,
            Audit audit,
            Clock clock) {
        this.invitations = invitations;
        this.accounts = accounts;
        this.projects = projects;
        this.members = members;
        this.letters = letters;
        this.audit = audit;
        this.clock = clock;
    }

    /** One that was not used yet. @param sentTo empty if its link was copied */
    record Open(UUID id, Role role, String sentTo, Instant endsAt) {}

    /** What a link leads to. @param project empty: to an account alone @param inviter the name of whoever invites, or empty */
    record Offer(Optional<Project> project, Optional<Role> role, String inviter) {}

    /**
     * Makes a link, and sends it if there is an address.
     *
     * @param address empty: the link is handed over otherwise
     * @param site the address of this installation, without a slash at its end
     * @return the link, which is not kept
     * @throws Refusal if it cannot be sent; then there is no invitation
     */
    String invite(UUID project, SignedIn by, Role role, String address, String site) {
        projects.require(project, by.id(), Right.MANAGE_MEMBERS);
        if (open(project).size() >= MOST_OPEN) {
            throw new Refusal("Up to " + MOST_OPEN + " invitations are open at once. Withdraw one first.");
        }
        String sentTo = address.isBlank() ? "" : Letter.address(address);
        OneTimeCode code = OneTimeCode.random();
        Instant now = clock.instant();
        invitations.save(new StoredInvitation(code, project, role, sentTo, by.id(), now, now.plus(LIFE)));
        String link = site + "/join/" + code.code();
        if (!sentTo.isEmpty()) {
            String title = projects.get(project).title();
            letters.send(new Letter(
                    sentTo,
                    by.displayName() + " invites you to " + title,
                    by.displayName() + " invites you to work on " + title + " as a " + role.words()
                            + ". The link lets one person in, for " + LIFE.toDays() + " days:\n\n" + link + "\n"));
        }
        audit.note(
                by.id(),
                project,
                Audit.Kind.INVITED,
                "Invited " + (sentTo.isEmpty() ? "somebody" : sentTo) + " as a " + role.words());
        return link;
    }

    /** Latest first. */
    @Transactional(readOnly = true)
    public List<Open> open(UUID project) {
        Instant now = clock.instant();
        return invitations.findByProjectIdOrderByMadeAtDesc(project).stream()
                .filter(each -> each.isOpen(now))
                .map(each -> new Open(each.id(), each.role().orElseThrow(), each.sentTo(), each.endsAt()))
                .toList();
    }

    void withdraw(UUID project, UUID invitation, UUID by) {
        projects.require(project, by, Right.MANAGE_MEMBERS);
        invitations.findByIdAndProjectId(invitation, project).orElseThrow().withdraw(clock.instant());
        audit.note(by, project, Audit.Kind.INVITED, "Withdrew an invitation");
    }

    /** The first account of an installation is made through this one. */
    OneTimeCode first() {
        OneTimeCode code = OneTimeCode.random();
        Instant now = clock.instant();
        invitations.save(new StoredInvitation(code, now, now.plus(FIRST_LIFE)));
        return code;
    }

    /** @throws Refusal that says why the link leads nowhere */
    @Transactional(readOnly = true)
    public Offer look(String code) {
        StoredInvitation invitation =
                invitations.findByCodeHash(new OneTimeCode(code).hash()).orElseThrow(Invitations::unknown);
        requireOpen(invitation);
        String inviter = Optional.ofNullable(invitation.invitedBy())
                .flatMap(accounts::find)
                .map(SignedIn::displayName)
                .orElse("");
        return new Offer(invitation.project().map(projects::get), invitation.role(), inviter);
    }

    /**
     * Lets somebody in who has an account.
     *
     * @return the project, if it leads to one
     * @throws Refusal if the link leads nowhere any more, or they are a member already, in which case it stays good for somebody else
     */
    Optional<UUID> accept(String code, SignedIn person) {
        return letIn(toUse(code), person);
    }

    private Optional<UUID> letIn(StoredInvitation invitation, SignedIn person) {
        Optional<UUID> project = invitation.project();
        project.ifPresent(each -> {
            if (members.role(each, person.id()).isPresent()) {
                throw new Refusal("You are a member of " + projects.get(each).title()
                        + " already. The invitation stays good for somebody else.");
            }
            Role role = invitation.role().orElseThrow();
            members.add(each, person.id(), role);
            audit.note(person.id(), each, Audit.Kind.MEMBERS, person.displayName() + " joined as a " + role.words());
        });
        invitation.use(person.id(), clock.instant());
        return project;
    }

    /** Opens an account for somebody who has none, and lets them in. @throws Refusal as {@link #accept}, or if the account cannot be opened as it is */
    SignedIn join(String code, String signInName, String displayName, String password) {
        StoredInvitation invitation = toUse(code);
        String sentTo = invitation.sentTo();
        SignedIn person = accounts.openOwn(signInName, displayName, password);
        // Whoever has the link that was sent there reads what is sent there.
        if (!sentTo.isEmpty() && accounts.isFree(sentTo)) {
            accounts.writeTo(person.id(), sentTo);
        }
        audit.note(person.id(), null, Audit.Kind.ACCOUNT, "Opened the account");
        letIn(invitation, person);
        return person;
    }

    private StoredInvitation toUse(String code) {
        StoredInvitation invitation =
                invitations.findToUse(new OneTimeCode(code).hash()).orElseThrow(Invitations::unknown);
        requireOpen(invitation);
        return invitation;
    }

    private void requireOpen(StoredInvitation invitation) {
        invitation.requireOpen(clock.instant());
        if (invitation.project().isEmpty() && !accounts.none()) {
            throw new Refusal("The first account was opened already. Ask whoever has it for an invitation.");
        }
    }

    private static Refusal unknown() {
        return new Refusal("This is no invitation. Is the whole link there?");
    }
}
