package stillpond.app.support;

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
        this(demo, TestDatabase.create());
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

    /** One with a demo of its own. It takes a while to load, so that is done once and then copied. */
    public static synchronized TestPond ownDemo() {
        TestDatabase.oneAtATime(() -> {
            if (!TestDatabase.hasDemo()) {
                TestDatabase loaded = TestDatabase.create();
                TestPond loading = new TestPond(true, loaded);
                loading.up();
                loading.down();
                loaded.becomeDemo();
            }
        });
        TestPond pond = new TestPond(true, TestDatabase.ofDemo());
        pond.up();
        return pond;
    }

    /** Starts it on the port it had before, if it had one. */
    public void up() {
        context = new SpringApplicationBuilder(StillPondApplication.class, QuickPasswords.class)
                .bannerMode(Banner.Mode.OFF)
                .run(
                        "--server.port=" + port,
                        "--pond.demo=" + demo,
                        "--pond.mail.stand-in=true",
                        // Sheets are compared in the background where a test asks for it.
                        "--pond.quiet=1d",
                        "--spring.datasource.url=" + database.url(),
                        "--spring.datasource.username=" + database.user(),
                        "--spring.datasource.password=" + database.password(),
                        "--logging.level.root=warn");
        port = Integer.parseInt(context.getEnvironment().getProperty("local.server.port"));
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
