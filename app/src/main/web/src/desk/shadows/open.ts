import type { Desk } from "../hand/desk";
import type { Groups } from "../ledger/groups";
import { ShadowCalls } from "./shadow-calls";
import { ShadowTool } from "./shadow-tool";
import { ShadowsPanel } from "./shadows-panel";

/** Shadows, rims, grain and soft edges. */
export function openShadows(desk: Desk, groups: Groups): ShadowCalls {
  const { path, shadows, fills, regions, work, hand, view, gathering, overlay, commands } = desk;
  const calls = new ShadowCalls(path, shadows, fills, work, view, groups);
  const panel = new ShadowsPanel(
    shadows,
    calls,
    fills,
    regions,
    work,
    hand,
    view,
    gathering,
    groups,
    overlay,
  );
  const tool = new ShadowTool(view, overlay, hand, panel);
  desk.tools.add({
    name: "shadow",
    keys: ["Shift S"],
    chapter: "Tools",
    tells:
      "shadows: draw around, or click points and Enter; a click on the line adds a point; on a point arrows move it, C makes a corner, Del drops it",
    hint: "Draw around what is to be in shadow, or click point by point. A click on a shadow opens it.",
    strip: {
      label: "Shadow",
      help: "Draws shadows that stay inside their base, strips of shadow on one side, and rims around figures.",
      icon: '<circle cx="12" cy="12" r="8" /><path d="M18 6.700A8 8 0 1 1 6.700 18c6 0 11.300-4.500 11.300-11.300Z" class="solid" />',
      place: 7,
    },
    drawing: tool,
  });
  commands.add(
    { name: "shadow-back", keys: ["Del"], chapter: "Tools", run: () => tool.back() },
    { name: "shadow-finish", keys: ["Enter"], isOnSheet: true, chapter: "Tools", run: () => tool.close() },
  );
  commands.onEscape(() => {
    const isBegun = tool.isOpen || panel.letGo();
    if (isBegun) {
      tool.drop();
    }
    return isBegun;
  });
  desk.parts.follow("SHADOWS", () => calls.load().then(() => work.tellElsewhere()));
  return calls;
}
