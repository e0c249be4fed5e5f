import type { Desk } from "../hand/desk";
import type { Mixing } from "../shore/mixing";
import { InkGathering } from "./ink-gathering";
import { LineTool } from "./line-tool";
import { LinesPanel } from "./lines-panel";

/** The colours of ink. */
export function openLines(desk: Desk, mixing: Mixing): LinesPanel {
  const { path, state, strokes, fills, regions, work, hand, view, gathering } = desk;
  const tool = new LineTool(strokes, fills, work, hand, view);
  desk.tools.add({
    name: "line",
    keys: ["Shift L"],
    chapter: "Tools",
    tells: "colour ink: click, sweep; Alt black again, Shift all of that colour, Ctrl gathers it",
    hint: "Click ink or sweep over it. Alt: black again. Shift: all ink of that colour.",
    strip: {
      label: "Line",
      help: "Colours the ink: click a stroke, sweep over several, or give all ink a shade of what lies beside it.",
      icon: '<path d="M4 19c3-1 3-7 6-8s4 3 6 1 1-6 4-8M4 19l-.6 1.600" />',
      place: 6,
    },
    drawing: tool,
    gathering: new InkGathering(tool, strokes, gathering),
  });
  hand.pointer.listen((at) => tool.pointAt(at));
  const panel = new LinesPanel(
    path,
    strokes,
    fills,
    regions,
    work,
    hand,
    view,
    gathering,
    mixing,
    state.lineMeeting,
  );
  desk.parts.follow("LINE_MEETING", () => panel.renewMeeting());
  return panel;
}
