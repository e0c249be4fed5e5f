package stillpond.app.sheet;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import stillpond.app.project.Projects;
import stillpond.app.project.Scene;
import stillpond.app.support.Drawings;
import stillpond.app.support.TestPond;
import stillpond.app.support.Visitor;
import stillpond.app.support.Work;
import stillpond.core.fill.Fill;
import stillpond.core.format.UnreadableFile;

class SheetOrderTest {

    private final TestPond pond = TestPond.shared();
    private final SheetOrder order = pond.bean(SheetOrder.class);
    private final Sheets sheets = pond.bean(Sheets.class);
    private final Projects projects = pond.bean(Projects.class);
    private Work work;
    private Sheet first;
    private Sheet second;

    @BeforeEach
    void bringInTwoSheets() {
        work = Work.begin(pond);
        first = bring("first", 10);
        second = bring("second", 20);
    }

    @Test
    void sheetsAreRenamedAndChangePlaces() {
        order.rename(work.project(), second.id(), "Hill");
        order.move(work.project(), second.id(), -1);
        assertThat(titlesIn(work.scene())).containsExactly("Hill", "first");
        order.move(work.project(), second.id(), -1);
        assertThat(titlesIn(work.scene())).containsExactly("Hill", "first");
        Scene night = projects.addScene(work.project(), "Night");
        order.moveTo(work.project(), first.id(), night.id());
        assertThat(titlesIn(work.scene())).containsExactly("Hill");
        assertThat(titlesIn(night.id())).containsExactly("first");
    }

    @Test
    void aCopyWearsTheSameAndGoesItsOwnWay() {
        Fill coat = Fill.flat(work.coat().id());
        lay(first, coat);
        UUID copyId = order.copy(work.project(), first.id());
        Sheet copy = sheets.get(work.project(), copyId);
        assertThat(titlesIn(work.scene())).containsExactly("first", "first, copy", "second");
        assertThat(sheets.fills(copy.layer()).of(0)).isEqualTo(coat);
        lay(copy, Fill.flat(work.scarf().id()));
        assertThat(sheets.fills(first.layer()).of(0)).isEqualTo(coat);
    }

    @Test
    void whatIsRemovedComesBackAsItWas() {
        Fill coat = Fill.flat(work.coat().id());
        lay(first, coat);
        order.remove(work.project(), first.id());
        assertThat(titlesIn(work.scene())).containsExactly("second");
        assertThat(sheets.removed(work.project())).extracting(Sheet::title).containsExactly("first");
        order.bringBack(work.project(), first.id());
        assertThat(titlesIn(work.scene())).containsExactly("first", "second");
        assertThat(sheets.fills(first.layer()).of(0)).isEqualTo(coat);
    }

    @Test
    void scenesMoveGoAndComeBackToo() {
        Scene night = projects.addScene(work.project(), "Night");
        projects.moveScene(work.project(), night.id(), -1);
        projects.renameScene(work.project(), night.id(), "Late");
        assertThat(projects.scenes(work.project())).extracting(Scene::title).containsExactly("Late", "Low tide");
        projects.removeScene(work.project(), night.id(), work.account());
        assertThat(projects.scenes(work.project())).extracting(Scene::title).containsExactly("Low tide");
        projects.bringSceneBack(work.project(), night.id(), work.account());
        assertThat(projects.scenes(work.project())).extracting(Scene::title).containsExactly("Late", "Low tide");
    }

    @Test
    void theSameFileTwiceIsRecognised() {
        assertThatThrownBy(() -> bring("again", 10))
                .isInstanceOf(UnreadableFile.class)
                .hasMessageContaining("here already, as 'first'");
        order.remove(work.project(), first.id());
        assertThat(bring("again", 10).title()).isEqualTo("again");
    }

    @Test
    void anotherProjectsSheetsAreOutOfReach() {
        Work other = Work.begin(pond);
        assertThatThrownBy(() -> order.rename(other.project(), first.id(), "Mine"))
                .hasMessageContaining("No value");
        assertThatThrownBy(() -> order.moveTo(work.project(), first.id(), other.scene()))
                .hasMessageContaining("No value");
    }

    private Sheet bring(String title, int x) {
        byte[] drawing = Drawings.svg("<rect x='" + x + "' y='50' width='90' height='90' fill='none' stroke='#000'/>");
        return sheets.bring(work.project(), work.scene(), LineArtFile.of(title + ".svg", drawing))
                .sheet();
    }

    private void lay(Sheet sheet, Fill fill) {
        pond.bean(SheetChanges.class)
                .make(
                        sheet.id(),
                        work.account(),
                        new ChangeRequest.Lay(UUID.randomUUID(), sheet.layer().id(), fill, List.of(0)));
    }

    private List<String> titlesIn(UUID scene) {
        return sheets.inProject(work.project()).stream()
                .filter(sheet -> sheet.scene().equals(scene))
                .map(Sheet::title)
                .toList();
    }

    @Test
    void theMenuOfASheetOffersWhatCanBeDoneWithItAndTheOtherScenes() {
        Scene other = projects.addScene(work.project(), "Elsewhere");
        String menu = Visitor.signedIn(pond, work.person())
                .get("/projects/" + work.project() + "/sheets/" + first.id() + "/arrange")
                .body();
        assertThat(menu)
                .contains(
                        "Copy with its fills",
                        "Move later",
                        "Elsewhere",
                        other.id().toString());
        assertThat(menu).doesNotContain(work.scene().toString());
    }
}
