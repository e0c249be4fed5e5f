package stillpond.app.travel;

import java.util.HashMap;
import java.util.Map;
import stillpond.app.settings.PondSettings;
import stillpond.app.sheet.Planes;
import stillpond.core.format.PlaneParts;
import stillpond.core.refusal.Refusal;
import tools.jackson.databind.JsonNode;

/** The planes and files that came with a project file, by the names that it gives them. One that is here already under such a name may be somebody else's, so it does not count. */
final class TakenPlanes {

    private final ReadZip zip;
    private final Planes planes;
    private final PondSettings.Limits limits;
    private final Map<String, String> names = new HashMap<>();

    TakenPlanes(ReadZip zip, Planes planes, PondSettings.Limits limits) {
        this.zip = zip;
        this.planes = planes;
        this.limits = limits;
    }

    /** Puts a plane together. @throws Refusal if it is none */
    void take(JsonNode plane) {
        String name = plane.path("name").asString("");
        PlaneParts.Kind kind = Refusal.unlessRead(
                "The file holds a plane of a kind that there is none of.",
                () -> PlaneParts.Kind.valueOf(plane.path("kind").asString("")));
        JsonNode given = plane.path("numbers");
        int[] numbers = new int[given.size()];
        for (int i = 0; i < numbers.length; i++) {
            numbers[i] = given.get(i).asInt();
        }
        byte[] png = kind == PlaneParts.Kind.LIST ? new byte[0] : bytes(ProjectFormat.picture(name));
        names.put(name, planes.keep(new PlaneParts(png, numbers).stored(kind, this::requireFew)));
    }

    private void requireFew(long pixels) {
        if (pixels > limits.maxPixels()) {
            throw new Refusal("The file holds a picture of more pixels than are taken here: " + pixels + ".");
        }
    }

    private byte[] bytes(String entry) {
        return zip.bytes(entry, limits.maxFile().toBytes());
    }

    /** The name under which one is kept here. @throws Refusal if it did not come with the file */
    String kept(Column column, String name) {
        if (column.kind() == Column.Kind.FILE) {
            return names.computeIfAbsent(name, any -> planes.keep(bytes(ProjectFormat.file(any))));
        }
        String known = names.get(name);
        if (known == null) {
            throw new Refusal("The file speaks of a plane that it does not hold.");
        }
        return known;
    }
}
