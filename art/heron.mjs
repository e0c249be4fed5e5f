// "The Heron's Umbrella": a small second book by another hand, with a broad, even brush and corners that stay open.
import { Pen, ellipse, rect } from "./pen.mjs";

/** A brush of one width that is lifted at corners. */
class Brush extends Pen {
  inkAlong(line, options = {}) {
    super.inkAlong(line, { ...options, w: options.w ?? 8.5, from: 1, to: 1, even: true });
  }

  /** Straight sides drawn one by one, which leave hairlines of paper at some corners. */
  slab(points) {
    this.hide(points, { corners: true });
    points.forEach((point, i) => {
      const next = points[(i + 1) % points.length];
      const short = i % 3 === 1 ? 0.985 : 1;
      this.line([point, [point[0] + (next[0] - point[0]) * short, point[1] + (next[1] - point[1]) * short]], {
        corners: true,
      });
    });
  }
}

const H = (name) => `Heron/${name}`;
const F = (name) => `Ferry steps/${name}`;

function heron(pen, { x, y, scale = 1, flip = false }, umbrella = true) {
  pen.within({ x, y, scale, flip }, () => {
    pen.as(H("Legs"));
    pen.slab(rect(-26, 150, 14, 190));
    pen.slab(rect(22, 150, 14, 190));
    pen.slab([[-40, 338], [4, 338], [16, 356], [-62, 356]]);
    pen.slab([[10, 338], [52, 338], [64, 356], [-4, 356]]);
    pen.lay(H("Legs"), [-19, 250], [29, 250], [-20, 348], [30, 348]);
    pen.as(H("Feather"));
    pen.shape([[-110, 60], [-60, -20], [40, -30], [110, 40], [96, 130], [10, 175], [-80, 140]]);
    pen.lay(H("Feather"), [60, 10]);
    pen.as(H("Wing"));
    pen.shape([[-150, 96], [-70, 20], [40, 40], [64, 96], [-20, 130]]);
    pen.line([[-96, 92], [-30, 70], [30, 84]]);
    pen.lay(H("Wing"), [-40, 55], [-20, 105]);
    pen.as(H("Feather"));
    pen.shape([[50, -20], [58, -120], [40, -210], [66, -260], [112, -262], [122, -214], [96, -170], [104, -90], [98, 20]]);
    pen.lay(H("Feather"), [78, -120]);
    pen.as(H("Beak"));
    pen.slab([[112, -252], [250, -226], [116, -214]]);
    pen.lay(H("Beak"), [150, -232]);
    pen.as(H("Crest"));
    pen.shape([[70, -262], [20, -296], [-30, -280], [10, -268], [50, -244]]);
    pen.lay(H("Crest"), [16, -283]);
    pen.as(undefined);
    pen.dot(96, -236, 7, 1);
    pen.as(H("Scarf"));
    pen.shape([[44, -90], [104, -82], [104, -52], [42, -60]]);
    pen.shape([[46, -66], [66, -60], [52, 10], [28, 4]]);
    pen.lay(H("Scarf"), [80, -70], [46, -24]);
    if (umbrella) {
      pen.line([[161, -420], [161, 100]], { corners: true, w: 13 });
      pen.as(H("Umbrella"));
      pen.shape([[-60, -360], [20, -470], [160, -520], [300, -470], [380, -360], [270, -384], [160, -366], [50, -384]]);
      pen.line([[160, -518], [70, -470], [50, -386]]);
      pen.line([[160, -518], [250, -470], [270, -386]]);
      pen.lay(H("Umbrella"), [-10, -390], [330, -390]);
      pen.lay(H("Ribs"), [160, -430]);
    }
  });
}

function house(pen, x, width, height, ground, lit) {
  pen.as(F("Wall"));
  pen.slab(rect(x, ground - height, width, height));
  pen.lay(F("Wall"), [x + width - 22, ground - 24]);
  pen.as(F("Brick"));
  pen.slab([[x - 26, ground - height], [x + width / 2, ground - height - 130], [x + width + 26, ground - height]]);
  pen.lay(F("Brick"), [x + width / 2, ground - height - 50]);
  pen.as(F("Door"));
  pen.slab(rect(x + 34, ground - 150, 76, 150));
  pen.lay(F("Door"), [x + 70, ground - 80]);
  pen.as(F("Window"));
  const at = [x + width - 120, ground - height + 50];
  pen.slab(rect(at[0], at[1], 84, 84));
  pen.line([[at[0] + 42, at[1]], [at[0] + 42, at[1] + 84]], { corners: true });
  if (lit) pen.lay(F("Window"), [at[0] + 20, at[1] + 40], [at[0] + 62, at[1] + 40]);
}

export function ferrySteps() {
  const pen = new Brush(1500, 1060);
  pen.tint(F("Sky"), rect(0, 0, 1500, 1060));
  pen.lay(F("Sky"), [60, 420]);
  pen.as(F("Cloud"));
  pen.shape([[180, 180], [240, 100], [360, 90], [430, 140], [520, 130], [560, 200], [440, 240], [260, 240]]);
  pen.shape([[1290, 130], [1350, 70], [1440, 80], [1480, 150], [1420, 190], [1320, 186]]);
  pen.lay(F("Cloud"), [360, 170], [1390, 130]);
  house(pen, 120, 330, 300, 700, true);
  house(pen, 480, 250, 360, 700, false);
  pen.as(F("Water"));
  pen.slab([[0, 860], [1500, 800], [1500, 1060], [0, 1060]]);
  pen.lay(F("Water"), [120, 980]);
  for (const [x, y] of [[140, 930], [420, 1000], [1250, 920]]) pen.line([[x, y], [x + 60, y - 12], [x + 130, y]]);
  for (let step = 0; step < 4; step++) {
    pen.as(F("Step"));
    pen.slab(rect(700 - 20 * step, 700 + 62 * step, 700 + 40 * step, 62));
    pen.lay(F("Step"), [760, 730 + 62 * step]);
  }
  pen.as(F("Step"));
  pen.slab([[0, 700], [702, 700], [702, 790], [0, 830]]);
  pen.lay(F("Step"), [60, 760]);
  heron(pen, { x: 1000, y: 452, scale: 0.72 });
  pen.as(undefined);
  for (const [x, y] of [[90, 330], [660, 60], [780, 240], [860, 120], [1340, 260], [1420, 420], [1360, 560]]) {
    pen.line([[x, y], [x - 16, y + 54]], { w: 5 });
  }
  return pen;
}

export function soup() {
  const pen = new Brush(1500, 1060);
  pen.tint(F("Wall"), rect(0, 0, 1500, 1060));
  pen.lay(F("Wall"), [80, 80]);
  pen.as(F("Window"));
  pen.slab(rect(930, 120, 380, 300));
  pen.line([[1120, 120], [1120, 420]], { corners: true });
  pen.line([[930, 270], [1310, 270]], { corners: true });
  pen.lay(F("Window"), [1000, 200], [1200, 200]);
  pen.as(F("Cloud"));
  pen.shape([[300, 60], [420, 60], [470, 170], [250, 170]]);
  pen.line([[360, 0], [360, 58]], { corners: true });
  heron(pen, { x: 420, y: 520, scale: 1.02 }, false);
  pen.as(F("Brick"));
  pen.slab([[0, 800], [1500, 800], [1500, 860], [0, 860]]);
  pen.lay(F("Brick"), [60, 830]);
  for (let fold = 0; fold < 6; fold++) {
    pen.as(F(fold % 2 === 0 ? "Step" : "Door"));
    pen.slab(rect(250 * fold, 860, 250, 200));
  }
  pen.lay(F("Step"), [120, 960]);
  pen.as(F("Water"));
  pen.shape([[860, 690], [1180, 690], [1130, 790], [910, 790]]);
  pen.as(H("Beak"));
  pen.shape(ellipse(1020, 690, 160, 30));
  pen.lay(H("Beak"), [1020, 690]);
  pen.as(undefined);
  for (const x of [950, 1020, 1090]) pen.line([[x, 640], [x + 16, 600], [x - 8, 560], [x + 10, 520]], { w: 5 });
  return pen;
}

export const title = "The Heron's Umbrella";

export const cards = [
  {
    name: "Heron",
    subject: "in the rain",
    swatches: [
      ["Feather", "#97a7bc"],
      ["Wing", "#5f6d88"],
      ["Crest", "#39415a"],
      ["Beak", "#dd9440"],
      ["Legs", "#57524a"],
      ["Scarf", "#7a9a5b"],
      ["Umbrella", "#b4474e"],
      ["Ribs", "#e7c9a0"],
    ].map(([name, colour]) => ({ name, colour })),
  },
  {
    name: "Ferry steps",
    subject: "place",
    swatches: [
      ["Sky", "#c9d3de"],
      ["Cloud", "#f1f2f0"],
      ["Water", "#6f9a97"],
      ["Wall", "#dccbb2"],
      ["Brick", "#a8644c"],
      ["Step", "#bab4a8"],
      ["Window", "#f0cb6c"],
      ["Door", "#38595f"],
    ].map(([name, colour]) => ({ name, colour })),
  },
];

export const sheets = { ferrySteps, soup };
export const scenes = [{ title: "A wet afternoon", sheets: [["Rain on the ferry steps", "ferrySteps"], ["Soup for one", "soup"]] }];
