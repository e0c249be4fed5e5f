import type { Opening } from "../model/openings";
import type { Point } from "../geometry/camera";
import type { SheetView } from "./sheet-view";
import { oncePerFrame } from "../../shared/frames";

const RING_PX = 15;
const TRACE_MS = 900;

/** What is drawn over the sheet while gaps are in work: dashes, rings, a trace. Black on white, never a colour, and never part of the sheet. */
export class Overlay {
  private readonly context: CanvasRenderingContext2D;
  private readonly paintSoon = oncePerFrame(() => this.paint());
  private readonly calm = matchMedia("(prefers-reduced-motion: reduce)");
  private faint: readonly Opening[] = [];
  private inked: readonly Opening[] = [];
  private inkPx = 1;
  private marked: readonly Opening[] = [];
  private stroke: readonly Point[] = [];
  private corners: readonly Point[] = [];
  private polygon: readonly Point[] = [];
  private dots: readonly Point[] = [];
  private borders: readonly (readonly Point[])[] = [];
  private lines: readonly (readonly Point[])[] = [];
  private ends: readonly Point[] = [];
  private suggested: readonly (readonly Point[])[] = [];
  private dividing: readonly (readonly Point[])[] = [];
  private brush: { at: Point; radius: number } | undefined;
  private trace: { points: readonly Point[]; startMs: number } | undefined;

  constructor(
    private readonly canvas: HTMLCanvasElement,
    private readonly view: SheetView,
  ) {
    this.context = canvas.getContext("2d")!;
    view.onMove(this.paintSoon);
  }

  /** Openings shown as fine dashes. */
  showDams(openings: readonly Opening[]): void {
    this.faint = openings;
    this.paintSoon();
  }

  /** Openings drawn in ink, so many sheet pixels wide; these are shown always. */
  showInked(openings: readonly Opening[], strokePx: number): void {
    this.inked = openings;
    this.inkPx = strokePx;
    this.paintSoon();
  }

  /** Openings shown with a ring. */
  mark(openings: readonly Opening[]): void {
    this.marked = openings;
    this.paintSoon();
  }

  /** A line being drawn, in sheet pixels. */
  draw(stroke: readonly Point[]): void {
    this.stroke = stroke;
    this.paintSoon();
  }

  /** The shape of a shadow, closed, in sheet pixels; none if empty. @param knots points of it that are told apart */
  outline(polygon: readonly Point[], knots: readonly Point[] = []): void {
    this.polygon = polygon;
    this.dots = knots;
    this.paintSoon();
  }

  /** Borders of the shapes in the hand, lines that divide nothing yet, and where those meet nothing. */
  shapes(
    borders: readonly (readonly Point[])[],
    lines: readonly (readonly Point[])[],
    ends: readonly Point[],
  ): void {
    this.borders = borders;
    this.lines = lines;
    this.ends = ends;
    this.paintSoon();
  }

  /** Borders of shapes that are suggested. */
  suggest(borders: readonly (readonly Point[])[]): void {
    this.suggested = borders;
    this.paintSoon();
  }

  /** Lines that would divide what is gathered. */
  divide(lines: readonly (readonly Point[])[]): void {
    this.dividing = lines;
    this.paintSoon();
  }

  /** The page frame, closed, in sheet pixels; none if empty. */
  frame(corners: readonly Point[]): void {
    this.corners = corners;
    this.paintSoon();
  }

  showBrush(brush: { at: Point; radius: number } | undefined): void {
    this.brush = brush;
    this.paintSoon();
  }

  /** Runs along some points once, and stays there until it is taken away. */
  run(points: readonly Point[]): void {
    this.trace = points.length > 1 ? { points, startMs: performance.now() } : undefined;
    this.paintSoon();
  }

  private paint(): void {
    const { width, height } = this.view.camera.size;
    if (
      this.canvas.width !== Math.round(width * devicePixelRatio) ||
      this.canvas.height !== Math.round(height * devicePixelRatio)
    ) {
      this.canvas.width = Math.round(width * devicePixelRatio);
      this.canvas.height = Math.round(height * devicePixelRatio);
    }
    const context = this.context;
    context.setTransform(devicePixelRatio, 0, 0, devicePixelRatio, 0, 0);
    context.clearRect(0, 0, width, height);
    context.lineCap = "round";
    this.inked.forEach((opening) => this.inkStroke(opening));
    this.faint.forEach((opening) => this.line(opening.line, 1, [4, 4]));
    this.marked.forEach((opening) => this.ring(opening));
    if (this.stroke.length > 1) {
      this.line(this.stroke, 2, [7, 6]);
    }
    if (this.corners.length > 1) {
      this.line(this.corners, 1.6, [10, 6]);
    }
    if (this.polygon.length > 1) {
      this.line([...this.polygon, this.polygon[0]!], 1.2, [3, 3]);
    }
    this.borders.forEach((border) => this.line([...border, border[0]!], 1.4, []));
    this.suggested.forEach((border) => this.line([...border, border[0]!], 1.2, [5, 4]));
    this.lines.forEach((line) => this.line(line, 1.4, [6, 4]));
    this.dividing.forEach((line) => this.line(line, 1.4, [6, 4]));
    this.ends.forEach((end) => this.circle(end, RING_PX));
    this.dots.forEach((dot) => this.circle(dot, 4));
    if (this.brush) {
      this.circle(this.brush.at, this.brush.radius * this.view.camera.scale);
    }
    this.paintTrace();
  }

  private inkStroke(opening: Opening): void {
    this.context.strokeStyle = "black";
    this.context.lineWidth = this.inkPx * this.view.camera.scale;
    this.context.setLineDash([]);
    this.context.beginPath();
    opening.line.forEach((point) => {
      const at = this.view.camera.toScreen(point);
      this.context.lineTo(at.x, at.y);
    });
    this.context.stroke();
  }

  private ring(opening: Opening): void {
    this.line(opening.line, 2, [5, 4]);
    this.circle(opening.middle, Math.max(RING_PX, 0.75 * opening.widthPx * this.view.camera.scale));
  }

  private circle(place: Point, radius: number): void {
    const at = this.view.camera.toScreen(place);
    this.twice(1.6, [], (context) => context.arc(at.x, at.y, radius, 0, 2 * Math.PI));
  }

  private line(points: readonly Point[], width: number, dash: number[]): void {
    this.twice(width, dash, (context) => {
      points.forEach((point, i) => {
        const at = this.view.camera.toScreen(point);
        if (i === 0) {
          context.moveTo(at.x, at.y);
        } else {
          context.lineTo(at.x, at.y);
        }
      });
    });
  }

  /** White below, black above, so that it is seen on any colour. */
  private twice(width: number, dash: number[], path: (context: CanvasRenderingContext2D) => void): void {
    for (const [colour, extra, pattern] of [
      ["white", 2.4, []],
      ["black", 0, dash],
    ] as const) {
      this.context.strokeStyle = colour;
      this.context.lineWidth = width + extra;
      this.context.setLineDash([...pattern]);
      this.context.beginPath();
      path(this.context);
      this.context.stroke();
    }
  }

  private paintTrace(): void {
    if (!this.trace) {
      return;
    }
    const { points, startMs } = this.trace;
    const part = this.calm.matches ? 1 : Math.min(1, (performance.now() - startMs) / TRACE_MS);
    this.line(upTo(points, part), 2.4, [2, 7]);
    if (part < 1) {
      this.paintSoon();
    }
  }
}

/** The first part of a line, by length. */
function upTo(points: readonly Point[], part: number): Point[] {
  const lengths = points
    .slice(1)
    .map((point, i) => Math.hypot(point.x - points[i]!.x, point.y - points[i]!.y));
  let left = part * lengths.reduce((sum, length) => sum + length, 0);
  const line = [points[0]!];
  for (let i = 0; i < lengths.length && left > 0; i++) {
    const [from, to] = [points[i]!, points[i + 1]!];
    const share = Math.min(1, left / Math.max(1e-6, lengths[i]!));
    line.push({ x: from.x + share * (to.x - from.x), y: from.y + share * (to.y - from.y) });
    left -= lengths[i]!;
  }
  return line;
}
