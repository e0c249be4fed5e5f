package stillpond.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.UUID;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import stillpond.app.support.TestPond;
import stillpond.app.support.Visitor;

/** What whoever runs the application relies on. */
class OperationsTest {

    private static final Path ROOT = Path.of("..");
    private static final Pattern SETTING = Pattern.compile("\\b(POND_[A-Z_]+)\\b");

    private static String read(String file) throws IOException {
        return Files.readString(ROOT.resolve(file));
    }

    private static List<String> settings(String text) {
        return SETTING.matcher(text)
                .results()
                .map(MatchResult::group)
                .distinct()
                .toList();
    }

    @Test
    void theImageRunsAsAUserOfItsOwnAndIsAskedWhetherItIsReady() throws IOException {
        List<String> lines = read("operations/Containerfile").lines().toList();
        int lastStage = lines.lastIndexOf("FROM debian:bookworm-slim");
        List<String> runtime = lines.subList(lastStage, lines.size());
        assertThat(runtime).anyMatch(line -> line.matches("USER [1-9]\\d+"));
        assertThat(runtime)
                .anyMatch(line -> line.startsWith("HEALTHCHECK") && line.contains("/actuator/health/readiness"));
        assertThat(runtime).noneMatch(line -> line.contains("PASSWORD="));
        assertThat(runtime).anyMatch(line -> line.startsWith("ENTRYPOINT [\"java\""));
    }

    @Test
    void theUnitGivesTheProcessNothingThatItDoesNotNeed() throws IOException {
        assertThat(read("operations/still-pond.service").lines())
                .contains(
                        "DynamicUser=yes",
                        "NoNewPrivileges=yes",
                        "ProtectSystem=strict",
                        "PrivateTmp=yes",
                        "CapabilityBoundingSet=",
                        "SuccessExitStatus=143");
    }

    @Test
    void everySettingThatIsToldOfIsOne() throws IOException {
        String known = read("app/src/main/resources/application.yaml");
        assertThat(settings(read("docs/operating.md"))).isNotEmpty().allMatch(known::contains);
        assertThat(settings(read("operations/Containerfile"))).isNotEmpty().allMatch(known::contains);
    }

    @Test
    void aNodeSaysWhetherItLivesAndIsReadyAndShowsMetricsToNobodyWithoutTheToken() {
        Visitor visitor = Visitor.anonymous(TestPond.shared());
        assertThat(visitor.get("/actuator/health/liveness").body()).contains("UP");
        assertThat(visitor.get("/actuator/health/readiness").body()).contains("UP");
        assertThat(visitor.get("/actuator/prometheus").statusCode()).isEqualTo(302);
        assertThat(visitor.get("/actuator/env").statusCode()).isEqualTo(302);
        String name = "o" + UUID.randomUUID();
        TestPond.shared().openAccount(name);
        assertThat(Visitor.signedIn(TestPond.shared(), name)
                        .get("/actuator/prometheus")
                        .statusCode())
                .isEqualTo(404);
    }

    @Test
    void eachAnswerHasANumberOfItsOwn() {
        Visitor visitor = Visitor.anonymous(TestPond.shared());
        HttpResponse<String> first = visitor.get("/sign-in");
        HttpResponse<String> second = visitor.get("/sign-in");
        assertThat(first.headers().firstValue("X-Request-Id").orElseThrow())
                .matches("[0-9a-f]{8}")
                .isNotEqualTo(second.headers().firstValue("X-Request-Id").orElseThrow());
    }
}
