import type { Gap as FoundGap } from "messages";

import { call } from "../../shared/http";
import type { Opening } from "../model/openings";
import type { Regions } from "../model/regions";

/** All openings between the same two pieces: one gap, or several of one outline, dammed or left open together. */
export interface Gap extends Omit<FoundGap, "openings"> {
  /** The narrowest first. */
  readonly openings: Opening[];
}

/** The gaps of a sheet under the dams of the desk, in the order in which they are worth a look. */
export async function listGaps(path: string, regions: Regions): Promise<Gap[]> {
  const { openings } = regions;
  if (openings.all.length === 0) {
    return [];
  }
  const gaps = await call<FoundGap[]>(`${path}/gaps`, regions.dams());
  return regions.openings === openings
    ? gaps.map((gap) => ({ ...gap, openings: gap.openings.map((index) => openings.all[index]!) }))
    : [];
}
