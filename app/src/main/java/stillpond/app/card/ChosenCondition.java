package stillpond.app.card;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.UUID;

/** The print condition that was brought in for a project. */
@Entity
@Table(name = "print_condition")
class ChosenCondition {

    @Id
    private UUID projectId;

    private String title;

    /** The name of its plane: the ICC profile. */
    private String content;

    protected ChosenCondition() {}

    ChosenCondition(UUID project, String title, String content) {
        this.projectId = project;
        this.title = title;
        this.content = content;
    }

    String title() {
        return title;
    }

    String content() {
        return content;
    }
}
