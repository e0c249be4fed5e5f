import { byId } from "../../shared/dom";
import type { Point } from "../geometry/camera";
import type { SheetView } from "./sheet-view";
import { drag } from "../geometry/dragged";

const ARM_PX = 90;
/** The centre snaps within this. */
const REACH_PX = 9;

/** What is being divided evenly. */
export interface Divided {
  /** Its own centre, which the centre that is dragged snaps to. */
  readonly own: Point;
  /** Where its direction stands, in degrees. */
  readonly degrees: HTMLInputElement;
  /** Shows what it would be divided into around a centre. */
  preview(centre: Point): void;
}

/** The centre and the direction of what is divided evenly, as two buttons on the sheet that are dragged. */
export class EvenHandles {
  private readonly centre = byId<HTMLButtonElement>("even-centre");
  private readonly arm = byId<HTMLButtonElement>("even-arm");
  private divided: Divided | undefined;
  private at: Point = { x: 0, y: 0 };

  constructor(private readonly view: SheetView) {
    view.onMove(() => this.place());
    this.centre.addEventListener("pointerdown", (event) => this.dragCentre(event));
    this.arm.addEventListener("pointerdown", (event) => this.dragArm(event));
  }

  show(divided: Divided): void {
    this.divided = divided;
    this.at = divided.own;
    this.renew();
  }

  /** Does nothing if something else is divided by now. */
  hide(divided: Divided): void {
    if (this.divided === divided) {
      this.divided = undefined;
      this.place();
    }
  }

  /** Where the centre is. */
  get middle(): Point {
    return this.at;
  }

  /** Shows again what was asked for otherwise. */
  renew(): void {
    this.divided?.preview(this.at);
    this.place();
  }

  private place(): void {
    this.centre.hidden = !this.divided;
    this.arm.hidden = !this.divided;
    if (!this.divided) {
      return;
    }
    const { x, y } = this.view.camera.toScreen(this.at);
    const turn = (Number(this.divided.degrees.value) * Math.PI) / 180;
    this.centre.style.transform = `translate(${x}px, ${y}px) translate(-50%, -50%)`;
    const [armX, armY] = [x + ARM_PX * Math.cos(turn), y + ARM_PX * Math.sin(turn)];
    this.arm.style.transform = `translate(${armX}px, ${armY}px) translate(-50%, -50%)`;
  }

  private dragCentre(event: PointerEvent): void {
    const start = this.at;
    const { own } = this.divided!;
    const from = { x: event.clientX, y: event.clientY };
    drag(
      event,
      ({ x, y }) => {
        const { scale } = this.view.camera;
        const at = { x: start.x + (x - from.x) / scale, y: start.y + (y - from.y) / scale };
        const isNear = Math.hypot(at.x - own.x, at.y - own.y) * scale < REACH_PX;
        this.at = isNear ? own : at;
        this.renew();
      },
      () => {},
    );
  }

  private dragArm(event: PointerEvent): void {
    const canvas = byId("sheet").getBoundingClientRect();
    const { degrees } = this.divided!;
    drag(
      event,
      ({ x, y }) => {
        const middle = this.view.camera.toScreen(this.at);
        const turn = Math.atan2(y - canvas.top - middle.y, x - canvas.left - middle.x);
        degrees.value = String(Math.round((turn * 180) / Math.PI));
        this.renew();
      },
      () => {},
    );
  }
}
