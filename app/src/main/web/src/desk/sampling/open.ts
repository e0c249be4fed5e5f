import type { ReferenceLayer } from "../blockin/reference";
import type { Desk } from "../hand/desk";
import type { Mixing } from "../shore/mixing";
import { Sampling } from "./sampling";

/** Colours taken from what is seen. */
export function openSampling(desk: Desk, mixing: Mixing, reference: ReferenceLayer): void {
  const { view, overlay, hand, fills } = desk;
  desk.tools.add({
    name: "colour",
    keys: ["Shift C"],
    chapter: "Tools",
    tells:
      "sample a colour: the mean of a disc, over all or over one layer; its values are shown beside the pointer",
    hint: "Click or drag to sample the mean of a disc; what to do with it is chosen beside the sheet.",
    drawing: new Sampling(view, overlay, hand, fills, mixing, reference),
  });
}
