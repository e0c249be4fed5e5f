package stillpond.app.export;

import java.util.List;
import java.util.Locale;
import stillpond.core.handon.Faces;
import stillpond.core.palette.SwatchColours;
import stillpond.core.render.FillColours;

/** What of a layer goes out, to be looked at before it does. */
record LayerOutline(String name, List<Group> groups) {

    private static final int MOST_STONES = 6;

    /** @param colours of its shapes as they are shown, a few of them @param shapes how many there are */
    record Group(String name, List<String> colours, int shapes) {}

    static LayerOutline of(String layer, Faces faces, SwatchColours shown) {
        return new LayerOutline(
                layer,
                faces.groups().stream().map(group -> group(faces, group, shown)).toList());
    }

    private static Group group(Faces faces, String name, SwatchColours shown) {
        List<Integer> numbers = faces.in(name);
        List<String> colours = numbers.stream()
                .map(number -> FillColours.of(faces.all().get(number - 1).fill(), shown)
                        .mean())
                .map(argb -> String.format(Locale.ROOT, "#%06x", argb & 0xffffff))
                .distinct()
                .limit(MOST_STONES)
                .toList();
        return new Group(name, colours, numbers.size());
    }
}
