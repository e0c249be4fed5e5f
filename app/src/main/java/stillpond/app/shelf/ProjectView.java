package stillpond.app.shelf;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.Collectors;
import stillpond.app.palette.CardView;
import stillpond.app.sheet.Progress;

/** A project with its scenes and cards. @param chosen the sheet that was made its cover */
public record ProjectView(UUID id, String title, Optional<UUID> chosen, List<SceneView> scenes, List<CardView> cards) {

    public List<SheetTile> sheets() {
        return scenes.stream().flatMap(scene -> scene.sheets().stream()).toList();
    }

    /** The sheets that stand for the project on the shelf: the one that was chosen, then those that are furthest. */
    public List<SheetTile> cover() {
        return sheets().stream()
                .sorted(Comparator.comparing((SheetTile sheet) -> !chosen.equals(Optional.of(sheet.id())))
                        .thenComparingInt(sheet -> -sheet.progress().percent()))
                .limit(3)
                .toList();
    }

    /** What each has in hand, by name. */
    public Map<String, List<SheetTile>> inHand() {
        return sheets().stream()
                .filter(sheet -> !sheet.inHand().isEmpty())
                .collect(Collectors.groupingBy(SheetTile::inHand, TreeMap::new, Collectors.toList()));
    }

    public Progress progress() {
        return new Progress(
                id,
                sheets().stream()
                        .mapToLong(sheet -> sheet.progress().filledRegions())
                        .sum(),
                sheets().stream().mapToLong(sheet -> sheet.progress().regions()).sum());
    }
}
