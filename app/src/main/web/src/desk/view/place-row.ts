import { button, el, whilePointedAt } from "../../shared/build";

/** A place of the sheet in a list: a picture of it from close by, what is the matter there, and what can be done. */
export interface PlaceRow {
  readonly title: string;
  readonly note: string;
  readonly noteTitle?: string;
  readonly acts: HTMLElement;
  paint(picture: HTMLCanvasElement): void;
  go(): void;
  /** While it is pointed at. */
  begin(): void;
  end(): void;
}

export function placeRow({
  title,
  note,
  noteTitle = "",
  acts,
  paint,
  go,
  begin,
  end,
}: PlaceRow): HTMLElement {
  const picture = el("canvas", { width: 168, height: 128 });
  paint(picture);
  const text = el(
    "div",
    {},
    button("gap-title min-h-[24px] font-semibold text-left", title, go),
    el("p", { className: "quiet", title: noteTitle }, note),
  );
  const row = el("li", { className: "place-row" }, picture, text, acts);
  whilePointedAt(row, begin, end);
  return row;
}
