package stillpond.app.project;

/** What a member is to a project. */
public enum Role {
    COLOURIST,
    LEAD
}
