// Where the story happens.
import { ellipse, rect } from "./pen.mjs";

/** What lies behind everything. */
export function backdrop(pen, swatch) {
  pen.tint(swatch, [[0, 0], [pen.width, 0], [pen.width, pen.height], [0, pen.height]]);
}

export function sun(pen, x, y, radius) {
  pen.as("Saltmarsh/Sun").shape(ellipse(x, y, radius), { w: 4 });
}

/** Rounded heaps on a flat base; the base stops short on one side. */
export function cloud(pen, x, y, size, { loose = true } = {}) {
  pen.within({ x, y, scale: size }, () => {
    pen.as("Saltmarsh/Cloud").hide([[-110, 0], [-84, -34], [-40, -40], [0, -72], [46, -44], [84, -36], [112, 0]]);
    pen.line([[-92, 2], [-116, -8], [-104, -34], [-74, -38]], { w: 3.6 });
    pen.line([[-78, -36], [-66, -62], [-34, -60], [-22, -48]], { w: 3.6 });
    pen.line([[-30, -56], [-10, -84], [26, -78], [36, -52]], { w: 3.8 });
    pen.line([[34, -62], [62, -66], [78, -44], [74, -32]], { w: 3.6 });
    pen.line([[76, -40], [104, -36], [114, -12], [96, 2]], { w: 3.6 });
    pen.line([[-92, 2], [-20, 5], [loose ? 84 : 98, 2]], { w: 3.2 });
  });
}

export function gull(pen, x, y, size) {
  pen.within({ x, y, scale: size }, () => {
    pen.as("Saltmarsh/Cloud").shape([[0, 6], [-18, -12], [-50, -16], [-22, -24], [2, -8], [24, -28], [56, -22], [24, -14], [8, 6]], { w: 3 });
  });
}

export function horizon(pen, points, gaps = []) {
  pen.tint("Saltmarsh/Sea", [[0, pen.height], ...points, [pen.width, pen.height]]);
  pen.line(points, { w: 3.8, from: 1, to: 1, gaps });
}

/** A band of ground in front of what was drawn before: paper below, ink along its upper edge. */
export function bank(pen, points, { gaps = [], w = 4.2, of = "Saltmarsh/Sand" } = {}) {
  pen.as(of).hide([[points[0][0] - 40, pen.height + 60], ...points.map(([x, y]) => [x, y]), [points[points.length - 1][0] + 40, pen.height + 60]], {
    corners: true,
  });
  pen.line(points, { w, from: 1, to: 1, gaps });
}

export function puddle(pen, x, y, rx, ry) {
  pen.as("Saltmarsh/Sea").shape(ellipse(x, y, rx, ry), { w: 3.6 });
  pen.line([[x - rx * 0.5, y - ry * 0.1], [x - rx * 0.1, y - ry * 0.3], [x + rx * 0.3, y - ry * 0.1]], { w: 2.4, to: 0.15 });
}

export function ripples(pen, x, y, width) {
  for (let i = 0; i < 3; i++) {
    const w = width * (1 - i * 0.28);
    pen.line([[x - w / 2, y + i * 13], [x, y + i * 13 + 5], [x + w / 2, y + i * 13]], { w: 2.6, from: 0.2, to: 0.15 });
  }
}

/** A tuft of reeds: blades that cross, two of them closed only at the tip. */
export function reeds(pen, x, y, size, flip = false) {
  pen.within({ x, y, scale: size, flip }, () => {
    pen.as("Saltmarsh/Reed").shape([[-26, 2], [-40, -66], [-58, -112], [-26, -66], [-10, 2]], { w: 3.4 });
    pen.as("Saltmarsh/Reed").shape([[-8, 2], [-8, -90], [4, -148], [8, -86], [10, 2]], { w: 3.6 });
    pen.as("Saltmarsh/Reed").shape([[12, 2], [28, -64], [60, -104], [42, -56], [28, 2]], { w: 3.4, gaps: [[0.52, 6]] });
    pen.line([[34, 2], [50, -34], [76, -54]], { w: 3, to: 0.1 });
    pen.line([[-32, 2], [-54, -30], [-80, -42]], { w: 3, to: 0.1 });
    pen.line([[-36, 4], [0, 8], [44, 4]], { w: 3.2, from: 0.2, to: 0.2 });
  });
}

/** A head of sea lavender in a broken, airy outline. */
export function lavender(pen, x, y, size) {
  pen.within({ x, y, scale: size }, () => {
    for (const [dx, dy, h] of [[-22, 0, 64], [0, 0, 86], [20, 0, 60]]) {
      pen.line([[dx * 0.3, dy], [dx * 0.8, -h * 0.5], [dx, -h]], { w: 2.6, to: 0.5 });
      for (const [ox, oy] of [[-8, 0], [7, -4], [-2, -14]]) {
        pen.inkAlong(
          Array.from({ length: 22 }, (_, i) => {
            const a = (i / 21) * 2 * Math.PI * 0.86 + ox;
            return [dx + ox + Math.cos(a) * 8, -h + oy + Math.sin(a) * 7];
          }),
          { w: 2.4, from: 0.5, to: 0.4 },
        );
      }
    }
  });
}

export function pebbles(pen, x, y, count, spread, seed = 1) {
  let s = seed;
  const next = () => (s = (s * 16807) % 2147483647) / 2147483647;
  for (let i = 0; i < count; i++) {
    const size = 9 + next() * 15;
    const px = x + (next() - 0.5) * spread;
    const py = y + (next() - 0.5) * spread * 0.22;
    pen.as("Saltmarsh/Mud").shape(ellipse(px, py, size, size * 0.62, next() - 0.5), { w: 3, gaps: i % 3 === 2 ? [[0.7, 6]] : [] });
  }
}

/** The post office: a hut on posts, with a boarded wall, a round-topped door and a flag. */
export function hut(pen, x, y, size, { loose = true } = {}) {
  const gap = (where, length) => (loose ? [[where, length]] : []);
  pen.within({ x, y, scale: size }, () => {
    pen.lay("Post/Paper", [-110, -40], [92, 0], [92, 16]);
    pen.lay("Village/Door", [-5, 60], [20, 60]);
    pen.lay("Village/Tiles", [-80, -104], [-60, -238]);
    pen.lay("Saltmarsh/Mud", [0, 105], [-104, 130], [62, 130], [112, 130], [-20, 130], [93, -170], [93, -203], [-74, 37]);
    pen.lay("Saltmarsh/Sun", [-86, -10], [-60, -10], [-86, 16], [-60, 16]);
    for (const px of [-104, -20, 62, 112]) pen.as("Saltmarsh/Mud").shape(rect(px - 8, 96, 16, 76), { corners: true, w: 3.6 });
    pen.as("Post/Paper").shape(rect(-124, -66, 250, 168), { corners: true, w: 4.4, gaps: gap(0.31, 10) });
    pen.line([[-124, -18], [-62, -16]], { w: 2.6, to: 0.3 });
    pen.line([[-124, 30], [-70, 31]], { w: 2.6, to: 0.3 });
    pen.line([[62, -22], [124, -20]], { w: 2.6, from: 0.3 });
    pen.line([[66, 62], [124, 62]], { w: 2.6, from: 0.3 });
    pen.as("Village/Tiles").shape([[-158, -62], [-116, -150], [118, -154], [162, -64]], { corners: true, w: 4.6, gaps: gap(0.72, 9) });
    for (const [dx, dy] of [[-92, -122], [-40, -126], [12, -124], [64, -124], [-66, -92], [-14, -92], [38, -94], [90, -92]]) {
      pen.line([[dx - 20, dy], [dx, dy + 13], [dx + 22, dy]], { w: 2.6, from: 0.4, to: 0.3 });
    }
    pen.as("Village/Door").shape([[-26, 102], [-26, 8], [-14, -18], [8, -24], [30, -17], [42, 8], [42, 102]], { w: 4 });
    pen.line([[8, -22], [8, 100]], { w: 2.6, from: 1, to: 0.6 });
    pen.as("Post/Brass").shape(ellipse(28, 46, 5.5), { w: 2.8 });
    pen.as("Saltmarsh/Sun").shape(rect(-98, -22, 48, 54), { corners: true, w: 4 });
    pen.line([[-74, -22], [-74, 32]], { w: 2.8, from: 1, to: 1 });
    pen.line([[-98, 4], [-50, 4]], { w: 2.8, from: 1, to: 0.7 });
    pen.as("Saltmarsh/Mud").shape(rect(-104, 32, 60, 11), { corners: true, w: 3.4 });
    pen.as("Post/Paper").shape([[74, -4], [110, -4], [110, 22], [74, 22]], { corners: true, w: 3.4 });
    pen.line([[74, -4], [92, 11], [110, -4]], { w: 2.8, from: 0.9, to: 0.9 });
    pen.as("Saltmarsh/Mud").shape(rect(76, -200, 34, 56), { corners: true, w: 4 });
    pen.as("Saltmarsh/Mud").shape(rect(71, -210, 44, 14), { corners: true, w: 3.6 });
    pen.as("Saltmarsh/Mud").shape(rect(-146, 96, 292, 18), { corners: true, w: 4 });
    pen.line([[-112, -152], [-112, -250]], { w: 4, from: 1, to: 0.8 });
    pen.as("Village/Tiles").shape([[-112, -246], [-76, -252], [-44, -240], [-12, -246], [-14, -204], [-46, -198], [-76, -210], [-112, -204]], {
      w: 3.8,
      gaps: [[0.86, 7]],
    });
    pen.line([[-112, -246], [-62, -222], [-13, -246]], { w: 2.8, from: 0.8, to: 0.8 });
  });
}

/** A jetty of planks that runs in from the right. */
export function jetty(pen, x, y, length) {
  for (const px of [40, length * 0.4, length * 0.78]) {
    pen.as("Saltmarsh/Mud").shape(rect(x + px, y + 40, 26, 190), { corners: true, w: 4, gaps: [[0.2, 9]] });
    pen.line([[x + px + 8, y + 70], [x + px + 9, y + 120]], { w: 2.4, to: 0.2 });
  }
  pen.as("Sorting room/Floor").shape([[x, y], [x + length, y - 8], [x + length, y + 30], [x - 6, y + 40]], { corners: true, w: 4.4 });
  pen.as("Sorting room/Wood").shape([[x - 6, y + 40], [x + length, y + 30], [x + length, y + 54], [x - 6, y + 64]], { corners: true, w: 4 });
  for (let i = 1; i * 64 < length; i++) {
    const px = x + i * 64;
    pen.line([[px, y], [px - 5, y + 38]], { w: 3, from: 1, to: i % 3 ? 1 : 0.2, gaps: i % 3 ? [] : [[0.96, 8]] });
  }
}

export function mailSack(pen, x, y, size) {
  pen.within({ x, y, scale: size }, () => {
    pen.as("Post/Sack").shape([[-30, -108], [-54, -58], [-70, -4], [-48, 26], [0, 32], [52, 26], [72, -6], [54, -60], [30, -108]], { w: 4.6 });
    pen.as("Post/Sack").shape([[-32, -104], [-44, -140], [-14, -126], [2, -144], [18, -126], [46, -140], [32, -104]], { w: 4.2 });
    pen.as("Post/Satchel").shape([[-36, -110], [34, -110], [36, -96], [-37, -95]], { w: 3.6 });
    pen.as("Post/Paper").shape([[-26, -46], [26, -48], [28, -14], [-26, -12]], { corners: true, w: 3.2 });
    pen.line([[-26, -46], [2, -26], [26, -48]], { w: 2.8, from: 0.9, to: 0.9 });
    pen.line([[-46, -52], [-54, -18]], { w: 2.8, to: 0.2 });
    pen.line([[46, -66], [56, -30], [54, -14]], { w: 2.8, to: 0.2 });
  });
}

export function letter(pen, x, y, turn, size = 1) {
  pen.within({ x, y, turn, scale: size }, () => {
    pen.as("Post/Paper").shape(rect(-30, -20, 60, 40), { corners: true, w: 3.2 });
    pen.line([[-30, -20], [0, 4], [30, -20]], { w: 2.8, from: 0.9, to: 0.9 });
    pen.as("Village/Tiles").shape(rect(12, -2, 12, 14), { corners: true, w: 2.2 });
  });
}

export function parcel(pen, x, y, width, height) {
  pen.as("Post/Sack").shape(rect(x, y, width, height, 3), { corners: true, w: 4.2, gaps: [[0.13, 9]] });
  pen.line([[x + width * 0.36, y], [x + width * 0.34, y + height]], { w: 2.8, from: 1, to: 1 });
  pen.line([[x + width * 0.44, y], [x + width * 0.42, y + height]], { w: 2.8, from: 1, to: 1 });
  pen.line([[x + 2, y + height * 0.46], [x + width, y + height * 0.44]], { w: 2.8, from: 1, to: 1 });
  pen.line([[x + 2, y + height * 0.58], [x + width, y + height * 0.56]], { w: 2.8, from: 1, to: 1 });
  pen.as("Village/Tiles").shape(ellipse(x + width * 0.28, y - 12, 18, 9, 0.5), { w: 3 });
  pen.as("Village/Tiles").shape(ellipse(x + width * 0.52, y - 12, 18, 9, -0.5), { w: 3 });
}

/** Pigeonholes with letters standing in some of them. */
export function pigeonholes(pen, x, y, columns, rows, width, height) {
  pen.as("Sorting room/Wood").shape(rect(x - 14, y - 14, columns * width + 28, rows * height + 28), { corners: true, w: 4.8 });
  let n = 3;
  for (let row = 0; row < rows; row++) {
    for (let column = 0; column < columns; column++) {
      n = (n * 7 + 5) % 11;
      const left = x + column * width;
      const top = y + row * height;
      pen.as("Sorting room/Shade").shape(rect(left + 3, top + 3, width - 6, height - 6), { corners: true, w: 3.4, gaps: n === 4 ? [[0.6, 8]] : [] });
      if (n % 3 !== 0) lettersIn(pen, left + 6, top + height - 4, width - 12, height - 12, n);
    }
  }
}

function lettersIn(pen, left, bottom, width, height, n) {
  const count = 1 + (n % 3);
  for (let i = 0; i < count; i++) {
    const w = width * 0.34;
    const x = left + 4 + i * width * 0.27;
    const h = height * (0.5 + ((n + i * 2) % 4) * 0.1);
    pen.as("Post/Paper").shape([[x + 4, bottom - h], [x + w + 4, bottom - h - 4], [x + w, bottom], [x, bottom]], { corners: true, w: 2.8 });
  }
}

export function window(pen, x, y, width, height) {
  pen.as("Sorting room/Wood").shape(rect(x - 16, y - 16, width + 32, height + 32), { corners: true, w: 4.6 });
  pen.as("Saltmarsh/Sky").shape(rect(x, y, width, height), { corners: true, w: 4 });
  // What is seen through it.
  const across = (at, ...heights) => heights.map((h, i) => [x + at[i] * width, y + h * height]);
  const far = across([0, 0.5, 1], 0.62, 0.6, 0.63);
  const near = across([0, 0.4, 1], 0.8, 0.75, 0.84);
  const below = [[x + width, y + height], [x, y + height]];
  pen.tint("Saltmarsh/Sea", [...far, ...below]);
  pen.tint("Saltmarsh/Sand", [...near, ...below]);
  pen.line(far, { w: 3, from: 1, to: 1 });
  pen.line(near, { w: 3, from: 1, to: 1 });
  pen.as("Saltmarsh/Sun").shape(ellipse(x + width * 0.74, y + height * 0.27, 24), { w: 3.2 });
  pen.as("Sorting room/Wood").shape(rect(x + width / 2 - 5, y, 10, height), { corners: true, w: 3.4 });
  pen.as("Sorting room/Wood").shape(rect(x - 28, y + height + 16, width + 56, 20), { corners: true, w: 4.2 });
}

export function lamp(pen, x, y) {
  pen.line([[x, 0], [x + 3, y * 0.5], [x, y - 62]], { w: 3.4, from: 1, to: 1 });
  pen.as("Sorting room/Lamp").shape(ellipse(x, y + 6, 22, 24), { w: 3.6 });
  pen.as("Sorting room/Lamp").shape([[x - 20, y - 62], [x + 20, y - 62], [x + 78, y + 2], [x, y + 14], [x - 78, y + 2]], { w: 4.6, gaps: [[0.52, 8]] });
  pen.as("Post/Brass").shape(rect(x - 18, y - 78, 36, 18), { corners: true, w: 3.8 });
}

export function scales(pen, x, y) {
  pen.as("Post/Brass").shape([[x - 52, y], [x + 52, y], [x + 40, y - 20], [x - 40, y - 20]], { corners: true, w: 4 });
  pen.as("Post/Brass").shape(rect(x - 8, y - 92, 16, 74), { corners: true, w: 3.6 });
  pen.as("Post/Brass").shape(ellipse(x, y - 98, 13), { w: 3.4 });
  pen.as("Post/Brass").shape([[x - 84, y - 106], [x, y - 114], [x + 84, y - 98], [x + 84, y - 90], [x, y - 104], [x - 84, y - 98]], { corners: true, w: 3.2 });
  for (const [px, py] of [[-76, -100], [76, -94]]) {
    pen.line([[x + px, y + py], [x + px - 26, y + py + 46]], { w: 2.4, from: 1, to: 0.9 });
    pen.line([[x + px, y + py], [x + px + 26, y + py + 46]], { w: 2.4, from: 1, to: 0.7 });
    pen.as("Post/Brass").shape([[x + px - 32, y + py + 46], [x + px + 32, y + py + 46], [x + px + 18, y + py + 60], [x + px - 18, y + py + 60]], { w: 3.4 });
  }
}

export function floorboards(pen, y) {
  pen.tint("Sorting room/Floor", [[0, y], [pen.width, y - 4], [pen.width, pen.height], [0, pen.height]]);
  pen.line([[0, y], [pen.width, y - 4]], { w: 4, from: 1, to: 1 });
  for (let i = 0; i < 9; i++) {
    const x = i * 190 - 60;
    pen.line([[x + 80, y - 2], [x, pen.height + 6]], { w: 3, from: 1, to: 1, gaps: i % 4 === 1 ? [[0.4, 9]] : [] });
  }
}

/** The counter, front and top, with three panels. */
export function counter(pen, x, y, width) {
  pen.as("Sorting room/Wood").shape(rect(x + 20, y + 30, width - 40, 300), { corners: true, w: 4.6 });
  pen.as("Sorting room/Wood").shape([[x, y], [x + width, y - 4], [x + width, y + 32], [x, y + 34]], { corners: true, w: 4.8 });
  const panel = (width - 100) / 3;
  for (let i = 0; i < 3; i++) {
    pen.as("Sorting room/Wood").shape(rect(x + 44 + i * (panel + 6), y + 66, panel - 8, 190), { corners: true, w: 3.6, gaps: i === 1 ? [[0.44, 9]] : [] });
    pen.as("Sorting room/Floor").shape(rect(x + 62 + i * (panel + 6), y + 84, panel - 44, 154), { corners: true, w: 2.8 });
  }
}

/** The signal lantern on its hill: a tapering tower with a lit room on top. */
export function lantern(pen, x, y, size) {
  pen.within({ x, y, scale: size }, () => {
    pen.as("Lantern hill/Stone").shape([[-46, -300], [46, -302], [78, 0], [-80, 0]], { corners: true, w: 4.8, gaps: [[0.66, 9]] });
    for (const [py, half] of [[-240, 52], [-160, 60], [-80, 69]]) {
      pen.line([[-half, py], [0, py + 9], [half, py - 1]], { w: 3.2, from: 1, to: 1 });
    }
    pen.as("Lantern hill/Roof").shape([[-18, 0], [-18, -50], [0, -64], [18, -50], [18, 0]], { w: 3.8 });
    pen.as("Lantern hill/Glass").shape(rect(-11, -212, 22, 32), { corners: true, w: 3.2 });
    pen.as("Lantern hill/Iron").shape(rect(-62, -318, 124, 20), { corners: true, w: 4.2 });
    pen.as("Saltmarsh/Sun").shape(rect(-44, -396, 88, 80), { corners: true, w: 4.2 });
    pen.line([[-15, -396], [-15, -316]], { w: 3, from: 1, to: 1 });
    pen.line([[15, -396], [15, -316]], { w: 3, from: 1, to: 0.9 });
    pen.as("Village/Tiles").shape([[-60, -394], [0, -456], [60, -394]], { corners: true, w: 4.6 });
    pen.as("Lantern hill/Iron").shape(ellipse(0, -464, 10, 11), { w: 3.2 });
    for (const [ax, ay, bx, by] of [[-78, -372, -150, -394], [-80, -350, -160, -348], [78, -372, 150, -394], [80, -350, 160, -348]]) {
      pen.line([[ax, ay], [bx, by]], { w: 3, to: 0.1 });
    }
    pen.lay("Saltmarsh/Sun", [-30, -356], [0, -356], [30, -356]);
    pen.lay("Village/Tiles", [0, -420], [0, -120]);
  });
}

export function moon(pen, x, y, size) {
  pen.within({ x, y, scale: size }, () => {
    pen.as("Saltmarsh/Sun").shape([[20, -70], [-40, -50], [-66, 0], [-40, 50], [20, 70], [-10, 40], [-22, 0], [-10, -40]], { w: 4 });
    pen.lay("Saltmarsh/Sun", [-42, 0]);
  });
}

export function stars(pen, places) {
  for (const [x, y, size] of places) {
    const points = Array.from({ length: 8 }, (_, i) => {
      const reach = i % 2 ? size * 0.36 : size;
      return [x + Math.cos((i * Math.PI) / 4) * reach, y + Math.sin((i * Math.PI) / 4) * reach];
    });
    pen.as("Saltmarsh/Sun").shape(points, { corners: true, w: 2.6 });
  }
}
