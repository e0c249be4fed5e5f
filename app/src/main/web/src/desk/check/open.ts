import type { Desk } from "../hand/desk";
import type { Kinds } from "../kinds/kinds";
import { CheckDrawer } from "./check-drawer";

/** What was missed on the sheet. */
export function openCheck(desk: Desk, kinds: Kinds): void {
  const { regions, fills, work, hand, view, crop, column } = desk;
  const drawer = new CheckDrawer(regions, fills, work, hand, view, crop, (cells) => kinds.open(cells));
  column.add("check", drawer);
  desk.commands.add({
    name: "check",
    keys: ["Y"],
    chapter: "Panels",
    tells: "show or hide the check",
    run: () => column.toggle("check"),
  });
}
