import { byId } from "../../shared/dom";
import type { Desk } from "../hand/desk";
import { Company } from "./company";

/** Who else has the sheet open. */
export function openTogether({ path, state, live, hand, regions, view, commands }: Desk): void {
  const company = new Company(path, state.sheet, byId("desk").dataset["person"]!, live, hand, regions, view);
  commands.add({
    name: "seen",
    chapter: "Look",
    entry: {
      menu: "look",
      label: () => "Others see where I point",
      state: () => (company.isSeen ? "on" : "off"),
      help: "Lays a stone with your initial on the region you point at, for whoever has the sheet open too.",
      part: 2,
    },
    run: () => company.turn(),
  });
}
