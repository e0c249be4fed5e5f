package stillpond.app.support;

import java.util.List;
import java.util.UUID;
import stillpond.app.palette.Palettes;
import stillpond.app.project.Projects;
import stillpond.app.sheet.Planes;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.Sheets;
import stillpond.core.cell.CellPlane;
import stillpond.core.colour.Srgb;
import stillpond.core.format.PlaneCodec;
import stillpond.core.palette.Card;
import stillpond.core.palette.Swatch;

/** A project of one person with two swatches and a scene, to work on in a test. */
public record Work(TestPond pond, String person, UUID account, UUID project, UUID scene, Swatch coat, Swatch scarf) {

    public static Work begin(TestPond pond) {
        String person = "p" + UUID.randomUUID();
        UUID account = pond.openAccount(person);
        Projects projects = pond.bean(Projects.class);
        UUID project = projects.start("Test book", account);
        Swatch coat = new Swatch(UUID.randomUUID(), "Coat", Srgb.ofHex("#2f6f5e"));
        Swatch scarf = new Swatch(UUID.randomUUID(), "Scarf", Srgb.ofHex("#d2603f"));
        pond.bean(Palettes.class).add(project, new Card(UUID.randomUUID(), "Juniper", "test", List.of(coat, scarf)));
        UUID scene = projects.addScene(project, "Low tide").id();
        return new Work(pond, person, account, project, scene, coat, scarf);
    }

    public Sheet bring(byte[] lineArt) {
        return pond.bean(Sheets.class).bring(project, scene, "boxes.svg", lineArt);
    }

    public String address(Sheet sheet) {
        return "/projects/" + project + "/sheets/" + sheet.id();
    }

    /** The cell at a place on a sheet, in pixels. */
    public int cellAt(Sheet sheet, int x, int y) {
        byte[] stored = pond.bean(Planes.class).content(sheet.frontLayer().cells());
        CellPlane cells = PlaneCodec.decodeCells(stored);
        return cells.numberAt(x, y);
    }
}
