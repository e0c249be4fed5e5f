package stillpond.app.history;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import stillpond.core.blockin.Reference;
import stillpond.core.cell.Box;
import stillpond.core.fill.Change;
import stillpond.core.gap.DamChange;
import stillpond.core.ledger.CellGroups;
import stillpond.core.palette.CardsChange;
import stillpond.core.render.Meeting;
import stillpond.core.shadow.Shadows;
import stillpond.core.stack.Stack;

/** One thing that a change does to a project, told by what was before and what is after, so that it can be done the other way round. */
public sealed interface Effect {

    /** The effect that takes this one back. */
    Effect inverse();

    /** What pages have to look at again. */
    Part part();

    /** The sheet that it is about; empty if it is about the whole project. */
    default Optional<UUID> sheet() {
        return Optional.empty();
    }

    /** One that is about a single sheet. */
    sealed interface OnSheet extends Effect {
        UUID onSheet();

        @Override
        default Optional<UUID> sheet() {
            return Optional.of(onSheet());
        }
    }

    /** Fills of a layer's cells, strokes and shadows. */
    record Filled(UUID onSheet, UUID layer, Change change) implements OnSheet {
        @Override
        public Effect inverse() {
            return new Filled(onSheet, layer, change.inverse());
        }

        @Override
        public Part part() {
            return Part.FILLS_AND_DAMS;
        }
    }

    /** Dams and the reach of a layer. */
    record Dammed(UUID onSheet, UUID layer, DamChange change) implements OnSheet {
        @Override
        public Effect inverse() {
            return new Dammed(onSheet, layer, change.inverse());
        }

        @Override
        public Part part() {
            return Part.FILLS_AND_DAMS;
        }
    }

    /** A layer with other cells took the place of another, by a new analysis, a dam drawn by hand, or other shapes. What it wears follows from what the other wore. */
    record Recut(UUID onSheet, UUID before, UUID after) implements OnSheet {
        @Override
        public Effect inverse() {
            return new Recut(onSheet, after, before);
        }

        @Override
        public Part part() {
            return Part.CELLS;
        }
    }

    /** The groups of a layer. */
    record Grouped(UUID onSheet, UUID layer, CellGroups before, CellGroups after) implements OnSheet {
        @Override
        public Effect inverse() {
            return new Grouped(onSheet, layer, after, before);
        }

        @Override
        public Part part() {
            return Part.GROUPS;
        }
    }

    /** Shadows and rims of a layer; what they wear is {@link Filled}. */
    record Shaded(UUID onSheet, UUID layer, List<Shadows.Swap> swaps) implements OnSheet {
        public Shaded {
            swaps = List.copyOf(swaps);
        }

        @Override
        public Effect inverse() {
            return new Shaded(
                    onSheet, layer, swaps.stream().map(Shadows.Swap::inverse).toList());
        }

        @Override
        public Part part() {
            return Part.SHADOWS;
        }
    }

    /** The layers of a sheet: their order, and how each stands. */
    record Stacked(UUID onSheet, Stack before, Stack after) implements OnSheet {
        @Override
        public Effect inverse() {
            return new Stacked(onSheet, after, before);
        }

        @Override
        public Part part() {
            return Part.LAYERS;
        }
    }

    /** The page frame of a sheet; empty where it is page all over. */
    record Framed(UUID onSheet, Optional<Box> before, Optional<Box> after) implements OnSheet {
        @Override
        public Effect inverse() {
            return new Framed(onSheet, after, before);
        }

        @Override
        public Part part() {
            return Part.PAGE_FRAME;
        }
    }

    /** The reference picture that lies on a sheet; empty where none does. */
    record Referenced(UUID onSheet, Optional<Reference> before, Optional<Reference> after) implements OnSheet {
        @Override
        public Effect inverse() {
            return new Referenced(onSheet, after, before);
        }

        @Override
        public Part part() {
            return Part.REFERENCE;
        }
    }

    /** What happens where two colours of a sheet's ink meet. */
    record Met(UUID onSheet, Meeting before, Meeting after) implements OnSheet {
        @Override
        public Effect inverse() {
            return new Met(onSheet, after, before);
        }

        @Override
        public Part part() {
            return Part.LINE_MEETING;
        }
    }

    /** Who is on a sheet, told by cards. */
    record Cast(UUID onSheet, List<UUID> before, List<UUID> after) implements OnSheet {
        public Cast {
            before = List.copyOf(before);
            after = List.copyOf(after);
        }

        @Override
        public Effect inverse() {
            return new Cast(onSheet, after, before);
        }

        @Override
        public Part part() {
            return Part.CAST;
        }
    }

    /** The cards of the project. */
    record Cards(CardsChange change) implements Effect {
        @Override
        public Effect inverse() {
            return new Cards(change.inverse());
        }

        @Override
        public Part part() {
            return Part.PALETTE;
        }
    }

    /** Lights and wardrobes, and where they are used: those entries of the staging that are different. */
    record Staged(Map<String, String> before, Map<String, String> after) implements Effect {
        public Staged {
            before = Map.copyOf(before);
            after = Map.copyOf(after);
        }

        @Override
        public Effect inverse() {
            return new Staged(after, before);
        }

        @Override
        public Part part() {
            return Part.PALETTE;
        }
    }
}
