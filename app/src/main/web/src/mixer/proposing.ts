import { askWhy } from "../shared/why";
import type { Edit, PaletteCalls } from "./palette-calls";

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
