package stillpond.app.background;

/** Work that is done once a night, on one of the nodes. */
public interface DailyTask {

    /** By which it is known. */
    String name();

    void run();
}
