import { FillTexts, Layer, SheetRegions } from "rules";
import { NO_FILL } from "./state";

/** So many that the browser compiles what is run again and again. */
const ROUNDS = 200;
const COUNT = 64;

/**
 * Runs the rules on a row of small cells while the planes of the real sheet are on their way, so that the first fill and the first drag of the reach do not wait for
 * the browser to compile them.
 */
export function warmUp(): void {
  const cells = [...Array(COUNT).keys()];
  const pairs = cells.slice(1).flatMap((cell) => [cell - 1, cell]);
  const layer = new Layer(
    COUNT,
    1,
    cells.flatMap((cell) => [1, cell, 0, 1, 1, cell, 0]),
    cells.map(() => 1),
    cells.slice(1).flatMap((cell) => [cell - 1, cell, 1]),
  );
  layer.openAt(
    1,
    pairs,
    cells.slice(1).flatMap((cell) => [2, cell / COUNT]),
    cells.slice(1).map(() => 2),
    cells.slice(1).flatMap((cell) => [cell - 1, 0, cell, 0]),
  );
  const regions = new SheetRegions(layer);
  regions.load(0.5, [], [], []);
  for (let round = 0; round < ROUNDS; round++) {
    regions.preview((round % COUNT) / COUNT);
    regions.ofCells();
    regions.spill(round % COUNT);
    regions.shape(0);
    FillTexts.laying(
      NO_FILL,
      cells.map(() => NO_FILL),
    );
  }
}
