package stillpond.app.travel;

/** What both who write and who read a project file have to know; docs/project-file.md says it all. */
final class ProjectFormat {

    static final String NAME = "org.stillpond.project";

    /** Files of a higher one are refused: what they hold may mean something else. */
    static final int VERSION = 1;

    static final String INDEX = "project.json";
    static final String TOKENS = "cards.tokens.json";
    /** The member that says which planes stand in an entry for the first time. */
    static final String PLANES = "plane";

    private ProjectFormat() {}

    static String file(String name) {
        return "files/" + name;
    }

    static String picture(String name) {
        return "planes/" + name + ".png";
    }
}
