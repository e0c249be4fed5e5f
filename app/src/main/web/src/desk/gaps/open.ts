import type { Desk } from "../hand/desk";
import type { NewCells } from "../hand/new-cells";
import type { Opening } from "../model/openings";
import type { EvenHandles } from "../view/even-handles";
import { DamTool } from "./dam-tool";
import { DamWalk } from "./dam-walk";
import { Evenly } from "./evenly";
import { GapsDrawer } from "./gaps-drawer";
import { Leak } from "./leak";
import { Pockets } from "./pockets";
import { ReachSlider } from "./reach-slider";

export interface OpenGaps {
  /** Shows openings in the list and on the sheet. */
  readonly show: (openings: Opening[]) => void;
}

/** Openings of the line art, and dams in them. */
export function openGaps(desk: Desk, newCells: NewCells, handles: EvenHandles): OpenGaps {
  const { path, regions, fills, work, hand, view, overlay, gathering, column, commands } = desk;
  const drawer = new GapsDrawer(regions, fills, work, hand, view, overlay, desk.crop, () =>
    column.toggle("gaps"),
  );
  column.add("gaps", drawer);
  hand.pointer.listen((at) => drawer.pointAt(at));
  new ReachSlider(regions, work);
  const pockets = new Pockets(regions, fills, work, hand);
  const leak = new Leak(regions, work, overlay, view, (cell) => hand.layOn(cell, hand.present.get()));
  hand.holdBackWhere((cell) => leak.holdsBack(cell));
  const damTool = new DamTool(path, newCells, regions, work, hand, view, overlay);
  desk.tools.add({
    name: "dam",
    keys: ["T"],
    chapter: "Tools",
    tells: "dam by hand: click, sweep, draw",
    hint: "Click an opening, sweep over several, or draw a line. Alt lifts; Shift brushes.",
    strip: {
      label: "Dam",
      help: "Click an opening to dam it or lift its dam; sweep over several to dam them all; draw a line where there is none. Alt lifts dams and joins regions across ink; Shift brushes.",
      icon: '<path d="M3 8c3 0 3 2 6 2M15 10c3 0 3-2 6-2M3 16c3 0 3 2 6 2M15 18c3 0 3-2 6-2M12 4v16" />',
      place: 5,
    },
    drawing: damTool,
  });
  const damWalk = new DamWalk(damTool, regions, hand, view, overlay);
  commands.add(...damWalk.commands());
  commands.onEscape(() => damWalk.leave());
  const evenly = new Evenly(gathering, regions, newCells, work, hand, view, overlay, handles);
  commands.add(
    {
      name: "gaps",
      keys: ["G"],
      chapter: "Panels",
      tells: "show or hide the gaps",
      run: () => column.toggle("gaps"),
    },
    { name: "next-gap", keys: ["J"], chapter: "Gaps", tells: "next gap", run: () => drawer.step(1) },
    { name: "last-gap", keys: ["K"], chapter: "Gaps", tells: "last gap", run: () => drawer.step(-1) },
    { name: "dam-gap", keys: ["D"], chapter: "Gaps", tells: "dam the gap", run: () => drawer.say("SHUT") },
    {
      name: "leave-gap",
      keys: ["L"],
      chapter: "Gaps",
      tells: "leave it open",
      run: () => drawer.say("OPEN"),
    },
    {
      name: "ink-gap",
      keys: ["I"],
      chapter: "Gaps",
      tells: "dam and ink it",
      run: () => drawer.say("INKED"),
    },
    {
      name: "pockets",
      keys: ["P"],
      chapter: "Fill",
      tells: "fill the pockets beside the last fill",
      run: () => pockets.take(),
    },
    {
      name: "dam-leak",
      keys: ["D"],
      chapter: "Gaps",
      isMeant: () => leak.isOpen,
      run: () => leak.damAndFill(),
    },
    {
      name: "gather-evenly",
      chapter: "Gather",
      entry: { menu: "gathered", label: () => "Divide evenly" },
      run: () => evenly.open(),
    },
  );
  commands.onEscape(() => pockets.close());
  commands.onEscape(() => evenly.close());
  commands.atRest(() => {
    leak.close();
    damTool.cancel();
  });
  return {
    show: (openings) => {
      if (!drawer.isOpen) {
        column.toggle("gaps");
      }
      overlay.mark(openings);
    },
  };
}
