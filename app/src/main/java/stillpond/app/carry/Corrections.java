package stillpond.app.carry;

import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** What colourists made of proposals that were wrong, so that the next carry from the same regions knows better. */
@Component
@Transactional
class Corrections {

    private final JdbcClient jdbc;

    Corrections(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** The like of a region of a source was given another fill. @param cell one of the region's */
    void note(UUID layer, int cell, String fill) {
        jdbc.sql("""
                        insert into carry_correction values (?, ?, ?, 1)
                        on conflict (layer_id, cell, fill) do update set times = carry_correction.times + 1""").params(layer, cell, fill).update();
    }

    /** How often each fill was given instead, by cell. */
    @Transactional(readOnly = true)
    public Map<Integer, Map<String, Integer>> of(UUID layer) {
        Map<Integer, Map<String, Integer>> all = new HashMap<>();
        jdbc.sql("select cell, fill, times from carry_correction where layer_id = ?")
                .param(layer)
                .query(row -> {
                    all.computeIfAbsent(row.getInt("cell"), any -> new HashMap<>())
                            .merge(row.getString("fill"), row.getInt("times"), Integer::sum);
                });
        return all;
    }
}
