// The sheets of the book. Each returns its drawing; what is laid beforehand stands in book.mjs.
import { bram } from "./bram.mjs";
import { juniper } from "./juniper.mjs";
import { kettle } from "./kettle.mjs";
import { Pen } from "./pen.mjs";
import * as place from "./places.mjs";
import { sorrel } from "./sorrel.mjs";

const WIDTH = 1500;
const HEIGHT = 1060;

export function crossing() {
  const pen = new Pen(WIDTH, HEIGHT);
  place.backdrop(pen, "Saltmarsh/Sky");
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
  pen.lay("Saltmarsh/Sky > Saltmarsh/Cloud", [700, 60], [900, 330]);
  pen.lay("Saltmarsh/Sun", [1180, 150]);
  pen.lay("Saltmarsh/Cloud", [300, 180], [560, 146], [576, 144]);
  pen.lay("Saltmarsh/Sea", [150, 560], [900, 500], [1400, 560], [1180, 540], [250, 660], [1240, 715], [650, 985]);
  pen.lay("Saltmarsh/Sand", [90, 690], [1050, 690], [1000, 800], [640, 680], [640, 860]);
  pen.lay("Saltmarsh/Reed", [150, 820], [1390, 830], [110, 830], [1430, 840]);
  juniper(pen, { x: 640, y: 500, scale: 1.12 }, { stride: 190, look: 1 });
  return pen;
}

/** A sheet of three layers: the marsh, Juniper on her way over it, and the reeds that she passes. */
export function wetSandMarsh() {
  const pen = new Pen(WIDTH, HEIGHT);
  place.backdrop(pen, "Saltmarsh/Sky");
  place.sun(pen, 330, 210, 80);
  place.cloud(pen, 900, 190, 1.1, { loose: false });
  place.horizon(pen, [[0, 520], [400, 512], [900, 522], [1500, 514]]);
  place.ripples(pen, 380, 580, 150);
  place.bank(pen, [[0, 650], [320, 640], [700, 662], [1100, 648], [1500, 656]]);
  place.bank(pen, [[0, 860], [360, 840], [760, 872], [1140, 862], [1500, 880]]);
  place.puddle(pen, 1080, 760, 140, 26);
  pen.lay("Saltmarsh/Sky > Saltmarsh/Cloud", [700, 60], [1300, 400]);
  pen.lay("Saltmarsh/Sun", [330, 210]);
  pen.lay("Saltmarsh/Cloud", [900, 160]);
  pen.lay("Saltmarsh/Sea", [120, 600], [900, 600], [1080, 760]);
  pen.lay("Saltmarsh/Sand", [200, 750], [700, 800]);
  pen.lay("Saltmarsh/Mud", [300, 980]);
  return pen;
}

export function wetSandJuniper() {
  const pen = new Pen(WIDTH, HEIGHT);
  juniper(pen, { x: 720, y: 520, scale: 1.08 }, { stride: 170, arm: "wave", look: 1 });
  // She is finished to the last region: on a layer of its own every empty one is a window.
  pen.lay("Juniper/Coat", [609, 311], [663, 417], [773, 495], [793, 537]);
  pen.lay("Juniper/Skin", [564, 278], [841, 504], [783, 315]);
  pen.lay("Post/Paper", [628, 456]);
  pen.lay("Post/Stilts", [648, 785], [816, 785], [615, 940], [843, 940], [657, 721], [812, 721]);
  return pen;
}

export function wetSandReeds() {
  const pen = new Pen(WIDTH, HEIGHT);
  place.reeds(pen, 160, 980, 1.9);
  place.reeds(pen, 1360, 1000, 2, true);
  place.lavender(pen, 520, 1010, 1.2);
  pen.lay("Saltmarsh/Reed", [160, 870], [1360, 880]);
  return pen;
}

export function farewell() {
  const pen = new Pen(WIDTH, HEIGHT);
  place.backdrop(pen, "Saltmarsh/Sky");
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
  place.backdrop(pen, "Sorting room/Wall");
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
  place.backdrop(pen, "Saltmarsh/Sky");
  place.cloud(pen, 380, 190, 1.05);
  place.gull(pen, 620, 260, 0.9);
  place.gull(pen, 540, 190, 0.6);
  place.horizon(pen, [[0, 560], [500, 552], [1000, 560], [1500, 552]]);
  place.ripples(pen, 250, 620, 150);
  place.bank(pen, [[0, 760], [260, 740], [520, 700], [800, 560], [1020, 500], [1260, 510], [1500, 600]], { gaps: [[0.72, 10]], of: "Lantern hill/Grass" });
  place.lantern(pen, 1090, 520, 0.98);
  place.bank(pen, [[0, 900], [320, 880], [700, 850], [1100, 800], [1500, 830]], { of: "Lantern hill/Grass" });
  place.reeds(pen, 1360, 860, 1);
  place.reeds(pen, 120, 930, 1.1, true);
  place.pebbles(pen, 860, 960, 8, 380, 11);
  place.lavender(pen, 680, 960, 1);
  bram(pen, { x: 430, y: 690, scale: 0.82 }, { arm: "wave", look: 1 });
  pen.lay("Saltmarsh/Sky", [750, 80]);
  pen.lay("Saltmarsh/Sea", [300, 690], [700, 590]);
  pen.lay("Lantern hill/Grass", [200, 810], [900, 660], [1000, 1000]);
  return pen;
}

/** The page at print size: draw.mjs makes it A4 at 600 dpi. */
export function nightDelivery() {
  const pen = new Pen(WIDTH, HEIGHT);
  place.backdrop(pen, "Saltmarsh/Sky");
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

export function panniers() {
  const pen = new Pen(WIDTH, HEIGHT);
  place.backdrop(pen, "Sorting room/Wall");
  place.pigeonholes(pen, 90, 110, 4, 4, 92, 86);
  place.window(pen, 1120, 120, 290, 300);
  place.floorboards(pen, 790);
  place.lamp(pen, 700, 120);
  place.parcel(pen, 90, 760, 150, 140);
  kettle(pen, { x: 880, y: 700, scale: 1.12 }, { head: "up" });
  bram(pen, { x: 390, y: 660, scale: 1, flip: true }, { arm: "hold", look: 1 });
  place.mailSack(pen, 1290, 900, 1.15);
  place.letter(pen, 620, 960, 0.3, 1.1);
  place.letter(pen, 1080, 1000, -0.2, 0.9);
  pen.lay("Sorting room/Wall", [620, 330], [1060, 80]);
  pen.lay("Sorting room/Lamp", [680, 100]);
  return pen;
}

export function willNotBudge() {
  const pen = new Pen(WIDTH, HEIGHT);
  place.backdrop(pen, "Saltmarsh/Sky");
  place.sun(pen, 190, 160, 66);
  place.cloud(pen, 520, 180, 1.1);
  place.cloud(pen, 1220, 150, 0.8);
  place.gull(pen, 860, 190, 0.9);
  place.horizon(pen, [[0, 500], [500, 492], [1000, 500], [1500, 490]], [[0.7, 10]]);
  place.ripples(pen, 1250, 560, 150);
  place.bank(pen, [[0, 640], [360, 626], [800, 640], [1200, 622], [1500, 634]]);
  place.puddle(pen, 330, 730, 140, 26);
  place.reeds(pen, 1400, 900, 1.1);
  kettle(pen, { x: 990, y: 690, scale: 1.05 }, { stubborn: true, head: "up" });
  juniper(pen, { x: 390, y: 700, scale: 1.1 }, { stilts: false, arm: "swing", look: 1, satchel: false });
  // The rope, from his halter to her mitten.
  pen.line([[744, 552], [680, 640], [600, 680], [512, 672]], { w: 5, from: 1, to: 0.9 });
  place.pebbles(pen, 620, 990, 9, 420, 31);
  place.lavender(pen, 130, 960, 1);
  pen.lay("Saltmarsh/Sky", [760, 80]);
  pen.lay("Saltmarsh/Sun", [190, 160]);
  return pen;
}

export function lanternIsLit() {
  const pen = new Pen(WIDTH, HEIGHT);
  place.backdrop(pen, "Saltmarsh/Sky");
  place.stars(pen, [[240, 120, 12], [520, 90, 15], [720, 210, 10], [1010, 110, 13]]);
  place.cloud(pen, 420, 230, 0.9);
  place.horizon(pen, [[0, 560], [600, 552], [1500, 560]]);
  place.ripples(pen, 200, 620, 140);
  place.bank(pen, [[0, 740], [340, 700], [720, 640], [1100, 600], [1500, 640]], { gaps: [[0.4, 10]], of: "Lantern hill/Grass" });
  place.lantern(pen, 1240, 620, 1);
  place.bank(pen, [[0, 930], [500, 890], [1000, 900], [1500, 860]], { of: "Lantern hill/Grass" });
  sorrel(pen, { x: 830, y: 690, scale: 1.14 }, { arm: "lamp", look: -1 });
  juniper(pen, { x: 360, y: 720, scale: 1.08, flip: true }, { stilts: false, arm: "wave", look: 1, scarfBack: false });
  place.reeds(pen, 110, 980, 1);
  place.pebbles(pen, 1080, 990, 8, 360, 41);
  pen.lay("Lantern hill/Stone", [1240, 500]);
  pen.lay("Saltmarsh/Sky", [750, 60]);
  pen.lay("Saltmarsh/Sea", [150, 660], [494, 610], [1034, 581]);
  pen.lay("Lantern hill/Grass", [127, 783], [600, 780], [1400, 760], [650, 1000]);
  return pen;
}

export function upTheHill() {
  const pen = new Pen(WIDTH, HEIGHT);
  place.backdrop(pen, "Saltmarsh/Sky");
  place.cloud(pen, 1080, 190, 1);
  place.gull(pen, 760, 150, 0.8);
  place.horizon(pen, [[0, 480], [700, 472], [1500, 480]], [[0.3, 9]]);
  place.lantern(pen, 240, 560, 0.8);
  place.bank(pen, [[0, 560], [300, 560], [640, 660], [1000, 760], [1500, 800]], { of: "Lantern hill/Grass" });
  place.bank(pen, [[0, 820], [500, 860], [1000, 920], [1500, 930]], { gaps: [[0.6, 10]], of: "Lantern hill/Grass" });
  sorrel(pen, { x: 430, y: 660, scale: 1.02, flip: true }, { arm: "rest", look: 1 });
  kettle(pen, { x: 960, y: 690, scale: 1.1 }, { head: "down" });
  bram(pen, { x: 1320, y: 730, scale: 0.86 }, { arm: "rest", look: -1 });
  place.pebbles(pen, 300, 990, 7, 300, 51);
  place.reeds(pen, 1430, 1000, 1);
  pen.lay("Saltmarsh/Sky", [640, 60]);
  pen.lay("Saltmarsh/Sea", [800, 560]);
  pen.lay("Lantern hill/Grass", [700, 720], [100, 740], [700, 1020]);
  return pen;
}

export function atTheDoor() {
  const pen = new Pen(WIDTH, HEIGHT);
  place.backdrop(pen, "Saltmarsh/Sky");
  place.moon(pen, 1300, 170, 1.1);
  place.stars(pen, [[180, 110, 13], [420, 190, 10], [640, 90, 14], [900, 150, 11], [1080, 80, 12]]);
  place.horizon(pen, [[0, 520], [800, 514], [1500, 522]]);
  place.hut(pen, 330, 600, 1.25);
  place.bank(pen, [[0, 760], [420, 790], [900, 760], [1500, 780]]);
  place.puddle(pen, 700, 940, 180, 30);
  sorrel(pen, { x: 640, y: 660, scale: 1.06 }, { arm: "lamp", look: -1 });
  kettle(pen, { x: 1120, y: 690, scale: 1.08 }, { head: "up" });
  place.mailSack(pen, 360, 900, 1);
  place.letter(pen, 210, 970, 0.2, 1);
  place.lavender(pen, 1420, 990, 1);
  pen.lay("Saltmarsh/Sky", [760, 300]);
  return pen;
}

const MODEL = [1200, 1060];

function model(draw) {
  const pen = new Pen(...MODEL);
  draw(pen);
  return pen;
}

// Model sheets are laid wholly: small parts by the points that lie deepest in them.

export const modelJuniper = () =>
  model((pen) => {
    juniper(pen, { x: 360, y: 470, scale: 1.25 }, { stride: 130, arm: "swing" });
    juniper(pen, { x: 860, y: 560, scale: 1.3 }, { stilts: false, arm: "reach" });
    pen.lay("Juniper/Skin", [432.4, 225.2], [935.6, 304.4]);
    pen.lay("Juniper/Hair", [423.2, 249.6], [925.2, 332]);
    pen.lay("Juniper/Scarf", [566.4, 313.2], [545.6, 305.6], [1072.8, 399.6], [1054.8, 399.2], [421.2, 297.6], [324.4, 314.8], [923.2, 380.4], [816.4, 398.8], [628.8, 452.4], [634.8, 478], [518, 458], [230, 477.6], [996.8, 546.8], [1024, 548.8]);
    pen.lay("Juniper/Coat", [328.8, 344], [822, 430.8], [421.2, 430.8], [922.4, 519.6], [313.6, 444], [447.6, 498], [951.6, 589.2], [811.2, 542.4]);
    pen.lay("Post/Paper", [239.6, 392.4], [230.4, 396.4], [772, 486.8], [724, 482.8]);
    pen.lay("Post/Satchel", [221.6, 410], [285.2, 440], [839.6, 465.6], [420.8, 668.8], [268.8, 670.4]);
    pen.lay("Juniper/Lining", [668, 434.8], [203.6, 437.6], [199.6, 442.8], [960.4, 604.4]);
    pen.lay("Post/Brass", [254.8, 467.6], [750.4, 551.6]);
    pen.lay("Juniper/Boots", [270.8, 654.8], [412.8, 655.2], [812.4, 760.8], [913.2, 761.6]);
    pen.lay("Post/Stilts", [477.6, 701.6], [269.2, 705.2], [458.4, 828], [274.8, 865.6], [258, 974.4], [465.2, 888.4], [470.8, 937.2]);
  });

export const modelBram = () =>
  model((pen) => {
    bram(pen, { x: 600, y: 580, scale: 1.7 }, { arm: "rest" });
    pen.lay("Bram/Pale fur", [739.2, 146.4], [738, 262], [681.6, 202.8], [513.6, 207.2], [554.8, 289.6], [645.2, 288.4], [692.8, 284.4], [507.2, 311.2], [723.6, 318.4], [660, 309.6], [524.8, 326.4], [675.6, 326.4]);
    pen.lay("Bram/Dark fur", [598.4, 276.8], [333.6, 702.4], [925.6, 701.6], [858, 788], [345.2, 752.8], [868.4, 767.2]);
    pen.lay("Bram/Shirt", [518.4, 364.8], [580.8, 363.2], [619.2, 362.4], [893.2, 615.6], [384.8, 422], [912.8, 657.6], [287.6, 658], [362.8, 704.8]);
    pen.lay("Bram/Waistcoat", [760.4, 603.6], [430.4, 657.6]);
    pen.lay("Bram/Apron", [560.4, 788.8]);
  });

export const modelKettle = () =>
  model((pen) => {
    kettle(pen, { x: 660, y: 610, scale: 1.75 });
    pen.lay("Kettle/Coat", [286.8, 101.6], [267.2, 226], [195.6, 286], [224.8, 382], [508, 611.2], [963.6, 564], [768.8, 689.6], [556, 649.2], [876.4, 785.2], [530, 774.8], [816.4, 840.8]);
    pen.lay("Kettle/Hooves", [238.4, 322], [884.8, 952.4], [520, 952.4]);
    pen.lay("Kettle/Pale", [285.2, 264.8], [549.6, 715.6], [763.2, 726]);
    pen.lay("Post/Brass", [239.6, 375.2]);
    pen.lay("Post/Paper", [640.4, 465.2], [727.6, 492.8]);
    pen.lay("Kettle/Blanket", [767.6, 513.2], [572.4, 498.8], [684.4, 489.6], [786, 607.6], [544.4, 616.8]);
    pen.lay("Kettle/Stripe", [782.4, 568.8], [546, 580.8]);
    pen.lay("Kettle/Pannier", [724.8, 596], [678, 600.4], [630.8, 600], [587.6, 597.2], [585.2, 644], [739.2, 643.6], [632.4, 648], [593.6, 693.6], [728.8, 697.2], [682, 708.4]);
    pen.lay("Kettle/Mane", [971.2, 802]);
  });

export const modelSorrel = () =>
  model((pen) => {
    sorrel(pen, { x: 620, y: 590, scale: 1.65 }, { arm: "lamp" });
    pen.lay("Aunt Sorrel/Apron", [636, 144.4], [587.2, 150.8], [546.8, 163.6], [683.2, 164], [301.6, 319.6], [771.2, 641.6], [664, 675.2], [580.4, 676.4], [577.6, 748.8], [578.8, 750.8], [688, 858.8]);
    pen.lay("Aunt Sorrel/Skin", [622.4, 182.8], [665.6, 262], [574.4, 259.6], [260.8, 309.6], [770, 673.6]);
    pen.lay("Aunt Sorrel/Hair", [654.4, 206.4], [729.6, 556.8]);
    pen.lay("Aunt Sorrel/Headscarf", [700.4, 328], [624, 362.4], [646.4, 402.8], [597.2, 403.6]);
    pen.lay("Lantern hill/Iron", [250, 398]);
    pen.lay("Saltmarsh/Sun", [263.2, 464]);
    pen.lay("Aunt Sorrel/Shawl", [623.2, 394.8], [766, 548.4]);
    pen.lay("Aunt Sorrel/Border", [490.8, 576.4]);
    pen.lay("Aunt Sorrel/Dress", [753.6, 610], [453.2, 880.8], [780, 879.2]);
  });

/** Not in the book: a drawing that the tests bring in as new. */
export function juniperWaits() {
  const pen = new Pen(1000, 1000);
  place.backdrop(pen, "Saltmarsh/Sky");
  juniper(pen, { x: 480, y: 560, scale: 1.35, flip: true }, { stilts: false, arm: "swing", look: 1 });
  return pen;
}
