import { byId } from "../../shared/dom";
import type { Desk } from "../hand/desk";
import { Lights } from "../view/lights";
import { Adjusting } from "./adjusting";
import { Carried } from "./carried";
import { chooseCards } from "./choice";
import { dropPebbles } from "./drag";
import { findSwatches } from "./finding";
import { nameWhatIsPointedAt } from "./name-tag";
import { Mixing } from "./mixing";
import type { RegionShape } from "../model/regions";
import { Ramp, type RampPart } from "./ramp";
import { Shore } from "./shore";

export interface OpenShore {
  readonly lights: Lights;
  readonly mixing: Mixing;
  readonly ramp: Ramp;
}

const DIGITS = ["1", "2", "3", "4", "5", "6", "7", "8", "9", "0"];

/** The cards, and what is done with the colours on them. */
export function openShore(desk: Desk): OpenShore {
  const { path, state, canvas, hand, fills, regions, work, view, gathering, commands, live } = desk;
  const shore = new Shore(hand, fills);
  chooseCards(path, shore, work);
  nameWhatIsPointedAt(hand, fills);
  const lights = new Lights(state.palette, fills);
  const mixing = new Mixing(path, hand, fills, regions, work, view, shore, live, lights);
  const ramp = new Ramp(hand, fills, work, mixing);
  const adjusting = new Adjusting(fills, work, gathering, mixing);
  dropPebbles(
    byId("shore"),
    canvas,
    new Carried(byId("carried"), canvas, hand, fills),
    hand,
    (dragged, onto, at) => mixing.meet(dragged, onto, at),
    (dragged, card) => mixing.putOn(dragged, card),
  );
  commands.tell({
    chapter: "Fill",
    gesture: "drag a pebble to a region",
    tells: "fill it and keep the present swatch",
  });
  commands.add(
    ...DIGITS.map((digit, at) => ({
      name: `hold-${digit}`,
      keys: [digit],
      chapter: "Fill" as const,
      written: "1 to 0",
      ...(at === 0 && { tells: "take a swatch of the shore" }),
      run: () => shore.holdByKey(digit),
    })),
    {
      name: "last-swatch",
      keys: [","],
      chapter: "Fill",
      tells: "step back along the shore",
      run: () => shore.step(-1),
    },
    {
      name: "next-swatch",
      keys: ["."],
      chapter: "Fill",
      tells: "step on along the shore",
      run: () => shore.step(1),
    },
    {
      name: "last-card",
      keys: ["Ctrl ,"],
      chapter: "Fill",
      tells: "the card before on the shore",
      run: () => shore.stepCard(-1),
    },
    {
      name: "next-card",
      keys: ["Ctrl ."],
      chapter: "Fill",
      tells: "the next card on the shore",
      run: () => shore.stepCard(1),
    },
    {
      name: "find-swatch",
      keys: ["/"],
      chapter: "Fill",
      tells: "find a swatch by name or hex code",
      run: findSwatches(shore, hand),
    },
    {
      name: "mix",
      keys: ["X"],
      chapter: "Tools",
      gesture: "a double click on a pebble",
      tells: "mix the colour in the hand",
      strip: {
        label: "Mix",
        help: "Mixes the colour in the hand: changes the swatch everywhere, or makes a new one.",
        icon: '<path d="M4 15c2.700 3.600 13.300 3.600 16 0M4 15c0-3 3.500-5 8-5s8 2 8 5M12 10V3M9 5.500 12 3l3 2.500" />',
        place: 9,
      },
      run: () => void mixing.open(),
    },
    {
      name: "light",
      keys: ["M"],
      chapter: "Look",
      tells: "as drawn, under its own light, under others",
      run: () => lights.next(),
    },
    {
      name: "gather-adjust",
      chapter: "Gather",
      entry: { menu: "gathered", label: () => "Adjust their colours" },
      run: () => adjusting.open(),
    },
    {
      name: "gather-ramp",
      chapter: "Gather",
      entry: {
        menu: "gathered",
        label: () =>
          gathering.count.get() < 2
            ? "Ramp: gather two regions or more"
            : `Ramp over ${gathering.count.get()} regions`,
        isIdle: () => gathering.count.get() < 2,
      },
      run: () => ramp.open(gathering.inOrder.map(rampPart), () => gathering.letGo()),
    },
  );
  commands.onEscape(() => ramp.close());
  commands.atRest(() => {
    adjusting.close();
    mixing.close();
  });
  desk.parts.follow("CAST", () => mixing.renew());
  desk.parts.follow("PALETTE", () => mixing.renew().then(() => work.tellElsewhere()));
  return { lights, mixing, ramp };
}

function rampPart({ cells, deepestX, deepestY, width }: RegionShape): RampPart {
  return { cells, x: deepestX, y: deepestY, width };
}
