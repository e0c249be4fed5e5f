package stillpond.core.shadow;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Stream;
import stillpond.core.fill.Fills;
import stillpond.core.ledger.CellGroup;
import stillpond.core.ledger.CellGroups;
import stillpond.core.refusal.Refusal;

/** What a shadow or a rim belongs to, told by cells of a layer. */
public sealed interface Base {

    /** Everything on the layer that wears a fill. */
    Base LAID = new Laid();

    /** The base that is stored and sent: {@code laid}, {@code cells} and their numbers, or {@code group}, its id, and numbers. */
    default String text() {
        if (this instanceof Cells some) {
            return "cells" + numbers(some.cells());
        }
        return this instanceof Group some ? "group " + some.group() + numbers(some.cells()) : "laid";
    }

    /**
     * Reads what {@link #text} wrote.
     *
     * @throws Refusal if it is no base
     */
    static Base ofText(String text) {
        String[] parts = FormText.split(text, ' ');
        try {
            if (parts[0].equals("cells")) {
                return new Cells(numbers(parts, 1));
            }
            if (parts[0].equals("group") && parts.length > 1) {
                return new Group(UUID.fromString(parts[1]), numbers(parts, 2));
            }
        } catch (IllegalArgumentException e) {
            throw new Refusal("This is no base of a shadow.");
        }
        if (text.equals("laid")) {
            return LAID;
        }
        throw new Refusal("This is no base of a shadow.");
    }

    private static String numbers(List<Integer> cells) {
        StringBuilder text = new StringBuilder();
        cells.forEach(cell -> text.append(' ').append(cell));
        return text.toString();
    }

    private static List<Integer> numbers(String[] parts, int first) {
        List<Integer> numbers = new ArrayList<>();
        for (int i = first; i < parts.length; i++) {
            numbers.add(Integer.parseInt(parts[i]));
        }
        return numbers;
    }

    /** Every cell that it names; a group may have others meanwhile. */
    default List<Integer> named() {
        return this instanceof Cells some ? some.cells() : this instanceof Group some ? some.cells() : List.of();
    }

    /** The cells that it is made of now. */
    Set<Integer> cells(CellGroups groups, Fills fills);

    /** The same where cells were split: their parts belong to it as they did. @param parts of each cell that was split */
    default Base withParts(Map<Integer, List<Integer>> parts) {
        return inCells(cells -> cells.stream()
                .flatMap(cell -> Stream.concat(Stream.of(cell), parts.getOrDefault(cell, List.of()).stream()))
                .toList());
    }

    /** The same on other cells. @param translate the cells in the place of some */
    Base inCells(Function<List<Integer>, Collection<Integer>> translate);

    /** Some cells: a region, a figure, what was gathered. None, where the drawing was corrected and has no such cells any more. */
    record Cells(List<Integer> cells) implements Base {
        public Cells {
            cells = sorted(cells);
        }

        @Override
        public Set<Integer> cells(CellGroups groups, Fills fills) {
            return new HashSet<>(cells);
        }

        @Override
        public Base inCells(Function<List<Integer>, Collection<Integer>> translate) {
            return new Cells(List.copyOf(translate.apply(cells)));
        }
    }

    /**
     * A group, as long as it is there.
     *
     * @param cells those that it had when it was chosen: without it they are the base
     */
    record Group(UUID group, List<Integer> cells) implements Base {
        public Group {
            cells = sorted(cells);
        }

        @Override
        public Set<Integer> cells(CellGroups groups, Fills fills) {
            return new HashSet<>(groups.groups().stream()
                    .filter(each -> each.id().equals(group))
                    .findFirst()
                    .map(CellGroup::cells)
                    .orElse(cells));
        }

        @Override
        public Base inCells(Function<List<Integer>, Collection<Integer>> translate) {
            return new Group(group, List.copyOf(translate.apply(cells)));
        }
    }

    /** See {@link Base#LAID}. */
    record Laid() implements Base {
        @Override
        public Set<Integer> cells(CellGroups groups, Fills fills) {
            return fills.ofCells().filled();
        }

        @Override
        public Base inCells(Function<List<Integer>, Collection<Integer>> translate) {
            return this;
        }
    }

    private static List<Integer> sorted(List<Integer> cells) {
        return List.copyOf(new TreeSet<>(cells));
    }
}
