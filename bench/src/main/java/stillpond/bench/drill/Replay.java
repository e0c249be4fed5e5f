package stillpond.bench.drill;

import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import stillpond.bench.ServedDatabase;

/**
 * Plays what has come to the log since a moment again, and compares where it leads with what is stored: what each cell wears, and what
 * each person can take back. It begins from what was worn at that moment and not from nothing, since a layer that is cut anew takes fills over
 * without an effect of their own. Of a layer that came later, as when the gaps of a new sheet are found, only the cells that the log names are
 * compared, each from the first time that it is named.
 */
final class Replay {

    private static final String NOTHING = "none";

    private final ServedDatabase database;
    private final Map<Place, String> wornBefore;
    private final Set<UUID> layersBefore = new HashSet<>();
    private final long numberBefore;

    /** Nothing may be changing when it is made. */
    Replay(ServedDatabase database) throws SQLException {
        this.database = database;
        try (Connection connection = database.connect()) {
            try (ResultSet row =
                    connection.createStatement().executeQuery("select coalesce(max(number), 0) from change")) {
                row.next();
                numberBefore = row.getLong(1);
            }
            try (ResultSet row = connection.createStatement().executeQuery("select id from layer")) {
                while (row.next()) {
                    layersBefore.add(row.getObject(1, UUID.class));
                }
            }
            wornBefore = worn(connection);
        }
    }

    /** @throws IllegalStateException from its making if the log leads elsewhere */
    record Figures(int changes, int cells, int lines) {
        @Override
        public String toString() {
            return changes + " effects of the log played again: " + cells + " cells and " + lines + " undo lines equal";
        }
    }

    private record Place(UUID layer, int cell) {}

    Figures run() throws SQLException {
        Map<Place, String> worn = new HashMap<>(wornBefore);
        int changes = 0;
        try (Connection connection = database.connect()) {
            try (ResultSet row = connection
                    .createStatement()
                    .executeQuery("select e.* from effect e join change c on c.id = e.change_id"
                            + " where e.kind = 'FILLED' and c.number > " + numberBefore
                            + " order by c.number, e.position")) {
                while (row.next()) {
                    lay(row, worn);
                    changes++;
                }
            }
            return new Figures(changes, compareCells(connection, worn), checkLines(connection));
        }
    }

    private void lay(ResultSet row, Map<Place, String> worn) throws SQLException {
        UUID layer = row.getObject("layer_id", UUID.class);
        Integer[] cells = (Integer[]) row.getArray("cells").getArray();
        String[] before = (String[]) row.getArray("before").getArray();
        String[] after = (String[]) row.getArray("after").getArray();
        for (int i = 0; i < cells.length; i++) {
            Place place = new Place(layer, cells[i]);
            String was = worn.getOrDefault(place, layersBefore.contains(layer) ? NOTHING : before[i]);
            if (!was.equals(before[i])) {
                throw new IllegalStateException("Change " + row.getObject("change_id") + " found " + before[i]
                        + " on cell " + cells[i] + ", where the log says " + was);
            }
            worn.put(place, after[i]);
        }
    }

    private int compareCells(Connection connection, Map<Place, String> worn) throws SQLException {
        Map<Place, String> stored = worn(connection);
        stored.keySet().removeIf(place -> !layersBefore.contains(place.layer()) && !worn.containsKey(place));
        Map<Place, String> left = new HashMap<>(worn);
        left.values().removeIf(NOTHING::equals);
        for (Map.Entry<Place, String> cell : stored.entrySet()) {
            String expected = left.remove(cell.getKey());
            if (!cell.getValue().equals(expected)) {
                throw new IllegalStateException("Cell " + cell.getKey().cell() + " wears " + cell.getValue()
                        + ", where the log leads to " + expected);
            }
        }
        if (!left.isEmpty()) {
            throw new IllegalStateException(left.size() + " cells wear nothing, where the log leads to a fill.");
        }
        return stored.size();
    }

    private static Map<Place, String> worn(Connection connection) throws SQLException {
        Map<Place, String> worn = new HashMap<>();
        try (ResultSet row = connection
                .createStatement()
                .executeQuery("select layer_id, cell, coalesce(made, swatch_id::text) as fill from cell_fill")) {
            while (row.next()) {
                worn.put(new Place(row.getObject("layer_id", UUID.class), row.getInt("cell")), row.getString("fill"));
            }
        }
        return worn;
    }

    /** Steps about one change take turns: it is taken back, done again, taken back. */
    private static int checkLines(Connection connection) throws SQLException {
        Map<UUID, String> lastStep = new HashMap<>();
        Set<UUID> people = new HashSet<>();
        try (ResultSet row = connection.createStatement().executeQuery("select * from change order by number")) {
            while (row.next()) {
                people.add(row.getObject("author_id", UUID.class));
                UUID concerns = row.getObject("concerns", UUID.class);
                if (concerns == null) {
                    continue;
                }
                String kind = row.getString("kind");
                String before = lastStep.put(concerns, kind);
                if (kind.equals(before == null ? "REDO" : before)) {
                    throw new IllegalStateException(
                            "Two steps after one another that are both " + kind + ": " + concerns);
                }
            }
        }
        return people.size();
    }
}
