package stillpond.app.support;

import java.util.List;
import java.util.OptionalInt;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import stillpond.app.palette.Palettes;
import stillpond.app.project.Projects;
import stillpond.app.project.Role;
import stillpond.app.sheet.ChangeRequest;
import stillpond.app.sheet.Layer;
import stillpond.app.sheet.LineArtFile;
import stillpond.app.sheet.MadeChange;
import stillpond.app.sheet.Planes;
import stillpond.app.sheet.Sharpening;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.SheetChanges;
import stillpond.app.sheet.Sheets;
import stillpond.app.sheet.UndoableChanges;
import stillpond.core.colour.Srgb;
import stillpond.core.fill.Fill;
import stillpond.core.format.PlaneCodec;
import stillpond.core.history.UndoLine;
import stillpond.core.palette.Card;
import stillpond.core.palette.Swatch;

/** A project of one person with two swatches and a scene, to work on in a test. */
public record Work(TestPond pond, String person, UUID account, UUID project, UUID scene, Swatch coat, Swatch scarf) {

    static final int DESK_PX = 900;

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
        Sheet brought = pond.bean(Sheets.class)
                .bring(project, scene, LineArtFile.of("boxes.svg", lineArt))
                .sheet();
        return pond.bean(Sharpening.class).now(project, brought.id());
    }

    /** The same {@value #DESK_PX} pixels wide, to be worked on in a browser, which draws in software. */
    public Sheet bringToDesk(byte[] lineArt) {
        Sheet brought = pond.bean(Sheets.class)
                .bring(project, scene, new LineArtFile("boxes.svg", lineArt, OptionalInt.of(DESK_PX)))
                .sheet();
        return pond.bean(Sharpening.class).now(project, brought.id());
    }

    /** The same 300 pixels wide, for what is quicker so; its gaps are not looked for. */
    public Sheet bringSmall(byte[] lineArt) {
        return pond.bean(Sheets.class)
                .bring(project, scene, new LineArtFile("boxes.svg", lineArt, OptionalInt.of(300)))
                .sheet();
    }

    /** Lays a swatch on the region at a place of a sheet, in its pixels; in units as on the desk if it was brought there. */
    public void lay(Sheet sheet, UUID swatch, int x, int y) {
        layFill(sheet, Fill.flat(swatch), x, y);
    }

    /** Likewise, any fill. */
    public void layFill(Sheet sheet, Fill fill, int x, int y) {
        Sheets sheets = pond.bean(Sheets.class);
        Layer layer = sheets.get(project, sheet.id()).layer();
        double scale = layer.widthPx() == DESK_PX ? DESK_PX / DeskPage.UNITS : 1;
        int cell = PlaneCodec.decodeCells(pond.bean(Planes.class).content(layer.cells()))
                .numberAt((int) (x * scale), (int) (y * scale));
        List<Integer> cells = sheets.regions(layer).with(cell);
        pond.bean(SheetChanges.class)
                .make(sheet.id(), account, new ChangeRequest.Lay(UUID.randomUUID(), layer.id(), fill, cells));
    }

    /** What somebody can take back and do again on a sheet. */
    public UndoLine<MadeChange> line(UUID sheet, UUID author) {
        return pond.bean(UndoableChanges.class).of(project, author, sheet, 100).changes();
    }

    /** How many rows of the log are about a sheet. */
    public long logged(Sheet sheet) {
        return pond.bean(JdbcClient.class)
                .sql("select count(distinct change_id) from effect where sheet_id = ?")
                .param(sheet.id())
                .query(Long.class)
                .single();
    }

    /** Somebody else who works on the project, as a colourist; the name to sign in with. */
    public String colourist() {
        return member(Role.COLOURIST);
    }

    /** Somebody else with a role in the project; the name to sign in with. */
    public String member(Role role) {
        String name = "c" + UUID.randomUUID();
        pond.bean(Projects.class).addMember(project, pond.openAccount(name), role);
        return name;
    }

    public String address(Sheet sheet) {
        return "/projects/" + project + "/sheets/" + sheet.id();
    }

    /** How many regions a sheet has, as the server sees it. */
    public int regions(Sheet sheet) {
        Sheets sheets = pond.bean(Sheets.class);
        return sheets.regions(sheets.get(project, sheet.id()).layer()).count();
    }

    /** Takes a swatch that nothing wears off its card, behind everybody's back. */
    public void dropSwatch(Swatch swatch) {
        pond.bean(JdbcClient.class)
                .sql("delete from swatch where id = ?")
                .param(swatch.id())
                .update();
    }
}
