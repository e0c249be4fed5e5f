package stillpond.app.sheet;

import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import stillpond.app.account.Accounts;
import stillpond.app.account.SignedIn;
import stillpond.app.project.Members;
import stillpond.app.project.Projects;
import stillpond.app.project.Right;
import stillpond.core.refusal.Refusal;

/** How far sheets are said to be, and who has them in hand. Whoever has none in hand may work on it all the same. */
@Service
@Transactional
public class SheetWork {

    private final SheetRepository sheets;
    private final Projects projects;
    private final Members members;
    private final Accounts accounts;

    SheetWork(SheetRepository sheets, Projects projects, Members members, Accounts accounts) {
        this.sheets = sheets;
        this.projects = projects;
        this.members = members;
        this.accounts = accounts;
    }

    /** @throws stillpond.app.project.NotAllowed if somebody else than a lead finishes a sheet or opens one again */
    public void say(UUID project, UUID sheet, SheetState state, UUID by) {
        StoredSheet stored = stored(project, sheet);
        boolean isAboutDone = state == SheetState.DONE || stored.state() == SheetState.DONE;
        projects.require(
                project, by, isAboutDone && state != stored.state() ? Right.FINISH_SHEETS : Right.WORK_ON_SHEETS);
        stored.say(state);
    }

    /** Says it of every sheet of a scene. @throws stillpond.app.project.NotAllowed as for one sheet; then none is changed */
    public void sayOfScene(UUID project, UUID scene, SheetState state, UUID by) {
        sheets.findBySceneIdOrderByPositionAscMadeAtAsc(scene).stream()
                .filter(sheet -> !sheet.isRemoved())
                .map(StoredSheet::id)
                .sorted()
                .forEach(sheet -> say(project, sheet, state, by));
    }

    /**
     * Takes a sheet in hand.
     *
     * @param from who had it when that was decided; empty for nobody
     * @throws Refusal if somebody else took it meanwhile
     */
    public void take(UUID project, UUID sheet, Optional<UUID> from, UUID by) {
        projects.require(project, by, Right.WORK_ON_SHEETS);
        StoredSheet stored = stored(project, sheet);
        if (!stored.inHandOf().equals(from)) {
            throw new Refusal(stored.inHandOf()
                    .map(who -> nameOf(who) + " took '" + stored.title() + "' in hand meanwhile. Nothing was changed.")
                    .orElse("'" + stored.title() + "' was put down meanwhile. Look again. Nothing was changed."));
        }
        stored.giveTo(by);
        if (stored.state() == SheetState.TO_DO) {
            stored.say(SheetState.IN_WORK);
        }
    }

    /** Nobody has it in hand any more. */
    public void putDown(UUID project, UUID sheet, UUID by) {
        projects.require(project, by, Right.WORK_ON_SHEETS);
        stored(project, sheet).giveTo(null);
    }

    /** Whom somebody may give sheets to, with their names; nobody if they give none. */
    public Map<UUID, String> mayBeGiven(UUID project, UUID by) {
        return projects.may(project, by, Right.ASSIGN_SHEETS)
                ? accounts.names(members.of(project).stream()
                        .filter(place -> Right.WORK_ON_SHEETS.isFor(place.role()))
                        .map(Members.Place::account)
                        .toList())
                : Map.of();
    }

    /** Gives somebody every sheet of a scene that is not done. @throws Refusal as for one sheet; then none is given */
    public void giveScene(UUID project, UUID scene, UUID to, UUID by) {
        projects.require(project, by, Right.ASSIGN_SHEETS);
        sheets.findBySceneIdOrderByPositionAscMadeAtAsc(scene).stream()
                .filter(sheet -> !sheet.isRemoved() && sheet.state() != SheetState.DONE)
                .map(StoredSheet::id)
                .sorted()
                .forEach(sheet -> give(project, sheet, to, by));
    }

    /** @throws Refusal if whoever is to have it is no member, or only looks */
    public void give(UUID project, UUID sheet, UUID to, UUID by) {
        projects.require(project, by, Right.ASSIGN_SHEETS);
        boolean mayWork =
                members.role(project, to).filter(Right.WORK_ON_SHEETS::isFor).isPresent();
        if (!mayWork) {
            throw new Refusal("Only a colourist or a lead can have a sheet in hand. Nothing was changed.");
        }
        stored(project, sheet).giveTo(to);
    }

    private String nameOf(UUID account) {
        return accounts.find(account).map(SignedIn::displayName).orElse("Somebody");
    }

    private StoredSheet stored(UUID project, UUID sheet) {
        return sheets.findAndLock(sheet)
                .filter(each -> each.projectId().equals(project))
                .orElseThrow();
    }
}
