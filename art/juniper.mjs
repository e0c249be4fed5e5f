// Juniper: a girl on tall stilts, in an oilskin coat, scarf and satchel. The origin is her hip; she is about 300 units
// from there to the top of her hair, and her stilts reach 420 below.
import { curve, ellipse, sides } from "./pen.mjs";

/**
 * pose: { stride, near, far, lean, look, arm: "swing" | "reach" | "wave", stilts }
 * stride: how far the stilts are apart at the bottom.
 */
export function juniper(pen, at, pose = {}) {
  const { stride = 150, look = 0, arm = "swing", stilts = true, satchel = true, scarfBack = true } = pose;
  pen.within(at, () => {
    if (scarfBack) scarfTail(pen);
    farArm(pen);
    if (stilts) {
      leg(pen, 26, stride * 0.52, 0.04);
      leg(pen, -22, -stride * 0.48, -0.03);
    } else {
      standingLegs(pen);
    }
    coat(pen);
    if (satchel) bag(pen);
    head(pen, look);
    scarf(pen);
    nearArm(pen, arm);
    lay(pen, look, stilts, arm, scarfBack);
    // Shadow on the side of the coat, and under the hair.
    pen.shade("Juniper/Coat", [34, -150], [70, -140], [110, 40], [40, 70], [30, 0], [22, -70]);
    pen.shade("Juniper/Skin", [look * 11 - 60, -240], [look * 11 + 70, -236], [look * 11 + 60, -212], [look * 11, -224], [look * 11 - 50, -210]);
  });
}

function lay(pen, look, stilts, arm, scarfBack) {
  pen.lay("Juniper/Coat", [-22, -70], [30, -70], [50, -10], [-30, -10], [84, -70]);
  pen.lay("Juniper/Lining", [-30, 27]);
  pen.lay("Juniper/Scarf", [-30, -148], [0, -120], [32, -122], ...(scarfBack ? [[100, -130]] : []));
  pen.lay("Juniper/Skin", [look * 11, -170], [55 + look * 5, -200]);
  pen.lay("Juniper/Hair", [look * 5 - 10, -262], [30 + look * 5, -278], [look * 5 - 54, -185]);
  pen.lay("Juniper/Trousers", ...(stilts ? [[44, 60], [-40, 60]] : [[26, 50], [-24, 50]]));
  pen.lay("Juniper/Boots", ...(stilts ? [[60, 135], [-58, 136], [78, 170], [-38, 172]] : [[26, 110], [-24, 110]]));
  pen.lay("Post/Satchel", [-92, 22], [-110, -12]);
  pen.lay("Post/Brass", [-1, -66], [-1, -28]);
  if (arm === "swing") {
    pen.lay("Juniper/Coat", [-86, -60]);
    pen.lay("Juniper/Lining", [-106, -24]);
    pen.lay("Juniper/Scarf", [-122, 2], [110, -18]);
  } else {
    pen.lay("Post/Paper", [-88, -58]);
  }
  if (arm === "reach") pen.lay("Juniper/Coat", [-90, -76]);
}

function leg(pen, x, foot, lean) {
  const kneeX = x + foot * 0.25;
  const ankleX = x + foot * 0.5;
  // The stilt runs behind the boot, up to the knee.
  const bottom = [x + foot, 420];
  const top = [kneeX + 9, 62];
  pen.as("Post/Stilts").shape(
    [
      [top[0] - 8, top[1]],
      [top[0] + 8, top[1] - 2],
      [bottom[0] + 9, bottom[1]],
      [bottom[0] - 8, bottom[1]],
    ],
    { corners: true, gaps: [[0.3, 9]] },
  );
  // Trouser leg.
  pen.as("Juniper/Trousers").shape(
    [
      [x - 22, 6],
      [x + 22, 4],
      [kneeX + 22, 64],
      [ankleX + 19, 132],
      [ankleX - 19, 134],
      [kneeX - 22, 70],
    ],
    { w: 4.4 },
  );
  pen.line([[kneeX - 12, 72], [kneeX + 2, 78], [kneeX + 15, 73]], { w: 3 });
  // The peg that the boot stands on, and the boot.
  pen.as("Post/Stilts").shape(
    [[ankleX - 26, 180], [ankleX + 40, 176], [ankleX + 40, 190], [ankleX - 24, 194]],
    { corners: true },
  );
  pen.as("Juniper/Boots").shape(
    [
      [ankleX - 21, 126],
      [ankleX + 20, 124],
      [ankleX + 21, 152],
      [ankleX + 44, 164],
      [ankleX + 47, 178],
      [ankleX - 20, 182],
      [ankleX - 25, 156],
    ],
    { w: 4.6, gaps: [[0.62, 7]] },
  );
  pen.line([[ankleX - 21, 140], [ankleX, 145], [ankleX + 20, 139]], { w: 3.2, from: 0.7, to: 0.7 });
  // Strap around boot and stilt; one end stops short.
  pen.as("Post/Satchel").shape([[ankleX - 25, 156], [ankleX + 24, 150], [ankleX + 26, 159], [ankleX - 25, 166]], { corners: true, w: 3.2 });
  pen.line([[x + foot * 0.83 - 11, 330], [x + foot * 0.83 + 8, 326]], { w: 2.6 });
  pen.line([[x + foot * 0.9 - 10, 366], [x + foot * 0.9 + 5, 363]], { w: 2.6 });
  void lean;
}

function standingLegs(pen) {
  for (const x of [26, -24]) {
    pen.as("Juniper/Trousers").shape([[x - 22, 4], [x + 22, 4], [x + 20, 92], [x - 20, 94]], { w: 4.4 });
    pen.as("Juniper/Boots").shape([[x - 23, 84], [x + 22, 82], [x + 24, 128], [x + 50, 140], [x + 52, 156], [x - 24, 158]], { w: 4.6 });
    pen.line([[x - 24, 146], [x + 10, 148], [x + 52, 146]], { w: 3, from: 0.8, to: 0.8 });
  }
}

function coat(pen) {
  pen.as("Juniper/Coat").shape(
    [
      [-44, -132],
      [0, -146],
      [44, -134],
      [60, -70],
      [84, 22],
      [48, 38],
      [0, 42],
      [-50, 37],
      [-90, 20],
      [-62, -70],
    ],
    { w: 5.2, gaps: [[0.44, 8]] },
  );
  // Hem, placket, buttons, pocket with its flap, a fold that stops short of the hem.
  pen.line([[-84, 2], [-40, 20], [0, 24], [46, 21], [79, 4]], { w: 3.4, from: 1, to: 1 });
  pen.line([[8, -140], [14, -80], [10, -20], [12, 40]], { w: 3.8, from: 1, to: 1 });
  for (const y of [-104, -66, -28]) pen.as("Post/Brass").shape(ellipse(-1, y, 6.2, 6.4), { w: 2.8 });
  pen.as("Juniper/Coat").shape([[34, -38], [64, -42], [70, -10], [38, -6]], { corners: true, w: 3.4 });
  pen.line([[33, -28], [50, -22], [67, -31]], { w: 3 });
  pen.line([[-58, -58], [-66, -20], [-72, -2]], { w: 3, to: 0.2 });
  pen.line([[-40, 18], [-34, -8], [-36, -30]], { w: 2.8, to: 0.15 });
  pen.line([[40, 20], [36, 2]], { w: 2.8, to: 0.15 });
}

function bag(pen) {
  // Strap over the shoulder, in two lines; the bag at her side with a letter looking out.
  pen.as("Post/Satchel").shape([[28, -140], [42, -134], [-52, -36], [-64, -46]], { corners: true, w: 3.6, gaps: [[0.33, 7]] });
  pen.within({ x: -84, y: -12, turn: 0.1 }, () => {
    pen.as("Post/Paper").shape([[-28, -52], [14, -58], [20, -20], [-24, -16]], { corners: true, w: 3.2 });
    pen.line([[-28, -52], [-3, -34], [14, -58]], { w: 2.8, from: 0.9, to: 0.9 });
    pen.as("Post/Satchel").shape([[-42, -34], [0, -40], [36, -34], [40, 26], [2, 36], [-42, 28]], { w: 4.6 });
    pen.as("Post/Satchel").shape([[-43, -34], [0, -40], [37, -34], [34, -4], [0, 10], [-40, -2]], { w: 4.2, gaps: [[0.6, 8]] });
    pen.as("Post/Brass").shape([[-7, -2], [8, -3], [8, 16], [-6, 17]], { w: 3 });
  });
}

function head(pen, look) {
  pen.within({ x: look * 5, y: -205, turn: look * 0.05 }, () => {
    // Hair behind, the bun, open tips.
    pen.as("Juniper/Hair").shape(ellipse(30, -74, 25, 23), { w: 4.4 });
    pen.line([[18, -82], [30, -88], [43, -78]], { w: 2.8 });
    pen.line([[15, -68], [28, -62], [44, -66]], { w: 2.6 });
    pen.as("Juniper/Hair").shape(
      [[-58, 8], [-63, -28], [-40, -66], [0, -76], [42, -64], [62, -26], [58, 12], [44, 40], [-44, 38]],
      { w: 4.8 },
    );
    // Face, with an ear.
    pen.as("Juniper/Skin").shape(ellipse(55, 2, 11, 14), { w: 3.6 });
    pen.line([[52, -3], [58, 2], [53, 8]], { w: 2.2 });
    pen.as("Juniper/Skin").shape([[-48, -22], [-20, -36], [26, -34], [48, -20], [52, 10], [36, 40], [0, 52], [-36, 41], [-52, 12]], { w: 4.4 });
    // The cap of hair with its fringe, and loose locks whose tips stay open.
    const crown = curve([[-61, 4], [-63, -28], [-42, -63], [0, -75], [43, -63], [62, -28], [60, 4]]);
    const fringe = sides([[60, 4], [53, -8], [47, -28], [38, -16], [22, -12], [7, -36], [-4, -14], [-20, -12], [-30, -34], [-42, -14], [-54, -6], [-61, 4]], false);
    pen.as("Juniper/Hair").outlined([...crown, ...fringe.slice(1, -1)], { w: 4.2 });
    pen.line([[-2, -74], [-12, -92], [-30, -96]], { w: 3.2, from: 0.8, to: 0.15 });
    pen.line([[8, -75], [2, -88], [-12, -99]], { w: 3.2, from: 0.8, to: 0.15 });
    pen.line([[-20, -62], [-10, -52], [-6, -38]], { w: 2.6, to: 0.2 });
    pen.line([[20, -64], [24, -54], [24, -44]], { w: 2.6, to: 0.2 });
    // Features.
    const e = look * 6;
    pen.dot(-20 + e, 5, 4.2, 1.35);
    pen.dot(19 + e, 4, 4.2, 1.35);
    pen.line([[-31 + e, -7], [-21 + e, -12], [-12 + e, -9]], { w: 2.8 });
    pen.line([[12 + e, -10], [21 + e, -13], [30 + e, -8]], { w: 2.8 });
    pen.line([[-2 + e, 8], [4 + e, 16], [-3 + e, 19]], { w: 2.8 });
    pen.line([[-18 + e, 28], [-2 + e, 37], [18 + e, 27]], { w: 3.4 });
    for (const x of [-36, -31, 31, 36]) pen.line([[x + e, 18], [x - 3 + e, 25]], { w: 2 });
  });
}

function scarfTail(pen) {
  // Streams out behind her in the wind; the two fringed ends are open.
  pen.as("Juniper/Scarf").shape([[30, -140], [78, -152], [122, -134], [168, -150], [178, -124], [126, -106], [80, -122], [40, -112]], { w: 4.4 });
  for (const [a, b] of [[[170, -147], [186, -150]], [[173, -139], [192, -138]], [[175, -131], [189, -126]], [[176, -126], [184, -116]]]) {
    pen.line([a, b], { w: 2.8 });
  }
  pen.line([[140, -140], [144, -114]], { w: 3, from: 0.9, to: 0.9 });
  pen.line([[154, -146], [158, -118]], { w: 3, from: 0.9, to: 0.9 });
}

function scarf(pen) {
  pen.as("Juniper/Scarf").shape([[-48, -150], [-20, -160], [24, -160], [50, -150], [54, -126], [26, -112], [-22, -111], [-53, -126]], { w: 4.6 });
  pen.line([[-50, -140], [-10, -128], [50, -143]], { w: 3.2, from: 0.9, to: 0.3 });
  pen.line([[-34, -115], [-10, -122], [14, -121]], { w: 2.8 });
  pen.as("Juniper/Scarf").shape([[20, -136], [42, -138], [46, -112], [22, -108]], { w: 4 });
}

function farArm(pen) {
  pen.as("Juniper/Coat").shape([[36, -126], [58, -112], [96, -66], [112, -34], [92, -20], [64, -52], [34, -84]], { w: 4.6 });
  pen.within({ x: 110, y: -20, turn: 0.5 }, () => mitten(pen));
}

function nearArm(pen, arm) {
  if (arm === "wave") {
    pen.as("Juniper/Coat").shape([[-40, -130], [-64, -122], [-104, -156], [-134, -190], [-116, -208], [-82, -176], [-48, -152]], { w: 4.8, gaps: [[0.9, 8]] });
    cuff(pen, -126, -200, 2.3);
    pen.within({ x: -140, y: -216, turn: 2.5 }, () => mitten(pen));
  } else if (arm === "reach") {
    pen.as("Juniper/Coat").shape([[-44, -128], [-62, -112], [-96, -92], [-148, -96], [-148, -70], [-92, -62], [-48, -76]], { w: 4.8 });
    cuff(pen, -150, -83, 1.6);
    pen.within({ x: -168, y: -82, turn: 1.7 }, () => mitten(pen));
  } else {
    pen.as("Juniper/Coat").shape([[-38, -128], [-60, -118], [-86, -66], [-112, -34], [-92, -16], [-58, -48], [-38, -82]], { w: 4.8 });
    cuff(pen, -106, -24, 0.7);
    pen.within({ x: -118, y: -8, turn: 0.7 }, () => mitten(pen));
  }
}

function cuff(pen, x, y, turn) {
  pen.within({ x, y, turn }, () => {
    pen.as("Juniper/Lining").shape([[-18, -9], [18, -9], [19, 8], [-18, 8]], { w: 3.8 });
  });
}

function mitten(pen) {
  pen.as("Juniper/Scarf").shape([[-14, -8], [0, -14], [15, -8], [18, 14], [4, 26], [-12, 20]], { w: 4 });
  pen.as("Juniper/Scarf").shape([[13, -8], [24, -4], [26, 8], [16, 10]], { w: 3.4 });
}
