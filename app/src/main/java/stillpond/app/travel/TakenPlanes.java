package stillpond.app.travel;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import stillpond.app.reading.WorkingMemory;
import stillpond.app.settings.PondSettings;
import stillpond.app.sheet.Planes;
import stillpond.core.format.PlaneParts;
import stillpond.core.refusal.Refusal;
import tools.jackson.databind.JsonNode;

/** The planes and files that came with a project file, by the names that it gives them. One that is here already under such a name may be somebody else's, so it does not count. */
final class TakenPlanes {

    /** A picture, and the numbers that come of it. */
    private static final int BYTES_PER_PIXEL = 12;

    private final ReadZip zip;
    private final Planes planes;
    private final WorkingMemory memory;
    private final PondSettings.Limits limits;
    private final Map<String, String> names = new HashMap<>();

    TakenPlanes(ReadZip zip, Planes planes, WorkingMemory memory, PondSettings.Limits limits) {
        this.zip = zip;
        this.planes = planes;
        this.memory = memory;
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
        List<WorkingMemory.Hold> held = new ArrayList<>();
        try {
            names.put(name, planes.keep(new PlaneParts(png, numbers).stored(kind, pixels -> held.add(hold(pixels)))));
        } finally {
            held.forEach(WorkingMemory.Hold::close);
        }
    }

    private WorkingMemory.Hold hold(long pixels) {
        if (pixels > limits.maxPixels()) {
            throw tooLarge(pixels);
        }
        return memory.hold(pixels * BYTES_PER_PIXEL, most -> tooLarge(pixels));
    }

    private static Refusal tooLarge(long pixels) {
        return new Refusal("The file holds a picture of more pixels than are taken here: " + pixels + ".");
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
