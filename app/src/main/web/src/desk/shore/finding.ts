import { byId } from "../../shared/dom";
import type { Hand } from "../hand/hand";
import type { Shore } from "./shore";

/** The field in which a swatch is looked for: what is typed leaves only what it finds standing out, and Enter takes the first. */
export function findSwatches(shore: Shore, hand: Hand): () => void {
  const field = byId<HTMLInputElement>("shore-find");
  const leave = () => {
    field.value = "";
    shore.find("");
    byId("sheet").focus();
  };
  field.addEventListener("input", () => shore.find(field.value.trim()));
  field.addEventListener("keydown", (event) => {
    if (event.key === "Escape") {
      leave();
      event.preventDefault();
    } else if (event.key === "Enter") {
      const found = shore.find(field.value.trim());
      if (found === undefined) {
        hand.said.set("No swatch here is called or coloured like that");
      } else {
        leave();
        hand.hold(found);
      }
      event.preventDefault();
    }
  });
  return () => field.focus();
}
