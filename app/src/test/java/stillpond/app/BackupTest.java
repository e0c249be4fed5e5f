package stillpond.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.datasource.DriverManagerDataSource;
import stillpond.app.support.Drawings;
import stillpond.app.support.TestDatabase;
import stillpond.app.support.TestPond;
import stillpond.app.support.Work;

/** {@code ./pond backup} and {@code ./pond restore}, against databases of the tests. */
class BackupTest {

    private static final Path POND = Path.of("..", "pond").toAbsolutePath();

    @TempDir
    private Path folder;

    private record Said(int code, String words) {}

    private static Said pond(TestDatabase database, String... arguments) throws IOException, InterruptedException {
        List<String> command = new ArrayList<>(List.of(POND.toString()));
        command.addAll(List.of(arguments));
        ProcessBuilder builder = new ProcessBuilder(command).redirectErrorStream(true);
        builder.environment().put("POND_DB_URL", database.url());
        builder.environment().put("POND_DB_USER", database.user());
        builder.environment().put("POND_DB_PASSWORD", database.password());
        Process process = builder.start();
        String words = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        return new Said(process.waitFor(), words);
    }

    /** Of each table how many rows it has, and a hash of all of them, in no order. */
    private static Map<String, String> content(TestDatabase database) {
        JdbcClient client =
                JdbcClient.create(new DriverManagerDataSource(database.url(), database.user(), database.password()));
        Map<String, String> content = new HashMap<>();
        List<String> tables = client.sql("""
                        select table_name from information_schema.tables
                        where table_schema = 'public' and table_type = 'BASE TABLE'""").query(String.class).list();
        for (String table : tables) {
            content.put(
                    table,
                    client.sql("select count(*) || ' ' || coalesce(md5(string_agg(md5(cast(t as text)), '' order by"
                                    + " md5(cast(t as text)))), '') from \"" + table + "\" t")
                            .query(String.class)
                            .single());
        }
        return content;
    }

    @Test
    void whatIsRestoredIsWhatWasThereTableByTableAndPlaneByPlane() throws Exception {
        TestDatabase database = TestDatabase.create();
        TestPond pond = TestPond.over(database);
        Work work = Work.begin(pond);
        work.lay(work.bringSmall(Drawings.threeBoxes()), work.coat().id(), 50, 100);
        Path file = folder.resolve("all.pond");
        Said backup = pond(database, "backup", file.toString());
        assertThat(backup.code()).as(backup.words()).isZero();
        assertThat(pond(database, "backup", file.toString()).words()).contains("is there already");
        pond.down();
        Map<String, String> before = content(database);
        assertThat(before.get("plane")).doesNotStartWith("0 ");

        TestDatabase empty = TestDatabase.create();
        Said restore = pond(empty, "restore", file.toString());
        assertThat(restore.code()).as(restore.words()).isZero();
        assertThat(content(empty)).isEqualTo(before);
    }

    @Test
    void whatIsNoWholeBackupOfThisVersionIsRefusedBeforeAnythingIsTouched() throws Exception {
        TestDatabase database = TestDatabase.create();
        TestPond.over(database).down();
        Path file = folder.resolve("all.pond");
        pond(database, "backup", file.toString());
        Map<String, String> before = content(database);

        Path rubbish = Files.writeString(folder.resolve("rubbish"), "no backup");
        assertRefused(database, rubbish, "no backup of Still Pond");
        byte[] whole = Files.readAllBytes(file);
        Path cut = Files.write(folder.resolve("cut"), Arrays.copyOf(whole, whole.length / 2));
        assertRefused(database, cut, "nothing was changed");
        byte[] other = whole.clone();
        other[other.length / 2] ^= 0x55;
        assertRefused(database, Files.write(folder.resolve("other"), other), "nothing was changed");
        String text = new String(whole, StandardCharsets.ISO_8859_1).replaceFirst("schema \\d\\d", "schema 99");
        Path newer = Files.write(folder.resolve("newer"), text.getBytes(StandardCharsets.ISO_8859_1));
        assertRefused(database, newer, "newer version");
        assertThat(content(database)).isEqualTo(before);
    }

    private static void assertRefused(TestDatabase database, Path file, String words) throws Exception {
        Said refused = pond(database, "restore", file.toString());
        assertThat(refused.code()).as(refused.words()).isNotZero();
        assertThat(refused.words()).contains(words);
    }
}
