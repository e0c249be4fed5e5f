// A pen whose line swells and tapers. Everything is drawn in page units; a page is 1500 units wide.

/** Rounds to a tenth of a unit, a fifth of a pixel on the finished sheet. */
const r = (value) => Math.round(value * 10) / 10;

/** Points along a centripetal Catmull-Rom curve through the given ones, about `step` units apart. */
export function curve(points, { closed = false, step = 4 } = {}) {
  const at = (i) =>
    closed ? points[(i + points.length) % points.length] : points[Math.min(points.length - 1, Math.max(0, i))];
  const out = [];
  const spans = closed ? points.length : points.length - 1;
  for (let i = 0; i < spans; i++) {
    const [p0, p1, p2, p3] = [at(i - 1), at(i), at(i + 1), at(i + 2)];
    const length = Math.hypot(p2[0] - p1[0], p2[1] - p1[1]);
    const steps = Math.max(2, Math.round(length / step));
    for (let s = 0; s < steps; s++) {
      const t = s / steps;
      out.push([0, 1].map((k) => hermite(p0[k], p1[k], p2[k], p3[k], t)));
    }
  }
  if (!closed) out.push(points[points.length - 1]);
  return out;
}

function hermite(a, b, c, d, t) {
  const m1 = (c - a) / 2;
  const m2 = (d - b) / 2;
  const t2 = t * t;
  const t3 = t2 * t;
  return (2 * t3 - 3 * t2 + 1) * b + (t3 - 2 * t2 + t) * m1 + (-2 * t3 + 3 * t2) * c + (t3 - t2) * m2;
}

export function ellipse(cx, cy, rx, ry = rx, turn = 0) {
  return Array.from({ length: 16 }, (_, i) => {
    const a = (i / 16) * 2 * Math.PI;
    const [x, y] = [Math.cos(a) * rx, Math.sin(a) * ry];
    return [cx + x * Math.cos(turn) - y * Math.sin(turn), cy + x * Math.sin(turn) + y * Math.cos(turn)];
  });
}

export function rect(x, y, width, height, lean = 0) {
  return [[x + lean, y], [x + width + lean, y], [x + width, y + height], [x, y + height]];
}

/** Corners stay corners: each side is sampled by itself. */
export function sides(points, closed) {
  const all = closed ? [...points, points[0]] : points;
  const out = [];
  for (let i = 0; i + 1 < all.length; i++) {
    const [a, b] = [all[i], all[i + 1]];
    const steps = Math.max(2, Math.round(Math.hypot(b[0] - a[0], b[1] - a[1]) / 6));
    for (let s = 0; s < steps; s++) out.push([a[0] + ((b[0] - a[0]) * s) / steps, a[1] + ((b[1] - a[1]) * s) / steps]);
  }
  if (!closed) out.push(all[all.length - 1]);
  return out;
}

export class Pen {
  constructor(width, height) {
    this.width = width;
    this.height = height;
    this.marks = [];
    this.laid = new Map();
    this.shades = [];
    /** What lies where: each shape hides those before it. Its swatch is "card/swatch". */
    this.covers = [];
    this.of = undefined;
    this.place = (point) => point;
    this.scale = 1;
    this.seed = 1;
  }

  /** Draws with another origin, size and turn; `flip` mirrors. */
  within({ x = 0, y = 0, scale = 1, turn = 0, flip = false }, draw) {
    const [outer, outerScale] = [this.place, this.scale];
    const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
    this.place = ([px, py]) => {
      const [sx, sy] = [(flip ? -px : px) * scale, py * scale];
      return outer([x + sx * cos - sy * sin, y + sx * sin + sy * cos]);
    };
    this.scale = outerScale * scale;
    draw();
    [this.place, this.scale] = [outer, outerScale];
  }

  /** Says what the shapes that follow are of. */
  as(swatch) {
    this.of = swatch;
    return this;
  }

  /** What lies in an area that only lines bound; draws nothing. */
  tint(swatch, points) {
    this.covers.push([swatch, points.map((p) => this.place(p))]);
  }

  /** A closed shape: hides what lies behind, then has its outline inked. `gaps`: see line(). */
  shape(points, { corners = false, ...options } = {}) {
    this.outlined(corners ? sides(points, true) : curve(points, { closed: true }), options);
  }

  /** A shape whose outline is given point by point. */
  outlined(outline, options = {}) {
    this.cover(outline);
    this.inkAlong([...outline, outline[0]], { even: true, ...options });
  }

  /** Paper without ink: hides what lies behind. */
  hide(points, { corners = false } = {}) {
    this.cover(corners ? sides(points, true) : curve(points, { closed: true }));
  }

  cover(outline) {
    this.tint(this.of, outline);
    const d = outline.map((p) => this.place(p).map(r).join(" ")).join("L");
    this.marks.push(`<path fill="#fff" d="M${d}Z"/>`);
  }

  /**
   * An open stroke through some points.
   * w: width in units; from, to: how far it tapers at its ends (1 not at all, 0 to nothing);
   * gaps: [place, length] pairs, where place runs from 0 to 1 along the stroke and length is in units.
   */
  line(points, { corners = false, ...options } = {}) {
    this.inkAlong(corners ? sides(points, false) : curve(points), options);
  }

  inkAlong(line, { w = 4.2, from = 0.45, to = 0.35, even = false, gaps = [] } = {}) {
    const lengths = [0];
    for (let i = 1; i < line.length; i++) {
      lengths.push(lengths[i - 1] + Math.hypot(line[i][0] - line[i - 1][0], line[i][1] - line[i - 1][1]));
    }
    const total = lengths[lengths.length - 1];
    const holes = gaps.map(([place, length]) => [
      place * total - length / this.scale / 2,
      place * total + length / this.scale / 2,
    ]);
    const phase = (this.seed = (this.seed * 16807) % 2147483647) / 2147483647;
    const widthAt = (s) => {
      const t = s / total;
      const swell = 1 + 0.22 * Math.sin(2 * Math.PI * (t * 1.3 + phase)) + 0.1 * Math.sin(2 * Math.PI * (t * 3.1 + 2 * phase));
      if (even) return w * swell;
      const ends = Math.min(from + (1 - from) * Math.min(1, t / 0.35), to + (1 - to) * Math.min(1, (1 - t) / 0.4));
      return w * swell * ends;
    };
    for (const piece of pieces(line, lengths, holes)) {
      this.ribbon(piece.points, piece.at.map(widthAt));
    }
  }

  /** A filled band around a line, with round ends. Widths are on the page, whatever the size of the figure. */
  ribbon(line, widths) {
    if (line.length < 2) return;
    const placed = line.map((p) => this.place(p));
    const grow = Math.max(0.72, Math.min(1.25, Math.sqrt(this.scale)));
    const left = [];
    const right = [];
    placed.forEach(([x, y], i) => {
      const [ax, ay] = placed[Math.max(0, i - 1)];
      const [bx, by] = placed[Math.min(placed.length - 1, i + 1)];
      const length = Math.hypot(bx - ax, by - ay) || 1;
      const half = (widths[i] * grow) / 2;
      const [nx, ny] = [(-(by - ay) / length) * half, ((bx - ax) / length) * half];
      left.push([x + nx, y + ny]);
      right.unshift([x - nx, y - ny]);
    });
    const cap = (a, b) => `A${r(Math.hypot(b[0] - a[0], b[1] - a[1]) / 2)} ${r(Math.hypot(b[0] - a[0], b[1] - a[1]) / 2)} 0 0 0 ${b.map(r).join(" ")}`;
    const join = (points) => points.map((p) => p.map(r).join(" ")).join("L");
    this.marks.push(
      `<path d="M${join(left)}${cap(left[left.length - 1], right[0])}L${join(right)}${cap(right[right.length - 1], left[0])}Z"/>`,
    );
  }

  /** Notes points inside regions that are to be laid with a swatch beforehand; `swatch` is "card/swatch". */
  lay(swatch, ...points) {
    const placed = points.map((point) => this.place(point)).map(([x, y]) => [x / this.width, y / this.height]);
    const rounded = placed.map((point) => point.map((value) => Math.round(value * 1e4) / 1e4));
    this.laid.set(swatch, [...(this.laid.get(swatch) ?? []), ...rounded]);
  }

  /** Notes a shadow on what wears a swatch, a smooth shape through points, which may lie beyond it. */
  shade(swatch, ...points) {
    const through = points.map((point) => this.place(point)).map(([x, y]) => [x / this.width, y / this.height]);
    const rounded = through.map((point) => point.map((value) => Math.round(value * 1e4) / 1e4));
    this.shades.push({ of: swatch, through: rounded });
  }

  dot(x, y, radius = 3.4, stretch = 1.25) {
    const [px, py] = this.place([x, y]);
    const size = radius * this.scale;
    this.marks.push(`<ellipse cx="${r(px)}" cy="${r(py)}" rx="${r(size)}" ry="${r(size * stretch)}"/>`);
  }

  /** On white paper, or on clear paper where other layers lie behind. */
  svg({ clear = false } = {}) {
    const { width, height } = this;
    const paper = clear ? "" : `<path fill="#fff" d="M0 0H${width}V${height}H0Z"/>\n`;
    return (
      `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${width} ${height}" width="${width}" height="${height}">\n` +
      `${paper}${this.marks.join("\n")}\n</svg>\n`
    );
  }
}

/** What is left of a line between its gaps. */
function pieces(line, lengths, holes) {
  const out = [];
  let piece = { points: [], at: [] };
  line.forEach((point, i) => {
    if (holes.some(([start, end]) => lengths[i] > start && lengths[i] < end)) {
      if (piece.points.length) out.push(piece);
      piece = { points: [], at: [] };
    } else {
      piece.points.push(point);
      piece.at.push(lengths[i]);
    }
  });
  if (piece.points.length) out.push(piece);
  return out;
}
