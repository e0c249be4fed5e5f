package stillpond.app.card;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import stillpond.app.settings.PondSettings;
import stillpond.app.sheet.Planes;
import stillpond.core.colour.PrintCondition;
import stillpond.core.refusal.Refusal;

/** The print condition that the colours of a project are judged by: an ICC profile brought in for it, or else that of this machine. */
@Component
@Transactional
public class PrintConditions {

    private static final Logger LOG = LoggerFactory.getLogger(PrintConditions.class);
    private static final String OF_THIS_MACHINE = "as this machine has it";

    private final PrintConditionRepository conditions;
    private final Planes planes;
    private final Optional<PrintCondition> otherwise;
    private final Map<String, PrintCondition> read = new ConcurrentHashMap<>();

    PrintConditions(PrintConditionRepository conditions, Planes planes, PondSettings settings) {
        this.conditions = conditions;
        this.planes = planes;
        this.otherwise = read(settings.print().profile());
    }

    private static Optional<PrintCondition> read(Path profile) {
        try {
            return Optional.of(PrintCondition.of(Files.readAllBytes(profile)));
        } catch (IOException | Refusal e) {
            LOG.warn("No print condition: {} could not be used ({})", profile, e.getMessage());
            return Optional.empty();
        }
    }

    /** Empty if no profile is installed and none was brought in. */
    @Transactional(readOnly = true)
    public Optional<PrintCondition> of(UUID project) {
        return chosen(project)
                .map(each ->
                        read.computeIfAbsent(each.content(), content -> PrintCondition.of(planes.content(content))))
                .or(() -> otherwise);
    }

    @Transactional(readOnly = true)
    public String titleOf(UUID project) {
        return chosen(project).map(ChosenCondition::title).orElse(otherwise.isPresent() ? OF_THIS_MACHINE : "none");
    }

    /** @throws Refusal if it is no profile of printing inks; the condition stays as it is */
    void choose(UUID project, String title, byte[] profile) {
        PrintCondition.of(profile);
        conditions.save(new ChosenCondition(project, title, planes.keep(profile)));
    }

    private Optional<ChosenCondition> chosen(UUID project) {
        return conditions.findById(project);
    }
}
