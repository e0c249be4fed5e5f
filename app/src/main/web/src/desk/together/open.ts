import { byId } from "../../shared/dom";
import type { Desk } from "../hand/desk";
import { Company } from "./company";

/** Who else has the sheet open. */
export function openTogether({ path, state, live, hand, regions, view }: Desk): void {
  new Company(path, state.sheet, byId("desk").dataset["person"]!, live, hand, regions, view);
}
