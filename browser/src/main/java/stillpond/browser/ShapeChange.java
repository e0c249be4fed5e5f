package stillpond.browser;

import java.util.List;
import java.util.TreeMap;
import org.teavm.jso.JSExport;
import org.teavm.jso.JSProperty;
import stillpond.core.blockin.ShapeEdit;
import stillpond.core.blockin.ShapeText;

/**
 * What is done to shapes, as it is sent.
 *
 * @param put shapes that are new or others now
 * @param order all numbers, from back to front
 * @param lines all lines that do not meet
 * @param chosen numbers of the shapes that are in the hand then
 * @param fresh numbers of new shapes that wear what others wear
 * @param like the others
 * @param isNothing whether all stays as it is
 */
public record ShapeChange(
        @JSExport @JSProperty("put") String[] put,
        @JSExport @JSProperty("order") int[] order,
        @JSExport @JSProperty("lines") String[] lines,
        @JSExport @JSProperty("chosen") int[] chosen,
        @JSExport @JSProperty("fresh") int[] fresh,
        @JSExport @JSProperty("like") int[] like,
        @JSExport @JSProperty("isNothing") boolean isNothing) {

    static ShapeChange of(ShapeEdit edit) {
        TreeMap<Integer, Integer> like = new TreeMap<>(edit.like());
        return new ShapeChange(
                edit.put().stream().map(ShapeText::of).toArray(String[]::new),
                Numbers.of(edit.order()),
                edit.after().lines().stream().map(ShapeText::of).toArray(String[]::new),
                Numbers.of(edit.chosen()),
                Numbers.of(List.copyOf(like.keySet())),
                Numbers.of(List.copyOf(like.values())),
                edit.isNothing());
    }
}
