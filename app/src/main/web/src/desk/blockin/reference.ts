import type { LaidPicture, References } from "messages";
import { atom } from "nanostores";
import { Values } from "rules";
import { button, el } from "../../shared/build";
import { all, byId } from "../../shared/dom";
import { call, Refusal, send } from "../../shared/http";
import type { Drawing } from "../hand/tools";
import type { Hand } from "../hand/hand";
import type { Work } from "../model/work";
import type { Point } from "../geometry/camera";
import type { SheetView } from "../view/sheet-view";
import { drag } from "../geometry/dragged";

type How = LaidPicture["reference"];

/** Larger copies would only take longer to be made grey. */
const LONGEST_PX = 1600;
const LOOKS = ["COLOURS", "GREYS", "VALUES"] as const;

/** The reference picture over the sheet: how strong, where, and in which look. It takes no pointer, and is exported only where that is asked for. */
export class ReferenceLayer implements Drawing {
  readonly laid = atom<LaidPicture | null>(null);
  /** Presses on the sheet move the picture. */
  readonly isPlacing = atom(false);

  private readonly canvas = byId<HTMLCanvasElement>("reference");
  private readonly arm = byId<HTMLButtonElement>("reference-arm");
  private drawn = "";
  private from: Point | undefined;

  constructor(
    private readonly path: string,
    private readonly view: SheetView,
    private readonly work: Work,
    private readonly hand: Hand,
  ) {
    this.laid.subscribe(() => void this.show());
    this.isPlacing.subscribe(() => this.place());
    view.onMove(() => this.place());
    byId("reference-file").addEventListener("change", (event) => {
      const input = event.target as HTMLInputElement;
      void this.bring(input.files?.[0]).then(() => (input.value = ""));
    });
    byId("reference-strength").addEventListener("input", () => this.tryStrength());
    for (const id of ["reference-strength", "reference-look", "reference-values"]) {
      byId(id).addEventListener("change", () => this.set(this.asked()));
    }
    byId("reference-hide").addEventListener("click", () => this.toggle());
    byId("reference-place").addEventListener("click", () => this.isPlacing.set(!this.isPlacing.get()));
    byId("reference-remove").addEventListener("click", () => void this.remove());
    this.arm.addEventListener("pointerdown", (event) => this.turn(event));
    document.addEventListener("paste", (event) => this.pasted(event));
    byId("sheet").addEventListener("dragover", (event) => event.preventDefault());
    byId("sheet").addEventListener("drop", (event) => {
      const file = pictureOf(event.dataTransfer);
      if (file) {
        event.preventDefault();
        void this.bring(file);
      }
    });
    void this.load();
  }

  async load(): Promise<void> {
    this.take(await call<References>(`${this.path}/reference`));
  }

  private take({ laid, others }: References): void {
    this.laid.set(laid);
    byId("reference-others").replaceChildren(
      ...others
        .filter(({ picture }) => picture !== laid?.reference.picture)
        .map(
          ({ picture, title, content }) =>
            button(
              "w-[56px] h-[42px] overflow-hidden border border-line rounded-[6px] [&_img]:w-full [&_img]:h-full [&_img]:object-cover",
              "",
              () => void this.choose(picture),
              {
                "aria-label": `Lay ${title} on the sheet`,
                title,
              },
            ).appendChild(el("img", { src: content, alt: "", loading: "lazy" })).parentElement!,
        ),
    );
  }

  private pasted(event: ClipboardEvent): void {
    const file = pictureOf(event.clipboardData);
    if (file) {
      event.preventDefault();
      void this.bring(file);
    }
  }

  private async bring(file: File | undefined): Promise<void> {
    if (file) {
      this.work.notice.set("The picture is being read.");
      await this.ask(() => send<References>(`${this.path}/reference/file`, file));
    }
  }

  private choose(picture: string): Promise<void> {
    return this.ask(() => call<References>(`${this.path}/reference/${picture}`, {}));
  }

  private async ask(asking: () => Promise<References>): Promise<void> {
    try {
      this.take(await this.work.inTurn(asking));
      this.work.notice.set("");
    } catch (error) {
      this.work.notice.set(error instanceof Refusal ? error.message : "The picture could not be laid.");
    }
  }

  private async remove(): Promise<void> {
    await this.work.inTurn(() => call(`${this.path}/reference/remove`, {}));
    await this.load();
  }

  /** Hides the picture, or shows it again. */
  toggle(): void {
    const how = this.laid.get()?.reference;
    if (how) {
      this.set({ ...how, isHidden: !how.isHidden });
      this.hand.said.set(how.isHidden ? "The reference is shown" : "The reference is hidden");
    } else {
      this.hand.said.set("No reference picture lies on this sheet");
    }
  }

  private asked(): How {
    return {
      ...this.laid.get()!.reference,
      strengthPercent: Number(byId<HTMLInputElement>("reference-strength").value),
      look: byId<HTMLSelectElement>("reference-look").value as How["look"],
      values: Number(byId<HTMLInputElement>("reference-values").value),
    };
  }

  private tryStrength(): void {
    if (this.laid.get()) {
      this.canvas.style.opacity = String(this.asked().strengthPercent / 100);
    }
  }

  private set(how: How): void {
    this.laid.set({ ...this.laid.get()!, reference: how });
    void this.ask(() => call<References>(`${this.path}/reference`, how));
  }

  private async show(): Promise<void> {
    const laid = this.laid.get();
    all("[data-if-reference]").forEach((each) => (each.hidden = laid === null));
    this.canvas.hidden = laid === null || laid.reference.isHidden;
    if (!laid) {
      this.isPlacing.set(false);
      return;
    }
    const { reference, content } = laid;
    byId("reference-hide").setAttribute("aria-pressed", String(reference.isHidden));
    byId<HTMLInputElement>("reference-strength").value = String(reference.strengthPercent);
    byId<HTMLSelectElement>("reference-look").value = reference.look;
    byId<HTMLInputElement>("reference-values").value = String(reference.values);
    byId("reference-values").hidden = reference.look !== "VALUES";
    this.canvas.style.opacity = String(reference.strengthPercent / 100);
    this.place();
    const wanted = `${content} ${reference.look} ${reference.look === "VALUES" ? reference.values : ""}`;
    if (wanted !== this.drawn) {
      this.drawn = wanted;
      await this.draw(laid);
    }
  }

  private async draw({ reference, content, widthPx, heightPx }: LaidPicture): Promise<void> {
    const picture = new Image();
    picture.src = content;
    await picture.decode();
    const share = Math.min(1, LONGEST_PX / Math.max(widthPx, heightPx));
    this.canvas.width = Math.max(1, Math.round(widthPx * share));
    this.canvas.height = Math.max(1, Math.round(heightPx * share));
    const context = this.canvas.getContext("2d", { willReadFrequently: true })!;
    context.drawImage(picture, 0, 0, this.canvas.width, this.canvas.height);
    if (reference.look !== LOOKS[0]) {
      const data = context.getImageData(0, 0, this.canvas.width, this.canvas.height);
      const pixels = Int32Array.from({ length: data.data.length / 4 }, (_, i) => {
        const [r, g, b, a] = data.data.subarray(4 * i, 4 * i + 4) as unknown as [
          number,
          number,
          number,
          number,
        ];
        return (a << 24) | (r << 16) | (g << 8) | b;
      });
      const shown =
        reference.look === "GREYS" ? Values.grey(pixels) : Values.flattened(pixels, reference.values);
      shown.forEach((pixel, i) =>
        data.data.set([(pixel >> 16) & 255, (pixel >> 8) & 255, pixel & 255, pixel >>> 24], 4 * i),
      );
      context.putImageData(data, 0, 0);
    }
  }

  private place(how = this.laid.get()?.reference): void {
    const laid = this.laid.get();
    this.arm.hidden = !this.isPlacing.get() || !how;
    byId("reference-place").setAttribute("aria-pressed", String(this.isPlacing.get()));
    if (!laid || !how) {
      return;
    }
    const { camera } = this.view;
    const at = camera.toScreen({ x: how.x, y: how.y });
    const { style } = this.canvas;
    style.width = `${laid.widthPx * how.scale * camera.scale}px`;
    style.height = `${laid.heightPx * how.scale * camera.scale}px`;
    style.transform = `translate(${at.x}px, ${at.y}px) translate(-50%, -50%) rotate(${how.degrees}deg)`;
    const half = Math.max(40, (laid.widthPx * how.scale * camera.scale) / 2);
    const turn = (how.degrees * Math.PI) / 180;
    const [x, y] = [at.x + half * Math.cos(turn), at.y + half * Math.sin(turn)];
    this.arm.style.transform = `translate(${x}px, ${y}px) translate(-50%, -50%)`;
  }

  /** Paints the picture where it lies in the view. @param isWhole as strong as it is, even while it is hidden */
  paintOn(context: CanvasRenderingContext2D, isWhole: boolean): void {
    const laid = this.laid.get();
    if (!laid || (laid.reference.isHidden && !isWhole)) {
      return;
    }
    const { reference: how, widthPx, heightPx } = laid;
    const { camera } = this.view;
    const at = camera.toScreen({ x: how.x, y: how.y });
    const [width, height] = [widthPx, heightPx].map((px) => px * how.scale * camera.scale) as [
      number,
      number,
    ];
    context.save();
    context.globalAlpha = isWhole ? 1 : how.strengthPercent / 100;
    context.translate(at.x, at.y);
    context.rotate((how.degrees * Math.PI) / 180);
    context.drawImage(this.canvas, -width / 2, -height / 2, width, height);
    context.restore();
  }

  begin(screen: Point): void {
    this.from = screen;
  }

  private movedTo(screen: Point): How {
    const how = this.laid.get()!.reference;
    const { scale } = this.view.camera;
    return {
      ...how,
      x: how.x + (screen.x - this.from!.x) / scale,
      y: how.y + (screen.y - this.from!.y) / scale,
    };
  }

  move(screen: Point): void {
    if (this.from && this.laid.get()) {
      this.place(this.movedTo(screen));
    }
  }

  end(screen: Point): void {
    if (this.from && this.laid.get()) {
      this.set(this.movedTo(screen));
    }
    this.from = undefined;
  }

  cancel(): void {
    this.from = undefined;
    this.place();
  }

  /** The arm turns and scales the picture around its middle. */
  private turn(event: PointerEvent): void {
    const how = this.laid.get()!.reference;
    const canvas = byId("sheet").getBoundingClientRect();
    const middle = this.view.camera.toScreen({ x: how.x, y: how.y });
    const arm = (x: number, y: number) => {
      const [dx, dy] = [x - canvas.left - middle.x, y - canvas.top - middle.y];
      return { length: Math.max(8, Math.hypot(dx, dy)), degrees: (Math.atan2(dy, dx) * 180) / Math.PI };
    };
    const start = arm(event.clientX, event.clientY);
    let turned = how;
    drag(
      event,
      ({ x, y }) => {
        const now = arm(x, y);
        const scale = Math.min(100, Math.max(0.01, (how.scale * now.length) / start.length));
        turned = { ...how, degrees: (how.degrees + now.degrees - start.degrees) % 360, scale };
        this.place(turned);
      },
      (hasMoved) => hasMoved && this.set(turned),
    );
  }
}

function pictureOf(data: DataTransfer | null): File | undefined {
  return [...(data?.files ?? [])].find(({ type }) => type.startsWith("image/"));
}
