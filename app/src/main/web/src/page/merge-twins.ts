import { PaletteCalls } from "../mixer/palette-calls";
import { byId } from "../shared/dom";
import { renewPart } from "../shared/page-part";

/** Merges two colours that are hard to tell apart into the one that is kept, everywhere and as one change. */
export function mergeTwins(place: HTMLElement): void {
  const calls = new PaletteCalls(place.dataset["project"]!);
  const run = (work: Promise<unknown>) =>
    work.then(
      () => renewPart("page"),
      (error: Error) => (byId("said").textContent = error.message),
    );
  place.addEventListener("click", (event) => {
    const button = (event.target as Element).closest<HTMLElement>("[data-drop]");
    if (button) {
      run(
        calls.make([{ kind: "REMOVE", swatch: button.dataset["drop"]!, instead: button.dataset["keep"]! }]),
      );
    }
  });
  byId("take-back").addEventListener("click", () => run(calls.undo()));
}
