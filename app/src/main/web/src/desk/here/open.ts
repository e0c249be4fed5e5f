import { byId } from "../../shared/dom";
import type { Point } from "../geometry/camera";
import type { Desk } from "../hand/desk";
import type { Opening } from "../model/openings";
import type { Fill } from "../model/state";
import { Handful } from "./handful";
import { Here } from "./here";
import { RegionMenu } from "./region-menu";

/** What else can be reached from the region pointed at. */
export interface FromHere {
  showOpenings(openings: Opening[]): void;
  colourInk(cells: readonly number[], fill: Fill): void;
  /** Tells of the layers at a place of the canvas. */
  tellLayers(at: Point): void;
}

/** What lies at the region pointed at, and what is likely there. */
export function openHere(desk: Desk, { showOpenings, colourInk, tellLayers }: FromHere): void {
  const { path, canvas, regions, fills, work, hand, view, gathering, commands, pointer } = desk;
  const handful = new Handful(path, canvas, regions, fills, hand, view);
  const here = new Here(path, hand, fills, regions, work, gathering, showOpenings, colourInk);
  commands.add(
    {
      name: "handful",
      keys: ["Shift O"],
      chapter: "Fill",
      tells: "a handful of what is likely for the region pointed at; then a digit",
      run: () => void handful.toggle(),
    },
    {
      name: "handful-take",
      keys: ["1", "2", "3", "4", "5", "6", "7", "8", "9"],
      chapter: "Fill",
      run: (event) => handful.takeByKey(event!.key),
    },
    ...here.commands(),
  );
  commands.tell({
    chapter: "Fill",
    gesture: "second button, press and hold",
    tells: "all that can be done with a region",
  });
  commands.onEscape(() => handful.close());
  const menu = new RegionMenu(byId("region-menu"), canvas, hand, here, commands, tellLayers);
  pointer.openMenu = (at) => menu.open(at);
  pointer.holding = {
    held: (at) => handful.hold(at, () => menu.open(at)),
    moves: (event) => handful.pointOver(event),
    ends: (event) => handful.letGoOver(event),
  };
}
