package stillpond.app.background;

/** Work waits for what is before it in its own lane, and for nothing else; each node does one piece of each lane at a time. */
public enum Lane {
    /** What takes seconds, while somebody already works with the rest. */
    PROMPT("scheduled_prompt_tasks"),
    /** What may take minutes, and is looked at when it is done. */
    LONG("scheduled_tasks");

    private final String table;

    Lane(String table) {
        this.table = table;
    }

    String table() {
        return table;
    }
}
