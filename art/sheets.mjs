// The sheets of the book. Each returns its drawing; what is laid beforehand stands in book.mjs.
import { bram } from "./bram.mjs";
import { juniper } from "./juniper.mjs";
import { Pen } from "./pen.mjs";
import * as place from "./places.mjs";

const WIDTH = 1500;
const HEIGHT = 1060;

export function crossing() {
  const pen = new Pen(WIDTH, HEIGHT);
  place.sun(pen, 1180, 190, 74);
  place.cloud(pen, 300, 210, 1.15, { loose: false });
  place.cloud(pen, 1010, 130, 0.66);
  place.gull(pen, 560, 150, 1);
  place.gull(pen, 420, 320, 0.7);
  place.horizon(pen, [[0, 470], [320, 462], [700, 466], [1100, 460], [1500, 468]]);
  place.ripples(pen, 240, 520, 170);
  place.ripples(pen, 830, 530, 130);
  place.hut(pen, 1150, 440, 0.9, { loose: false });
  place.bank(pen, [[0, 590], [220, 600], [480, 584], [760, 606], [1060, 588], [1300, 602], [1500, 590]]);
  place.bank(pen, [[0, 760], [260, 730], [560, 742], [820, 800], [1080, 850], [1500, 838]], { gaps: [[0.3, 10]] });
  place.puddle(pen, 1240, 720, 130, 26);
  place.puddle(pen, 250, 660, 92, 18);
  place.reeds(pen, 150, 890, 1.25);
  place.reeds(pen, 1390, 900, 1.1, true);
  place.lavender(pen, 1010, 980, 1.1);
  place.lavender(pen, 330, 990, 0.9);
  place.pebbles(pen, 1180, 980, 9, 330, 7);
  place.puddle(pen, 650, 975, 210, 34);
  pen.lay("Saltmarsh/Sky", [700, 60], [900, 330]);
  pen.lay("Saltmarsh/Sun", [1180, 150]);
  pen.lay("Saltmarsh/Cloud", [300, 180], [560, 146], [576, 144]);
  pen.lay("Saltmarsh/Sea", [150, 560], [900, 500], [1400, 560], [1180, 540], [250, 660], [1240, 715], [650, 985]);
  pen.lay("Saltmarsh/Sand", [90, 690], [1050, 690], [1000, 800], [640, 680], [640, 860]);
  pen.lay("Saltmarsh/Reed", [150, 820], [1390, 830], [110, 830], [1430, 840]);
  juniper(pen, { x: 640, y: 500, scale: 1.12 }, { stride: 190, look: 1 });
  return pen;
}

export function farewell() {
  const pen = new Pen(WIDTH, HEIGHT);
  place.sun(pen, 240, 170, 62);
  place.cloud(pen, 640, 170, 1);
  place.cloud(pen, 1240, 220, 0.8);
  place.gull(pen, 430, 250, 0.8);
  place.horizon(pen, [[0, 520], [400, 514], [900, 520], [1500, 512]], [[0.2, 10]]);
  place.bank(pen, [[0, 660], [300, 650], [640, 668], [1000, 652], [1500, 664]], { gaps: [[0.5, 10]] });
  place.ripples(pen, 180, 580, 150);
  place.ripples(pen, 640, 590, 120);
  place.puddle(pen, 160, 740, 110, 22);
  place.bank(pen, [[0, 930], [380, 900], [760, 940], [1120, 960], [1500, 950]]);
  place.reeds(pen, 90, 960, 1);
  place.pebbles(pen, 300, 1000, 7, 260, 21);
  place.jetty(pen, 760, 790, 760);
  bram(pen, { x: 1120, y: 590, scale: 1 }, { arm: "wave", look: -1 });
  place.mailSack(pen, 1380, 770, 0.95);
  juniper(pen, { x: 430, y: 440, scale: 1.02, flip: true }, { stride: 130, arm: "wave", look: -1 });
  place.lavender(pen, 640, 1000, 0.9);
  pen.lay("Saltmarsh/Sun", [240, 170]);
  pen.lay("Saltmarsh/Cloud", [640, 140], [1240, 190]);
  pen.lay("Saltmarsh/Sea", [160, 750]);
  return pen;
}

export function morningPost() {
  const pen = new Pen(WIDTH, HEIGHT);
  place.pigeonholes(pen, 520, 90, 8, 4, 92, 86);
  place.window(pen, 90, 110, 290, 300);
  place.floorboards(pen, 800);
  place.lamp(pen, 880, 130);
  place.parcel(pen, 1340, 640, 130, 120);
  place.parcel(pen, 1360, 760, 140, 130);
  bram(pen, { x: 960, y: 560, scale: 0.98 }, { arm: "hold", legs: false, look: -1 });
  place.counter(pen, 640, 640, 680);
  place.scales(pen, 1210, 640);
  place.letter(pen, 760, 622, -0.12, 1.1);
  place.letter(pen, 836, 616, 0.2);
  place.mailSack(pen, 560, 880, 1.2);
  juniper(pen, { x: 330, y: 590, scale: 1.2, flip: true }, { stilts: false, arm: "reach", look: -1, scarfBack: false });
  place.letter(pen, 520, 1000, 0.3, 0.9);
  place.letter(pen, 180, 990, -0.5, 0.9);
  pen.lay("Sorting room/Wall", [440, 60], [460, 700], [1400, 300]);
  pen.lay("Sorting room/Wood", [514, 200], [82, 300], [800, 655], [650, 900], [700, 715], [900, 715], [1100, 715]);
  pen.lay("Sorting room/Lamp", [860, 110], [880, 62]);
  return pen;
}

/** Drawn on paper with a shadow over it: draw.mjs makes a scan of it. */
export function lanternHill() {
  const pen = new Pen(WIDTH, HEIGHT);
  place.cloud(pen, 380, 190, 1.05);
  place.gull(pen, 620, 260, 0.9);
  place.gull(pen, 540, 190, 0.6);
  place.horizon(pen, [[0, 560], [500, 552], [1000, 560], [1500, 552]]);
  place.ripples(pen, 250, 620, 150);
  place.bank(pen, [[0, 760], [260, 740], [520, 700], [800, 560], [1020, 500], [1260, 510], [1500, 600]], { gaps: [[0.72, 10]] });
  place.lantern(pen, 1090, 520, 0.98);
  place.bank(pen, [[0, 900], [320, 880], [700, 850], [1100, 800], [1500, 830]]);
  place.reeds(pen, 1360, 860, 1);
  place.reeds(pen, 120, 930, 1.1, true);
  place.pebbles(pen, 860, 960, 8, 380, 11);
  place.lavender(pen, 680, 960, 1);
  bram(pen, { x: 430, y: 690, scale: 0.82 }, { arm: "wave", look: 1 });
  return pen;
}

/** The page at print size: draw.mjs makes it A4 at 600 dpi. */
export function nightDelivery() {
  const pen = new Pen(WIDTH, HEIGHT);
  place.moon(pen, 210, 180, 1);
  place.stars(pen, [[420, 120, 16], [560, 250, 11], [760, 90, 14], [910, 210, 10], [1040, 100, 15], [330, 290, 10], [1380, 130, 13]]);
  place.cloud(pen, 640, 190, 0.7);
  place.horizon(pen, [[0, 500], [400, 494], [900, 500], [1500, 492]], [[0.36, 9]]);
  place.hut(pen, 330, 490, 0.92);
  place.lantern(pen, 1300, 500, 0.62);
  place.bank(pen, [[0, 640], [360, 628], [700, 650], [1100, 632], [1500, 640]], { gaps: [[0.6, 10]] });
  place.ripples(pen, 640, 560, 160);
  place.puddle(pen, 1180, 740, 150, 28);
  place.puddle(pen, 300, 760, 120, 24);
  place.bank(pen, [[0, 880], [300, 850], [640, 870], [1000, 900], [1500, 870]]);
  place.reeds(pen, 110, 930, 1.2);
  place.reeds(pen, 1400, 940, 1.2, true);
  place.pebbles(pen, 1060, 990, 12, 460, 5);
  place.pebbles(pen, 360, 1000, 8, 300, 17);
  place.lavender(pen, 560, 1000, 1);
  place.mailSack(pen, 1040, 880, 1);
  juniper(pen, { x: 800, y: 480, scale: 1.05, flip: true }, { stride: 160, arm: "reach", look: -1 });
  return pen;
}
