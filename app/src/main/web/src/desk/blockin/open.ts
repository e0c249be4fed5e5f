import type { Desk } from "../hand/desk";
import type { NewCells } from "../hand/new-cells";
import type { OpenShore } from "../shore/open";
import type { EvenHandles } from "../view/even-handles";
import { ReferenceLayer } from "./reference";
import { ShapeSheet } from "./shape-sheet";
import { ShapesPanel } from "./shapes-panel";
import { Suggestions } from "./suggestions";

/** Shapes, and the reference picture that they are drawn over. */
export function openBlockIn(
  desk: Desk,
  newCells: NewCells,
  { mixing, ramp }: OpenShore,
  handles: EvenHandles,
): ReferenceLayer {
  const { path, layer, ink, fills, regions, view, work, hand, stack, overlay, commands } = desk;
  const sheet = new ShapeSheet(path, layer, ink, fills, regions, view, work, hand, newCells);
  const panel = new ShapesPanel(path, sheet, stack, hand, view, work, overlay, ramp, handles);
  const reference = new ReferenceLayer(path, view, work, hand);
  new Suggestions(path, sheet, overlay, mixing, regions.map.plane);
  desk.tools.addMode(() => reference.isPlacing.get(), reference);
  desk.tools.add({
    name: "shape",
    keys: ["Shift B"],
    chapter: "Tools",
    tells:
      "shapes: draw, click points and Enter, or divide; Alt and press chooses and moves, Shift adds; arrows move, Del removes; on a point C makes a corner, Alt moves it alone",
    hint: "Draw a shape, or click one to edit it. Alt and press: choose, move or draw around several.",
    strip: {
      label: "Shape",
      help: "Draws closed shapes that are filled as regions are; divides them; lays a reference picture on the sheet.",
      icon: '<path d="M4 19c-1-7 3-10 8-8s5 6 4 8Z" class="solid" /><path d="M9 9c1-5 8-6 10-1s-1 8-2 9" />',
      place: 8,
    },
    drawing: panel.tool,
    isReady: () => sheet.isBlockedIn,
  });
  commands.add(
    { name: "shape-back", keys: ["Del"], chapter: "Tools", run: () => panel.tool.back() },
    {
      name: "shape-finish",
      keys: ["Enter"],
      isOnSheet: true,
      chapter: "Tools",
      run: () => panel.tool.close(),
    },
    {
      name: "reference",
      keys: ["Shift R"],
      chapter: "Look",
      tells: "hide or show the reference picture",
      run: () => reference.toggle(),
    },
    {
      name: "shapes-key",
      keys: ["Left", "Right", "Up", "Down", "Del"],
      chapter: "Tools",
      run: (event) => panel.key(event!),
    },
  );
  commands.onEscape(() => hand.has("shape") && panel.letGo());
  desk.parts.follow("REFERENCE", () => reference.load());
  return reference;
}
