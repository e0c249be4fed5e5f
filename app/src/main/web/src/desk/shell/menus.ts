import { byId } from "../../shared/dom";
import type { Commands } from "../hand/commands";
import { Entries } from "../hand/entries";
import type { Look } from "./look";

/** Fills the menus of the header and of what is gathered; an entry says what it would do just when its menu is opened. */
export function fillMenus(commands: Commands, look: Look): void {
  const looks: Entries = new Entries(byId("look-menu"), commands, "look", () => looks.renew());
  look.changed.listen(() => looks.renew());
  const gathered = new Entries(byId("gather-menu"), commands, "gathered");
  byId("gather-more").addEventListener("click", () => gathered.renew());
}
