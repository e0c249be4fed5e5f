import type { Desk } from "../hand/desk";
import type { OpenShore } from "../shore/open";
import { Kinds } from "./kinds";

/** Gradients, patterns and opacities. */
export function openKinds(desk: Desk, { lights, mixing }: OpenShore): Kinds {
  const { regions, fills, work, hand, view, gathering, overlay, motifs, commands } = desk;
  const kinds = new Kinds(
    desk.project,
    desk.path,
    regions,
    fills,
    work,
    hand,
    view,
    gathering,
    overlay,
    motifs,
    () => lights.kept,
    () => mixing.renew(),
  );
  desk.tools.addMode(() => kinds.isOpen, kinds);
  commands.add(
    {
      name: "kind-here",
      keys: ["Shift X"],
      chapter: "Fill",
      tells: "a gradient, pattern or opacity for the region, or for what is gathered",
      entry: { menu: "region", label: () => "Gradient, pattern, opacity" },
      run: () => (kinds.isOpen ? kinds.close() : kinds.openHere()),
    },
    {
      name: "gather-kind",
      chapter: "Gather",
      entry: { menu: "gathered", label: () => "Gradient, pattern, opacity" },
      run: () => kinds.open(gathering.gathered),
    },
    {
      name: "gather-pattern",
      chapter: "Gather",
      entry: { menu: "gathered", label: () => "Make a pattern of it" },
      run: () => void kinds.makePattern(),
    },
  );
  commands.atRest(() => kinds.close());
  return kinds;
}
