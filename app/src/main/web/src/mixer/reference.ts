import { el } from "../shared/build";
import type { PaletteCalls, PictureState } from "./palette-calls";

/** Of the picture's pixels: a colour is the mean of a small disc. */
const RADIUS_PX = 4;

/** The reference pictures of the project, to take a colour out of while mixing. */
export class Reference {
  readonly element = el(
    "details",
    {
      className:
        "mt-[6px] [&_img]:w-full [&_img]:max-h-[130px] [&_img]:object-fill [&_img]:rounded-[8px] [&_img]:cursor-crosshair",
    },
    el("summary", {}, "From a picture"),
  );
  private readonly choice = el("select", { "aria-label": "Reference picture", change: () => this.show() });
  private readonly picture = el("img", { alt: "Click to take the colour there", draggable: "false" });
  private pictures: PictureState[] = [];

  constructor(
    private readonly calls: PaletteCalls,
    private readonly taken: (hex: string) => void,
  ) {
    this.element.append(this.choice, this.picture);
    this.picture.addEventListener("click", (event) => void this.take(event));
    this.element.addEventListener("toggle", () => void this.load());
  }

  private async load(): Promise<void> {
    if (this.element.open && this.pictures.length === 0) {
      this.pictures = await this.calls.pictures();
      this.choice.replaceChildren(
        ...this.pictures.map((each) => el("option", { value: each.id }, each.title)),
      );
      this.choice.hidden = this.pictures.length < 2;
      this.show();
    }
  }

  private show(): void {
    if (this.choice.value) {
      this.picture.src = `/projects/${this.calls.project}/pictures/${this.choice.value}/content.png`;
    } else {
      this.element.append(el("p", { className: "quiet" }, "Bring a picture to the project first."));
    }
  }

  private async take(event: MouseEvent): Promise<void> {
    const shown = this.pictures.find((each) => each.id === this.choice.value)!;
    const box = this.picture.getBoundingClientRect();
    const along = (share: number, size: number) => Math.min(size - 1, Math.max(0, Math.floor(share * size)));
    const hex = await this.calls.sample(
      shown.id,
      along((event.clientX - box.left) / box.width, shown.widthPx),
      along((event.clientY - box.top) / box.height, shown.heightPx),
      RADIUS_PX,
    );
    if (hex) {
      this.taken(hex);
    }
  }
}
