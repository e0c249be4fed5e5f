package stillpond.app.support;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.security.MessageDigest;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HexFormat;
import java.util.Objects;
import java.util.UUID;
import java.util.function.Consumer;
import org.apache.commons.codec.digest.DigestUtils;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;

/** A database of its own on the server that {@code ./pond test} has started. */
public record TestDatabase(String url, String user, String password) {

    /**
     * One that is made once and then copied, in this run and in later ones, until something that it is made of changes.
     *
     * @param start what its name begins with; the benchmarks' tests look for the demo by it
     */
    private record Template(String start, String name) {

        static Template madeOf(String start, String... resources) {
            return new Template(start, start + hash(resources));
        }

        private static String hash(String... patterns) {
            MessageDigest digest = DigestUtils.getSha256Digest();
            try {
                for (String pattern : patterns) {
                    Resource[] found = new PathMatchingResourcePatternResolver().getResources(pattern);
                    Arrays.sort(found, Comparator.comparing(Resource::getDescription));
                    for (Resource resource : found) {
                        if (resource.isReadable()) {
                            digest.update(resource.getContentAsByteArray());
                        }
                    }
                }
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
            return HexFormat.of().formatHex(digest.digest(), 0, 8);
        }
    }

    private static final String SCHEMA = "classpath:db/migration/*.sql";
    private static final Template EMPTY = Template.madeOf("empty_template_", SCHEMA);
    /** Of what ships, and of whatever may have to do with bringing it in. */
    private static final Template DEMO = Template.madeOf(
            "demo_template_",
            SCHEMA,
            "classpath:demo/**",
            "classpath*:stillpond/core/**/*.class",
            "classpath*:stillpond/app/**/*.class");

    /** One without anything, not even tables. */
    public static TestDatabase create() {
        return create("template1");
    }

    /** A copy of one with tables and nothing in them. @param make starts and stops the application over a database */
    static TestDatabase empty(Consumer<TestDatabase> make) {
        return copy(EMPTY, make);
    }

    /** A copy of one with the demo. @param make likewise, with the demo */
    static TestDatabase ofDemo(Consumer<TestDatabase> make) {
        return copy(DEMO, make);
    }

    /** Tests run in several processes over one PostgreSQL: what one of them makes for all of them the others wait for. */
    private static TestDatabase copy(Template template, Consumer<TestDatabase> make) {
        try (Connection connection = connect();
                var statement = connection.createStatement()) {
            statement.execute("select pg_advisory_lock(" + template.start().hashCode() + ")");
            if (!ask("select from pg_database where datname = '" + template.name() + "'")) {
                TestDatabase made = create();
                make.accept(made);
                ask("alter database " + made.name() + " rename to " + template.name());
            }
            return create(template.name());
        } catch (SQLException e) {
            throw new IllegalStateException(e);
        }
    }

    private static TestDatabase create(String template) {
        String name = "test_" + UUID.randomUUID().toString().replace('-', '_');
        ask("create database " + name + " template " + template);
        return new TestDatabase(
                setting("POND_TEST_DB_URL") + name, setting("POND_TEST_DB_USER"), setting("POND_TEST_DB_PASSWORD"));
    }

    private String name() {
        return url.substring(url.lastIndexOf('/') + 1);
    }

    /** Returns whether there is an answer with a row. */
    private static boolean ask(String sql) {
        try (Connection connection = connect();
                var statement = connection.createStatement()) {
            return statement.execute(sql) && statement.getResultSet().next();
        } catch (SQLException e) {
            throw new IllegalStateException("No PostgreSQL for the tests; run them through ./pond test", e);
        }
    }

    private static Connection connect() throws SQLException {
        return DriverManager.getConnection(
                setting("POND_TEST_DB_URL") + "postgres",
                setting("POND_TEST_DB_USER"),
                setting("POND_TEST_DB_PASSWORD"));
    }

    private static String setting(String name) {
        return Objects.requireNonNull(
                System.getenv(name), () -> name + " is not set; run the tests through ./pond test");
    }
}
