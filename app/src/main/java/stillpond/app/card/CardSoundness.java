package stillpond.app.card;

import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import stillpond.core.colour.Srgb;
import tools.jackson.databind.json.JsonMapper;

/** Whether what is kept about cards can be read, so that every page can rely on it; asked of what came from elsewhere. */
@Component
public class CardSoundness {

    private final ProposalRepository proposals;
    private final ReferencePictures pictures;
    private final PrintConditions conditions;
    private final JsonMapper json;

    CardSoundness(
            ProposalRepository proposals, ReferencePictures pictures, PrintConditions conditions, JsonMapper json) {
        this.proposals = proposals;
        this.pictures = pictures;
        this.conditions = conditions;
        this.json = json;
    }

    /** @throws RuntimeException of any kind if it cannot */
    @Transactional(readOnly = true)
    public void require(UUID project) {
        proposals.findInProject(project).forEach(proposal -> json.readValue(proposal.edits(), EditMessage[].class));
        for (ReferencePicture picture : pictures.of(project)) {
            for (ReferencePictures.Sample sample :
                    json.readValue(picture.samples(), ReferencePictures.Sample[].class)) {
                Srgb.ofHex(sample.colour());
            }
        }
        conditions.of(project);
    }
}
