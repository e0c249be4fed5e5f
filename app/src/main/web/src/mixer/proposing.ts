import { askWhy } from "../shared/why";
import type { Instead } from "./mixer";
import type { CardState, Edit, PaletteCalls, SwatchState } from "./palette-calls";

/** What the mixer does with a swatch of a locked card: the lead is asked. */
export function proposing(calls: PaletteCalls, card: CardState, swatch: SwatchState): Instead {
  return {
    label: `Propose it for ${swatch.name}`,
    take: (colour) => propose(calls, card.name, [{ kind: "CHANGE", swatch: swatch.id, colour }]),
  };
}

/** Asks why, and sends edits of a locked card to the lead; undefined if it was left. */
export async function propose(calls: PaletteCalls, card: string, edits: Edit[]): Promise<string | undefined> {
  const reason = await askWhy(
    `Propose it for ${card}`,
    "The card is locked. The lead sees this before and after on every sheet, and decides.",
  );
  if (!reason) {
    return undefined;
  }
  await calls.propose(edits, reason);
  return "Proposed to the lead";
}
