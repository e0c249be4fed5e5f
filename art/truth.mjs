// What every place of a drawing is of, as a picture: the shapes of a pen painted one over the other, without ink.
import { deflateSync } from "node:zlib";

/** An 8-bit grey PNG, one pixel a unit: 0 where nothing was said, else 1 + the place of the swatch in `swatches`. */
export function truthPicture(pen, swatches) {
  const { width, height } = pen;
  const labels = new Uint8Array(width * height);
  for (const [swatch, outline] of pen.covers) {
    const label = swatch === undefined ? 0 : 1 + swatches.indexOf(swatch);
    if (label === 0 && swatch !== undefined) throw new Error(`No card has ${swatch}.`);
    paint(labels, width, height, outline, label);
  }
  return png(labels, width, height);
}

/** Even-odd, at the middle of each pixel. */
function paint(labels, width, height, outline, label) {
  for (let y = 0; y < height; y++) {
    const crossings = [];
    outline.forEach(([ax, ay], i) => {
      const [bx, by] = outline[(i + 1) % outline.length];
      if (ay > y + 0.5 !== by > y + 0.5) crossings.push(ax + ((y + 0.5 - ay) / (by - ay)) * (bx - ax));
    });
    crossings.sort((a, b) => a - b);
    for (let i = 0; i + 1 < crossings.length; i += 2) {
      const from = Math.max(0, Math.ceil(crossings[i] - 0.5));
      const to = Math.min(width, Math.ceil(crossings[i + 1] - 0.5));
      if (to > from) labels.fill(label, y * width + from, y * width + to);
    }
  }
}

function png(grey, width, height) {
  const rows = Buffer.alloc((width + 1) * height);
  for (let y = 0; y < height; y++) {
    Buffer.from(grey.buffer, y * width, width).copy(rows, y * (width + 1) + 1);
  }
  const header = Buffer.alloc(13);
  header.writeUInt32BE(width, 0);
  header.writeUInt32BE(height, 4);
  header[8] = 8;
  return Buffer.concat([
    Buffer.from([137, 80, 78, 71, 13, 10, 26, 10]),
    chunk("IHDR", header),
    chunk("IDAT", deflateSync(rows, { level: 9 })),
    chunk("IEND", Buffer.alloc(0)),
  ]);
}

function chunk(type, data) {
  const body = Buffer.concat([Buffer.from(type, "latin1"), data]);
  const out = Buffer.alloc(body.length + 8);
  out.writeUInt32BE(data.length, 0);
  body.copy(out, 4);
  out.writeUInt32BE(crc(body), body.length + 4);
  return out;
}

/** CRC-32 as PNG (ISO/IEC 15948, annex D) wants it. */
function crc(bytes) {
  let value = 0xffffffff;
  for (const byte of bytes) {
    value ^= byte;
    for (let bit = 0; bit < 8; bit++) value = (value >>> 1) ^ (value & 1 ? 0xedb88320 : 0);
  }
  return (value ^ 0xffffffff) >>> 0;
}
