package stillpond.bench.drill;

import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashMap;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import stillpond.bench.ServedDatabase;

/**
 * Plays what has come to the log of every sheet since a moment again, and compares where it leads with what is stored: what each cell
 * wears, and each line of undo. It begins from what was worn at that moment and not from nothing, since a layer that is cut anew takes fills
 * over without a row of their own.
 */
final class Replay {

    private static final String NOTHING = "none";

    private final ServedDatabase database;
    private final Map<Place, String> wornBefore;
    private final Map<UUID, Long> revisionsBefore = new HashMap<>();

    /** Nothing may be changing when it is made. */
    Replay(ServedDatabase database) throws SQLException {
        this.database = database;
        try (Connection connection = database.connect()) {
            wornBefore = worn(connection);
            try (ResultSet row = connection.createStatement().executeQuery("select id, revision from sheet")) {
                while (row.next()) {
                    revisionsBefore.put(row.getObject("id", UUID.class), row.getLong("revision"));
                }
            }
        }
    }

    /** @throws IllegalStateException from its making if the log leads elsewhere */
    record Figures(int changes, int cells, int lines) {
        @Override
        public String toString() {
            return changes + " rows of the log played again: " + cells + " cells and " + lines + " undo lines equal";
        }
    }

    private record Place(UUID layer, int cell) {}

    private record Line(UUID sheet, UUID author) {}

    Figures run() throws SQLException {
        Map<Place, String> worn = new HashMap<>(wornBefore);
        Map<Line, Deque<UUID>> made = new HashMap<>();
        int changes = 0;
        try (Connection connection = database.connect()) {
            try (ResultSet row =
                    connection.createStatement().executeQuery("select * from change order by sheet_id, revision")) {
                while (row.next()) {
                    step(row, made);
                    if (row.getLong("revision") > revisionsBefore.get(row.getObject("sheet_id", UUID.class))) {
                        lay(row, worn);
                        changes++;
                    }
                }
            }
            return new Figures(changes, compareCells(connection, worn), compareLines(connection, made));
        }
    }

    private static void lay(ResultSet row, Map<Place, String> worn) throws SQLException {
        UUID layer = row.getObject("layer_id", UUID.class);
        Integer[] cells = (Integer[]) row.getArray("cells").getArray();
        String[] before = (String[]) row.getArray("before").getArray();
        String[] after = (String[]) row.getArray("after").getArray();
        for (int i = 0; i < cells.length; i++) {
            Place place = new Place(layer, cells[i]);
            String was = worn.getOrDefault(place, NOTHING);
            if (!was.equals(before[i])) {
                throw new IllegalStateException("Change " + row.getObject("id") + " found " + before[i] + " on cell "
                        + cells[i] + ", where the log says " + was);
            }
            worn.put(place, after[i]);
        }
    }

    private static void step(ResultSet row, Map<Line, Deque<UUID>> made) throws SQLException {
        Line line = new Line(row.getObject("sheet_id", UUID.class), row.getObject("author_id", UUID.class));
        Deque<UUID> done = made.computeIfAbsent(line, any -> new ArrayDeque<>());
        switch (row.getString("kind")) {
            case "UNDO" -> {
                UUID taken = done.pop();
                if (!taken.equals(row.getObject("concerns", UUID.class))) {
                    throw new IllegalStateException("An undo took back what was not the latest: " + taken);
                }
            }
            case "REDO" -> done.push(row.getObject("concerns", UUID.class));
            default -> done.push(row.getObject("id", UUID.class));
        }
    }

    private static int compareCells(Connection connection, Map<Place, String> worn) throws SQLException {
        Map<Place, String> left = new HashMap<>(worn);
        left.values().removeIf(NOTHING::equals);
        Map<Place, String> stored = worn(connection);
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

    private static int compareLines(Connection connection, Map<Line, Deque<UUID>> made) throws SQLException {
        int equal = 0;
        try (ResultSet row = connection.createStatement().executeQuery("select * from undo_head")) {
            while (row.next()) {
                Line line = new Line(row.getObject("sheet_id", UUID.class), row.getObject("author_id", UUID.class));
                UUID head = row.getObject("change_id", UUID.class);
                Deque<UUID> done = made.getOrDefault(line, new ArrayDeque<>());
                if (!Objects.equals(head, done.peek())) {
                    throw new IllegalStateException("A line of undo ends at " + head + ", the log at " + done.peek());
                }
                equal++;
            }
        }
        return equal;
    }
}
