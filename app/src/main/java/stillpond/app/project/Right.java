package stillpond.app.project;

import java.util.Set;

/**
 * What members of a project do, and the roles that may: the one table of who may do what. Whoever is no member may do nothing, and is not even
 * told that the project exists.
 */
public enum Right {
    LOOK("looks at sheets, cards and pages", Role.GUEST, Role.COLOURIST, Role.LEAD),
    WORK_ON_SHEETS("works on sheets", Role.COLOURIST, Role.LEAD),
    ARRANGE("brings in and arranges sheets and scenes", Role.COLOURIST, Role.LEAD),
    STAGE("chooses lights and who is seen", Role.COLOURIST, Role.LEAD),
    CHANGE_OPEN_CARDS("changes cards", Role.COLOURIST, Role.LEAD),
    PROPOSE("proposes changes of locked cards", Role.COLOURIST, Role.LEAD),
    FINISH_SHEETS("says that a sheet is done, and opens it again", Role.LEAD),
    ASSIGN_SHEETS("gives a sheet into the hand of somebody else", Role.LEAD),
    REMARK("makes remarks, answers them and says that they are done", Role.COLOURIST, Role.LEAD),
    CHANGE_LOCKED_CARDS(
            "changes a locked card, what it follows, its wardrobes or its model sheet, and locks or unlocks one",
            Role.LEAD),
    REPLACE_LOCKED_SWATCHES("replaces a swatch of a locked card on other sheets", Role.LEAD),
    ANSWER_PROPOSALS("answers proposals", Role.LEAD),
    SIGN_CONSISTENCY("signs that parts are the same everywhere", Role.LEAD),
    CHOOSE_PRINT_CONDITION("chooses the print condition", Role.LEAD),
    REMOVE_SCENES("puts a scene aside or brings it back", Role.LEAD),
    MANAGE_MEMBERS("invites and removes members and changes their roles", Role.LEAD),
    KEEP_SHELF("renames a project, puts it away, removes it and brings it back", Role.LEAD);

    private final String words;
    private final Set<Role> roles;

    Right(String words, Role... roles) {
        this.words = words;
        this.roles = Set.of(roles);
    }

    /** What is done, to follow the name of a role. */
    public String words() {
        return words;
    }

    public boolean isFor(Role role) {
        return roles.contains(role);
    }
}
