package stillpond.app.carry;

import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** What colourists made of proposals that were wrong, so that the next carry from the same regions knows better. */
@Component
@Transactional
class Corrections {

    private final CorrectionRepository corrections;

    Corrections(CorrectionRepository corrections) {
        this.corrections = corrections;
    }

    /** The like of a region of a source was given another fill. @param cell one of the region's */
    void note(UUID layer, int cell, String fill) {
        Correction.Key key = new Correction.Key(layer, cell, fill);
        Correction correction = corrections.findById(key).orElseGet(() -> new Correction(key));
        correction.oneMore();
        corrections.save(correction);
    }

    /** How often each fill was given instead, by cell. */
    @Transactional(readOnly = true)
    public Map<Integer, Map<String, Integer>> of(UUID layer) {
        Map<Integer, Map<String, Integer>> all = new HashMap<>();
        corrections
                .findByKeyLayerId(layer)
                .forEach(each -> all.computeIfAbsent(each.cell(), any -> new HashMap<>())
                        .merge(each.fill(), each.times(), Integer::sum));
        return all;
    }
}
