import { byId } from "../../shared/dom";
import type { Desk } from "../hand/desk";
import type { SmallPicture } from "../view/small-picture";
import { Beside } from "./beside";
import { LayeredSmall } from "./layered-small";
import { LayersPanel } from "./layers-panel";

/** The layers of the sheet. */
export function openLayers(desk: Desk, small: SmallPicture): LayersPanel {
  const { path, stack, regions, work, view, gathering, hand, column, commands } = desk;
  const beside = new Beside(path, stack, regions.map.plane, view);
  const panel = new LayersPanel(path, stack, beside, work, view, gathering);
  const pictures = ["present-picture", "map-picture"].map((id) => byId<HTMLCanvasElement>(id));
  const layeredSmall = new LayeredSmall(pictures, path, stack, work, small);
  work.changedElsewhere.listen(() => {
    if (stack.isLayered) {
      void beside.renew();
      layeredSmall.renewSoon();
    }
  });
  column.add("layers", panel);
  desk.tools.addMode(() => panel.move.isOn.get(), panel.move);
  commands.add(
    {
      name: "layers",
      keys: ["Shift P"],
      chapter: "Layers",
      tells: "show or hide the layers",
      run: () => column.toggle("layers"),
    },
    {
      name: "layer-behind",
      keys: ["Shift J"],
      chapter: "Layers",
      tells: "the next layer behind",
      run: () => stack.step(1) || hand.said.set("This is the layer at the back"),
    },
    {
      name: "layer-in-front",
      keys: ["Shift K"],
      chapter: "Layers",
      tells: "the next in front",
      run: () => stack.step(-1) || hand.said.set("This is the layer in front"),
    },
    {
      name: "layer-alone",
      keys: ["Shift U"],
      chapter: "Layers",
      tells: "only this one",
      run: () => panel.toggleOthers(),
    },
    {
      name: "layer-move",
      keys: ["Shift V"],
      chapter: "Layers",
      tells: "move the layer: drag it, or arrows; with Shift by ten pixels",
      run: () => panel.toggleMove(),
    },
    {
      name: "gather-layer",
      chapter: "Gather",
      entry: { menu: "gathered", label: () => "Make it a layer of its own" },
      run: () => void panel.splitOff(),
    },
  );
  commands.atRest(() => panel.move.isOn.set(false));
  desk.parts.follow("LAYERS", () => panel.renew());
  return panel;
}
