import type { Desk } from "../hand/desk";
import { Groups } from "./groups";
import { LedgerDrawer } from "./ledger-drawer";

/** What the sheet wears, and its groups. */
export function openLedger(desk: Desk): Groups {
  const { path, regions, fills, work, hand, view, gathering, overlay, stack, column } = desk;
  const groups = new Groups(path, regions, fills, work, hand, view, gathering);
  const drawer = new LedgerDrawer(regions, fills, work, view, gathering, groups, path, overlay, stack);
  column.add("ledger", drawer);
  desk.tools.addMode(() => drawer.frame.isDrawing, drawer.frame);
  desk.commands.add({
    name: "ledger",
    keys: ["H"],
    chapter: "Panels",
    tells: "show or hide the ledger",
    run: () => column.toggle("ledger"),
  });
  desk.parts.follow("GROUPS", () => groups.load());
  desk.parts.follow("PAGE_FRAME", () => drawer.frame.load());
  return groups;
}
