import type { Direction } from "../model/regions";
import type { SheetView } from "../view/sheet-view";
import type { Command } from "./commands";
import type { Hand } from "./hand";
import type { Tool } from "./tools";

const ZOOM_STEP = 1.25;
const WALKS: readonly (readonly [string, Direction])[] = [
  ["Left", "LEFT"],
  ["Right", "RIGHT"],
  ["Up", "UP"],
  ["Down", "DOWN"],
];

/** The tools that every sheet has, whatever is on it. */
export const FILL: Tool = {
  name: "fill",
  chapter: "Tools",
  gesture: "click, or press and sweep",
  tells: "fill with the present swatch; with Shift only what wears the fill that the sweep began on",
  hint: "",
  strip: {
    label: "Fill",
    help: "Click a region to fill it; press and sweep to fill all that you pass.",
    icon: '<path d="M12 3c4 4.600 6 7.700 6 10.600A6 6 0 0 1 6 13.600C6 10.700 8 7.600 12 3Z" />',
    place: 1,
  },
};

export const SAMPLE: Tool = {
  name: "sample",
  chapter: "Tools",
  hint: "Click a region to take its fill into the hand.",
  strip: {
    label: "Sample",
    help: "Takes the fill of the next region you click into the hand; holding Alt does the same.",
    icon: '<circle cx="12" cy="12" r="7.500" /><circle cx="12" cy="12" r="2" class="solid" />',
    key: "S",
    place: 4,
  },
};

/** What the hand does to what it points at. */
export function handCommands(hand: Hand): Command[] {
  const laid = (label: string, fill: string | undefined) => fill && `${label} ${fill}`;
  return [
    {
      name: "fill-here",
      keys: ["Enter"],
      isOnSheet: true,
      chapter: "Fill",
      tells: "fill the region pointed at",
      entry: { menu: "region", label: () => `Fill with ${hand.offers.present}` },
      run: () => hand.fillHere(),
    },
    {
      name: "take-here",
      keys: ["S"],
      chapter: "Fill",
      gesture: "Alt and click",
      tells: "take the fill of a region into the hand",
      entry: { menu: "region", label: () => `Take ${hand.offers.here} into the hand` },
      run: () => hand.sampleOrWait(),
    },
    {
      name: "copy-here",
      keys: ["Ctrl C"],
      chapter: "Fill",
      tells: "copy the fill pointed at",
      entry: { menu: "region", label: () => `Copy ${hand.offers.here}` },
      run: () => hand.copy(),
    },
    {
      name: "paste-here",
      keys: ["Ctrl V"],
      chapter: "Fill",
      tells: "lay the copied fill here",
      entry: { menu: "region", label: () => laid("Lay the copied", hand.offers.copied) },
      run: () => hand.paste(),
    },
    {
      name: "again-here",
      keys: ["A"],
      chapter: "Fill",
      tells: "lay the last fill again, here",
      entry: { menu: "region", label: () => hand.offers.last && `Lay ${hand.offers.last} again` },
      run: () => hand.again(),
    },
    {
      name: "again-at-next",
      keys: ["Shift A"],
      chapter: "Fill",
      tells: "lay it on the next region without a fill",
      run: () => void (hand.walkToEmpty() && hand.again()),
    },
    {
      name: "clear-here",
      keys: ["Del"],
      chapter: "Fill",
      tells: "clear the region",
      entry: { menu: "region", label: () => "Clear" },
      run: () => hand.clearHere(),
    },
    {
      name: "swap",
      keys: ["O"],
      chapter: "Fill",
      tells: "swap with the other swatch",
      run: () => hand.swap(),
    },
    {
      name: "paler",
      keys: ["Shift ,"],
      chapter: "Fill",
      tells: "a paler tone of the swatch in the hand",
      run: () => hand.tone(-1),
    },
    {
      name: "stronger",
      keys: ["Shift ."],
      chapter: "Fill",
      tells: "a stronger one",
      run: () => hand.tone(1),
    },
    { name: "undo", keys: ["Ctrl Z"], chapter: "Fill", tells: "undo", run: () => hand.undo() },
    {
      name: "redo",
      keys: ["Ctrl Y", "Ctrl Shift Z"],
      chapter: "Fill",
      tells: "redo",
      run: () => hand.redo(),
    },
    {
      name: "next-empty",
      keys: ["E"],
      chapter: "Fill",
      tells: "go to the next region without a fill",
      run: () => hand.walkToEmpty(),
    },
    ...WALKS.map(([key, direction], at): Command => ({
      name: `walk-${key}`,
      keys: [key],
      isOnSheet: true,
      chapter: "Sheet",
      written: "arrows",
      ...(at === 0 && { tells: "walk from region to region" }),
      run: () => hand.walk(direction),
    })),
    {
      name: "bigger",
      keys: ["W"],
      chapter: "Gaps",
      gesture: "Alt and wheel",
      tells: "region bigger, here only",
      run: () => hand.step(1),
    },
    {
      name: "smaller",
      keys: ["Q"],
      chapter: "Gaps",
      tells: "region smaller, here only",
      run: () => hand.step(-1),
    },
  ];
}

/** How the sheet is moved and sized. */
export function viewCommands(view: SheetView): Command[] {
  return [
    {
      name: "larger",
      keys: ["+", "="],
      chapter: "Sheet",
      gesture: "wheel",
      tells: "larger",
      run: () => view.zoomBy(ZOOM_STEP),
    },
    {
      name: "smaller-sheet",
      keys: ["-"],
      chapter: "Sheet",
      tells: "smaller",
      run: () => view.zoomBy(1 / ZOOM_STEP),
    },
    { name: "fit", keys: ["Home"], chapter: "Sheet", tells: "fit the sheet", run: () => view.fit() },
    {
      name: "actual-size",
      keys: ["End"],
      chapter: "Sheet",
      tells: "actual size",
      run: () => view.zoomTo(1 / devicePixelRatio),
    },
  ];
}
