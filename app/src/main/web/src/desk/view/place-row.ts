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
  const row = el(
    "li",
    {
      className:
        "gap grid grid-cols-[84px_minmax(0,1fr)] gap-[0.7rem] py-[0.55rem] px-[0.7rem] border-t border-t-line [&_canvas]:w-[84px] [&_canvas]:h-[64px] [&_canvas]:rounded-[8px] [&_canvas]:border [&_canvas]:border-line [&_.quiet]:text-[0.88rem] [&_.quiet]:leading-[1.25] [&.is-chosen]:bg-[oklch(0.99_0_0)] [&.is-chosen_.gap-acts]:flex [&:focus-within_.gap-acts]:flex [&:hover_.gap-acts]:flex [&_.check-act]:p-0",
    },
    picture,
    text,
    acts,
  );
  whilePointedAt(row, begin, end);
  return row;
}
