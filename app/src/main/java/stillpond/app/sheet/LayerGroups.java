package stillpond.app.sheet;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.UnaryOperator;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import stillpond.core.cell.CellSplit;
import stillpond.core.fill.Fill;
import stillpond.core.fill.Fills;
import stillpond.core.ledger.CellGroup;
import stillpond.core.ledger.CellGroups;

/** The groups of each layer. */
@Component
@Transactional
public class LayerGroups {

    private final JdbcClient jdbc;
    private final SheetRepository sheets;
    private final LayerSwaps swaps;
    private final ApplicationEventPublisher events;

    LayerGroups(JdbcClient jdbc, SheetRepository sheets, LayerSwaps swaps, ApplicationEventPublisher events) {
        this.jdbc = jdbc;
        this.sheets = sheets;
        this.swaps = swaps;
        this.events = events;
    }

    @Transactional(readOnly = true)
    public CellGroups of(UUID layer) {
        return new CellGroups(jdbc.sql("select * from cell_group where layer_id = ? order by position")
                .param(layer)
                .query((row, number) -> group(row))
                .list());
    }

    /** Those alone whose fills must stay: asked with every fill. */
    CellGroups locked(UUID layer) {
        return new CellGroups(jdbc.sql("select * from cell_group where layer_id = ? and is_locked order by position")
                .param(layer)
                .query((row, number) -> group(row))
                .list());
    }

    private static CellGroup group(ResultSet row) throws SQLException {
        Integer[] cells = (Integer[]) row.getArray("cells").getArray();
        return new CellGroup(
                row.getObject("id", UUID.class),
                row.getString("name"),
                row.getBoolean("is_hidden"),
                row.getBoolean("is_locked"),
                Arrays.asList(cells));
    }

    /** Changes the groups of the front layer of a sheet, one change at a time. */
    public CellGroups change(Sheet sheet, UUID author, UnaryOperator<CellGroups> change) {
        sheets.findAndLock(sheet.id()).orElseThrow();
        events.publishEvent(SheetChanged.by(author, sheet.project(), sheet.id(), SheetChanged.What.GROUPS));
        UUID layer = sheet.frontLayer().id();
        CellGroups changed = change.apply(of(layer));
        write(layer, changed);
        return changed;
    }

    private void write(UUID layer, CellGroups groups) {
        jdbc.sql("delete from cell_group where layer_id = ?").param(layer).update();
        int position = 0;
        for (CellGroup group : groups.groups()) {
            jdbc.sql("insert into cell_group values (?, ?, ?, ?, ?, ?, ?)")
                    .params(layer, group.id(), group.name(), position++, group.isHidden(), group.isLocked())
                    .param(group.cells().stream().mapToInt(cell -> cell).toArray())
                    .update();
        }
    }

    /** Brings the groups of a layer over to the one that takes its place. */
    void carry(Layer old, Layer fresh) {
        CellGroups groups = of(old.id());
        if (groups.groups().isEmpty()) {
            return;
        }
        Map<Integer, Fill> marks = new HashMap<>();
        groups.groups().forEach(group -> group.cells().forEach(cell -> marks.put(cell, Fill.flat(group.id()))));
        Fills moved = swaps.inTheSamePlace(old, Fills.of(marks), fresh);
        write(
                fresh.id(),
                groups.inCells(group -> moved.filled().stream()
                        .filter(cell -> moved.of(cell).equals(Fill.flat(group.id())))
                        .toList()));
    }

    /** The same cells, some of them split in parts. */
    void carrySplit(UUID old, UUID fresh, List<CellSplit.Parts> split) {
        CellGroups groups = of(old);
        write(fresh, groups.inCells(group -> {
            List<Integer> all = new ArrayList<>(group.cells());
            split.stream()
                    .filter(parts -> group.cells().contains(parts.cell()))
                    .forEach(parts -> all.addAll(parts.parts()));
            return all;
        }));
    }

    void copy(UUID from, UUID to) {
        write(to, of(from));
    }
}
