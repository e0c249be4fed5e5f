import type { Desk } from "../hand/desk";
import type { Kinds } from "../kinds/kinds";
import { CheckDrawer } from "./check-drawer";
import { Differences } from "./differences";

/** What was missed on the sheet. */
export function openCheck(desk: Desk, kinds: Kinds): void {
  const { path, regions, fills, work, hand, view, crop, stack, column } = desk;
  const drawer = new CheckDrawer(
    path,
    regions,
    fills,
    work,
    hand,
    view,
    crop,
    (cells) => kinds.open(cells),
    (standing, cell) => stack.go(standing, cell),
    new Differences(path, regions, fills, work, hand, view, crop),
  );
  column.add("check", drawer);
  desk.commands.add({
    name: "check",
    keys: ["Y"],
    chapter: "Panels",
    tells: "show or hide the check",
    run: () => column.toggle("check"),
  });
}
