// Bram: a broad old badger who keeps the post office. The origin is the middle of his belt; he stands 210 units below it and
// 280 above.
import { ellipse } from "./pen.mjs";

/** pose: { arm: "wave" | "hold" | "rest", legs, look } */
export function bram(pen, at, { arm = "rest", legs = true, look = 0 } = {}) {
  pen.within(at, () => {
    if (legs) feet(pen);
    farArm(pen);
    body(pen);
    head(pen, look);
    nearArm(pen, arm);
    lay(pen, look, legs);
  });
}

function lay(pen, look, legs) {
  const x = look * 6;
  pen.lay("Bram/Shirt", [0, -60], [0, 60], [140, -40], [-148, 0]);
  pen.lay("Bram/Waistcoat", [-70, -40], [70, -40], [110, 20]);
  pen.lay("Bram/Apron", [-90, 110], [90, 110], [-60, 140]);
  pen.lay("Bram/Pale fur", [x, -240], [x, -150], [x - 62, -170], [x + 62, -160]);
  pen.lay("Bram/Dark fur", [x - 46, -250], [x + 46, -250]);
  pen.lay("Bram/Cap", [x + 30, -310], [x + 50, -272], [-28, -124], [28, -124]);
  pen.lay("Post/Brass", [x, -305], [-28, -44], [-28, -8], [-28, 28], [0, -124]);
  if (legs) pen.lay("Bram/Dark fur", [-120, 190], [120, 190], [100, 150]);
}

function feet(pen) {
  pen.as("Bram/Dark fur").shape([[40, 80], [150, 70], [146, 168], [56, 172]], { w: 5 });
  pen.as("Bram/Dark fur").shape([[-146, 70], [-30, 80], [-52, 174], [-140, 168]], { w: 5, gaps: [[0.3, 9]] });
  pen.as("Bram/Dark fur").shape([[40, 162], [152, 158], [184, 186], [180, 206], [44, 208]], { w: 5 });
  pen.as("Bram/Dark fur").shape([[-146, 158], [-46, 162], [-44, 208], [-182, 206], [-188, 186]], { w: 5 });
  for (const x of [154, 168, -160, -174]) pen.line([[x, 190], [x + (x > 0 ? 5 : -5), 204]], { w: 3 });
}

function body(pen) {
  // Shirt.
  pen.as("Bram/Shirt").shape(
    [[-70, -122], [0, -136], [72, -122], [132, -60], [158, 20], [140, 96], [60, 118], [-60, 118], [-142, 96], [-160, 18], [-134, -62]],
    { w: 5.4 },
  );
  // Waistcoat, open at the front; the left half's edge misses the hem.
  pen.as("Bram/Waistcoat").shape([[-66, -118], [-34, -108], [-14, -20], [-24, 70], [-84, 82], [-140, 66], [-152, 6], [-122, -62]], { w: 4.8, gaps: [[0.42, 9]] });
  pen.as("Bram/Waistcoat").shape([[68, -118], [36, -108], [14, -20], [24, 70], [86, 82], [140, 64], [150, 6], [122, -62]], { w: 4.8 });
  for (const y of [-44, -8, 28]) pen.as("Post/Brass").shape(ellipse(-28, y, 6.5), { w: 3 });
  // Watch pocket and chain.
  pen.line([[-132, 16], [-104, 24], [-76, 16]], { w: 3.4 });
  pen.line([[-92, 20], [-66, 46], [-30, 30]], { w: 2.4, from: 1, to: 1 });
  pen.as("Bram/Waistcoat").shape([[70, 6], [116, -2], [124, 44], [78, 50]], { corners: true, w: 3.6 });
  pen.line([[70, 18], [96, 26], [120, 10]], { w: 3 });
  // Apron strings and apron below the waistcoat.
  pen.as("Bram/Apron").shape([[-128, 70], [-40, 84], [40, 84], [128, 68], [138, 150], [60, 164], [-60, 164], [-140, 150]], { w: 4.8 });
  pen.as("Bram/Apron").shape([[-46, 104], [44, 104], [40, 142], [-42, 142]], { w: 3.6, gaps: [[0.7, 8]] });
  pen.line([[-2, 105], [0, 124], [-1, 141]], { w: 3, from: 0.9, to: 0.9 });
  pen.line([[-104, 92], [-110, 130]], { w: 2.8, to: 0.2 });
  pen.line([[100, 90], [106, 128]], { w: 2.8, to: 0.2 });
  // Bow tie.
  pen.as("Bram/Cap").shape([[-8, -124], [-42, -140], [-46, -106]], { corners: true, w: 3.8 });
  pen.as("Bram/Cap").shape([[8, -124], [42, -140], [46, -106]], { corners: true, w: 3.8 });
  pen.as("Post/Brass").shape(ellipse(0, -124, 10, 11), { w: 3.6 });
}

function head(pen, look) {
  pen.within({ x: look * 6, y: -208, turn: look * 0.05 }, () => {
    pen.as("Bram/Pale fur").shape(ellipse(-66, -52, 21, 22, -0.4), { w: 4.4 });
    pen.as("Bram/Pale fur").shape(ellipse(66, -52, 21, 22, 0.4), { w: 4.4 });
    pen.as("Bram/Dark fur").shape(ellipse(-66, -50, 10, 11, -0.4), { w: 3 });
    pen.as("Bram/Dark fur").shape(ellipse(66, -50, 10, 11, 0.4), { w: 3 });
    // Skull with ragged cheeks.
    pen.as("Bram/Pale fur").shape(
      [[-84, 2], [-78, -44], [-44, -76], [0, -84], [44, -76], [78, -44], [84, 2], [98, 26], [76, 36], [56, 58], [24, 76], [-24, 76], [-56, 58], [-76, 36], [-98, 26]],
      { w: 5.2, gaps: [[0.08, 8]] },
    );
    // Two dark stripes over the eyes, from the brow to the cheek.
    pen.as("Bram/Dark fur").shape([[-20, -78], [-48, -70], [-68, -30], [-70, 18], [-46, 34], [-30, 8], [-24, -34]], { w: 4.2 });
    pen.as("Bram/Dark fur").shape([[20, -78], [48, -70], [68, -30], [70, 18], [46, 34], [30, 8], [24, -34]], { w: 4.2, gaps: [[0.52, 7]] });
    // Eyes in white rings, spectacles that do not quite close.
    for (const side of [-1, 1]) {
      pen.as("Bram/Pale fur").shape(ellipse(side * 44, -6, 13, 14), { w: 3 });
      pen.dot(side * 43 + look * 4, -5, 5.4, 1.2);
    }
    // Muzzle, nose, mouth, whiskers.
    pen.as("Bram/Pale fur").shape([[-34, 26], [0, 10], [34, 26], [40, 54], [18, 74], [-18, 74], [-40, 54]], { w: 4 });
    pen.as("Bram/Dark fur").shape([[-17, 22], [0, 17], [17, 22], [12, 38], [0, 43], [-12, 38]], { w: 4 });
    pen.line([[0, 43], [0, 54]], { w: 3.2 });
    pen.line([[-22, 55], [-10, 62], [0, 55], [10, 62], [22, 55]], { w: 3.6 });
    for (const [x, y] of [[-1, 0], [1, 0]]) {
      pen.line([[x * 36, 46 + y], [x * 66, 44], [x * 84, 50]], { w: 2, to: 0.1 });
      pen.line([[x * 36, 52 + y], [x * 62, 58], [x * 78, 68]], { w: 2, to: 0.1 });
    }
    // Post cap with a badge.
    pen.as("Bram/Cap").shape([[-62, -66], [-54, -112], [0, -124], [54, -112], [62, -66], [0, -80]], { w: 4.8, gaps: [[0.2, 7]] });
    pen.as("Bram/Cap").shape([[-70, -66], [0, -84], [70, -66], [78, -50], [0, -66], [-78, -50]], { w: 4.4 });
    pen.as("Post/Brass").shape(ellipse(0, -97, 11, 10), { w: 3 });
  });
}

function farArm(pen) {
  pen.as("Bram/Shirt").shape([[96, -104], [132, -84], [176, -16], [186, 40], [150, 52], [128, 6], [100, -40]], { w: 5 });
  pen.as("Bram/Shirt").shape([[148, 44], [188, 34], [194, 54], [152, 64]], { w: 4 });
  pen.within({ x: 174, y: 72 }, () => paw(pen));
}

function nearArm(pen, arm) {
  if (arm === "wave") {
    pen.as("Bram/Shirt").shape([[-90, -108], [-128, -98], [-176, -150], [-206, -206], [-172, -222], [-142, -172], [-104, -132]], { w: 5.2, gaps: [[0.93, 9]] });
    pen.as("Bram/Shirt").shape([[-212, -208], [-170, -228], [-178, -246], [-218, -226]], { w: 4 });
    pen.within({ x: -204, y: -256, turn: 3 }, () => paw(pen));
  } else if (arm === "hold") {
    pen.as("Bram/Shirt").shape([[-92, -104], [-132, -86], [-170, -30], [-150, 6], [-96, 2], [-92, -26], [-120, -34], [-100, -66]], { w: 5.2, gaps: [[0.12, 9]] });
    pen.as("Bram/Shirt").shape([[-100, -30], [-82, -30], [-80, 6], [-98, 8]], { w: 4 });
    pen.within({ x: -62, y: -10, turn: -1.5 }, () => paw(pen));
  } else {
    pen.as("Bram/Shirt").shape([[-92, -106], [-132, -86], [-172, -20], [-184, 40], [-148, 52], [-126, 6], [-100, -40]], { w: 5.2, gaps: [[0.1, 9]] });
    pen.as("Bram/Shirt").shape([[-188, 34], [-148, 44], [-152, 64], [-194, 54]], { w: 4 });
    pen.within({ x: -174, y: 72, flip: true }, () => paw(pen));
  }
}

/** Three blunt fingers make two small pockets between them. */
function paw(pen) {
  pen.as("Bram/Dark fur").shape([[-24, -12], [22, -12], [28, 12], [14, 30], [-14, 30], [-28, 12]], { w: 4.2 });
  pen.line([[-8, 30], [-7, 16]], { w: 3 });
  pen.line([[8, 30], [8, 15]], { w: 3 });
  for (const x of [-18, 0, 18]) pen.line([[x, 28], [x + 1, 38]], { w: 3, to: 0.2 });
}
