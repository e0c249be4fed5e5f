package stillpond.app.travel;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.simple.JdbcClient;
import stillpond.app.project.Projects;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.SheetPictures;
import stillpond.app.sheet.Sheets;
import stillpond.app.sheet.Showing;
import stillpond.app.support.TestPond;
import stillpond.app.support.Visitor;

/** The demo travels to an installation where nothing is yet. */
class DemoTravelsTest {

    private final TestPond here = TestPond.sharedDemo();

    @Test
    void whatArrivesInAnEmptyDatabaseIsEqualTableByTableAndPixelByPixel() throws IOException {
        UUID project = named(here, "The Tide Post");
        byte[] zip = file(here, project);
        try (TestPond there = TestPond.start()) {
            there.openAccount("newcomer");
            Visitor newcomer = Visitor.signedIn(there, "newcomer");
            for (byte[] file : List.of(zip, file(here, named(here, "The Heron's Umbrella")))) {
                assertThat(newcomer.sendFile("/shelf/project-file", file).statusCode())
                        .isEqualTo(201);
            }
            UUID arrived = named(there, "The Tide Post");

            TravelTables.all()
                    .forEach(table -> assertThat(there.count(table.name()))
                            .as(table.name())
                            .isEqualTo(here.count(table.name())));
            assertThat(there.count("fill_swatch")).isEqualTo(here.count("fill_swatch"));
            assertThat(Travelled.of(file(there, arrived)).anywhere())
                    .isEqualTo(Travelled.of(zip).anywhere());
            List<Sheet> sheets = here.bean(Sheets.class).inProject(project);
            List<Sheet> copies = there.bean(Sheets.class).inProject(arrived);
            assertThat(copies).hasSameSizeAs(sheets);
            for (int i = 0; i < sheets.size(); i++) {
                assertThat(small(there, copies.get(i)))
                        .as(sheets.get(i).title())
                        .isEqualTo(small(here, sheets.get(i)));
            }
        }
    }

    private static UUID named(TestPond pond, String title) {
        return pond.bean(JdbcClient.class)
                .sql("select id from project where title = ?")
                .param(title)
                .query(UUID.class)
                .single();
    }

    private static int[] small(TestPond pond, Sheet sheet) {
        SheetPictures pictures = pond.bean(SheetPictures.class);
        return pictures.small(pictures.colour(sheet, Showing.OWN)).argb();
    }

    private static byte[] file(TestPond pond, UUID project) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        List<UUID> scenes = pond.bean(Projects.class).scenes(project).stream()
                .map(scene -> scene.id())
                .toList();
        pond.bean(ProjectFileWriter.class).write(new Selection(project, Selection.Scope.PROJECT, scenes, true), out);
        return out.toByteArray();
    }
}
