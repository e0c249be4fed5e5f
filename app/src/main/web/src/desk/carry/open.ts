import type { Desk } from "../hand/desk";
import type { NewCells } from "../hand/new-cells";
import type { Groups } from "../ledger/groups";
import type { ShadowCalls } from "../shadows/shadow-calls";
import { CarryDrawer } from "./carry-drawer";

/** Fills brought over from other sheets. */
export function openCarry(desk: Desk, shadowCalls: ShadowCalls, groups: Groups, newCells: NewCells): void {
  const { path, regions, fills, work, hand, view, gathering, crop, column } = desk;
  const drawer = new CarryDrawer(
    path,
    regions,
    fills,
    work,
    hand,
    view,
    gathering,
    crop,
    shadowCalls,
    groups,
    newCells,
  );
  hand.cell.listen((cell) => drawer.pointAt(cell));
  column.add("carry", drawer);
  const whileBusy = (name: string, key: string, tells: string, run: () => unknown) => ({
    name: `carry-${name}`,
    keys: [key],
    chapter: "Carry" as const,
    tells,
    isMeant: () => drawer.isBusy,
    run,
  });
  desk.commands.add(
    {
      name: "carry",
      keys: ["Shift H"],
      chapter: "Carry",
      tells: "carry fills from other sheets; then",
      run: () => column.toggle("carry"),
    },
    whileBusy("take", "D", "take what is proposed", () => drawer.take()),
    whileBusy("choose", "L", "the next best", () => drawer.nextChoice()),
    whileBusy("next", "J", "go on", () => drawer.step(1)),
    whileBusy("last", "K", "go back", () => drawer.step(-1)),
  );
}
