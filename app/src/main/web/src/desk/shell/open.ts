import { byId } from "../../shared/dom";
import type { Desk } from "../hand/desk";
import { showMap } from "../view/small-map";
import { fillMenus } from "./menus";
import { KeySheet } from "./key-sheet";
import { Look } from "./look";
import {
  showDelivery,
  showHelp,
  showNotice,
  showProgress,
  showSteps,
  showZoom,
  tellWhenAway,
} from "./readouts";
import { showStrip } from "./tool-strip";

/** What lies around the sheet: the strip of tools, menus, the sheet of keys, what is said. To be opened when all commands are known. */
export function openShell({ view, fills, regions, hand, stack, work, tools, commands }: Desk): void {
  const look = new Look(view, fills, regions);
  commands.add(...look.commands());
  commands.tell({ chapter: "Sheet", gesture: "Space and drag, two fingers", tells: "move the sheet" });
  const keySheet = new KeySheet(byId<HTMLDialogElement>("keys"), commands);
  commands.add(
    {
      name: "keys",
      keys: ["?"],
      chapter: "Panels",
      tells: "this sheet of keys",
      run: () => keySheet.open(),
    },
    {
      name: "search",
      keys: ["Ctrl /"],
      chapter: "Sheet",
      tells: "search in all projects",
      run: () => location.assign("/search"),
    },
  );
  byId("help").addEventListener("click", () => keySheet.open());
  fillMenus(commands, look);
  showStrip(byId("tools"), hand, tools, commands);
  showHelp(hand, tools);
  showMap(view);
  showZoom(view);
  showProgress(fills, regions, hand, stack);
  showSteps(work, hand);
  showDelivery(work);
  showNotice(work);
  tellWhenAway(work);
  hand.said.listen((said) => (byId("said").textContent = said));
}
