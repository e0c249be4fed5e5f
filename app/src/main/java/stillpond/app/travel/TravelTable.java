package stillpond.app.travel;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;

/**
 * A table whose rows travel with a project.
 *
 * @param keys the columns that tell one row from the others
 * @param columns in the order of the file
 * @param later columns that are written once all rows of all tables are there, since rows name each other
 * @param rows which rows, and in which order: the query behind {@code select r.*}, with the parameters of {@link Selection}
 */
record TravelTable(String name, List<String> keys, List<Column> columns, Set<String> later, String rows) {

    /** As the file calls it. */
    String member() {
        return camel(name);
    }

    Stream<Column> travelling() {
        return columns.stream().filter(Column::travels);
    }

    static String camel(String name) {
        StringBuilder camel = new StringBuilder();
        for (String word : name.split("_")) {
            camel.append(camel.isEmpty() ? word : Character.toUpperCase(word.charAt(0)) + word.substring(1));
        }
        return camel.toString();
    }

    static Builder named(String name) {
        return new Builder(name);
    }

    /** Says one column after the other. */
    static final class Builder {
        private final String name;
        private final List<Column> columns = new ArrayList<>();
        private List<String> keys = List.of("id");
        private Set<String> later = Set.of();

        private Builder(String name) {
            this.name = name;
        }

        Builder keys(String... names) {
            keys = List.of(names);
            return this;
        }

        Builder later(String... names) {
            later = Set.of(names);
            return this;
        }

        Builder ids(String... names) {
            return all(Column.Kind.ID, names);
        }

        Builder plain(String... names) {
            return all(Column.Kind.PLAIN, names);
        }

        Builder textsWithIds(String... names) {
            return all(Column.Kind.TEXT_WITH_IDS, names);
        }

        Builder all(Column.Kind kind, String... names) {
            Stream.of(names).map(each -> new Column(each, kind)).forEach(columns::add);
            return this;
        }

        /** An id that may be left behind. @param source an expression that is null then */
        Builder id(String column, String source) {
            columns.add(new Column(column, Column.Kind.ID, source));
            return this;
        }

        TravelTable rows(String query) {
            return new TravelTable(name, keys, List.copyOf(columns), later, query);
        }
    }
}
