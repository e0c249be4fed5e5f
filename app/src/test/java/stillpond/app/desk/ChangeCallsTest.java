package stillpond.app.desk;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.util.UUID;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.Sheets;
import stillpond.app.support.Drawings;
import stillpond.app.support.TestPond;
import stillpond.app.support.Visitor;
import stillpond.app.support.Work;

/** What a desk sends and is told about it, over HTTP. */
class ChangeCallsTest {

    private final TestPond pond = TestPond.shared();
    private final Work work = Work.begin(pond);
    private final Sheet sheet = work.bring(Drawings.threeBoxes());
    private final Visitor visitor = Visitor.signedIn(pond, work.person());

    @ParameterizedTest
    @ValueSource(
            strings = {
                "{'id':'ID','kind':'lay','layer':'LAYER'}",
                "{'id':'ID','kind':'lay','fills':{'none':[1]}}",
                "{'id':'ID','kind':'lay','layer':'LAYER','fills':{'nonsense':[1]}}",
                "{'id':'ID','kind':'dam','layer':'LAYER'}",
                "{'id':'ID','kind':'dam','layer':'LAYER','states':{},'reach':7}",
                "{'id':'ID','kind':'undo'}",
                "{'id':'ID','kind':'wash'}",
                "{'id':'ID'}"
            })
    void oneThatMakesNoSenseIsNamedAndOfItsBatchNothingIsMade(String unfit) {
        UUID id = UUID.randomUUID();
        HttpResponse<String> answer = send("[" + sound() + "," + named(unfit).replace("ID", id.toString()) + "]");
        assertThat(answer.statusCode()).isEqualTo(400);
        assertThat(answer.body()).contains("\"change\":\"" + id + "\"", "\"detail\":\"");
        assertThat(revision()).isZero();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"[null]", "{}", "[SOUND,null]", "[SOUND,{}]", "[SOUND,{'kind':'undo'}]", "[SOUND", "null", ""})
    void whatIsNoListOfChangesIsRefusedInWords(String body) {
        HttpResponse<String> answer = send(named(body).replace("SOUND", sound()));
        assertThat(answer.statusCode()).isEqualTo(400);
        assertThat(answer.body()).contains("\"detail\":\"").doesNotContain("\"change\":");
        assertThat(revision()).isZero();
    }

    private HttpResponse<String> send(String body) {
        return visitor.post(work.address(sheet) + "/changes", body);
    }

    private String sound() {
        return named("{'id':'" + UUID.randomUUID() + "','kind':'lay','layer':'LAYER','fills':{'COAT':[1]}}");
    }

    private String named(String json) {
        return json.replace('\'', '"')
                .replace("LAYER", sheet.layer().id().toString())
                .replace("COAT", work.coat().id().toString());
    }

    private long revision() {
        return pond.bean(Sheets.class).get(work.project(), sheet.id()).revision();
    }
}
