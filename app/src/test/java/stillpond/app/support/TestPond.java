package stillpond.app.support;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.springframework.boot.Banner;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.jdbc.core.simple.JdbcClient;
import stillpond.app.StillPondApplication;
import stillpond.app.account.Accounts;

/** The whole application on a port and a database of its own; it can be stopped and started again. */
public final class TestPond implements AutoCloseable {

    public static final String PASSWORD = "a quiet word";

    private static TestPond shared;
    private static TestPond sharedDemo;

    private final TestDatabase database;
    private final boolean demo;
    private ConfigurableApplicationContext context;
    private int port;

    private TestPond(boolean demo) {
        this(demo, demo ? TestDatabase.ofDemo(TestPond::load) : TestDatabase.empty(TestPond::migrate));
    }

    private static void migrate(TestDatabase database) {
        over(database).down();
    }

    private static void load(TestDatabase database) {
        TestPond pond = new TestPond(true, database);
        pond.up();
        pond.down();
    }

    private TestPond(boolean demo, TestDatabase database) {
        this.demo = demo;
        this.database = database;
    }

    /** Another node over the same database. */
    public TestPond anotherNode() {
        TestPond node = new TestPond(demo, database);
        node.up();
        return node;
    }

    /** One over a database that is there already. */
    public static TestPond over(TestDatabase database) {
        TestPond pond = new TestPond(false, database);
        pond.up();
        return pond;
    }

    /** One without the demo, shared by all tests that keep to data they have made. */
    public static synchronized TestPond shared() {
        if (shared == null) {
            shared = start();
        }
        return shared;
    }

    public static TestPond start() {
        TestPond pond = new TestPond(false);
        pond.up();
        return pond;
    }

    /** One with the demo, shared by all tests that leave the demo as it is. */
    public static synchronized TestPond sharedDemo() {
        if (sharedDemo == null) {
            sharedDemo = ownDemo();
        }
        return sharedDemo;
    }

    /** One with a demo of its own. */
    public static TestPond ownDemo() {
        TestPond pond = new TestPond(true);
        pond.up();
        return pond;
    }

    /** Makes the demo anew, as {@code ./pond demo} does. */
    public static void makeDemo(Path from, Path into) {
        TestPond pond = new TestPond(false);
        pond.run("--pond.demo-from=" + from, "--pond.demo-into=" + into);
    }

    /** Starts it on the port it had before, if it had one. */
    public void up() {
        context = run();
        port = Integer.parseInt(context.getEnvironment().getProperty("local.server.port"));
    }

    private ConfigurableApplicationContext run(String... more) {
        List<String> settings = new ArrayList<>(List.of(
                "--server.port=" + port,
                "--pond.demo=" + demo,
                "--pond.mail.stand-in=true",
                // Sheets are compared in the background where a test asks for it.
                "--pond.quiet=1d",
                "--spring.datasource.url=" + database.url(),
                "--spring.datasource.username=" + database.user(),
                "--spring.datasource.password=" + database.password(),
                "--logging.level.root=warn"));
        settings.addAll(List.of(more));
        return new SpringApplicationBuilder(StillPondApplication.class, QuickPasswords.class)
                .bannerMode(Banner.Mode.OFF)
                .run(settings.toArray(String[]::new));
    }

    public void down() {
        context.close();
    }

    public String url() {
        return "http://127.0.0.1:" + port;
    }

    public <T> T bean(Class<T> type) {
        return context.getBean(type);
    }

    public <T> T bean(String name, Class<T> type) {
        return context.getBean(name, type);
    }

    /** Opens an account with a name that nobody has. */
    public UUID openAccount(String name) {
        return bean(Accounts.class).open(name, name, PASSWORD);
    }

    public long count(String table) {
        return bean(JdbcClient.class)
                .sql("select count(*) from " + table)
                .query(Long.class)
                .single();
    }

    @Override
    public void close() {
        down();
    }
}
