// Aunt Sorrel, who tends the signal lantern: tall, in a fringed shawl and a headscarf. The origin is her waist; she stands 214 units below it
// and 290 above.
import { ellipse } from "./pen.mjs";

/** pose: { arm: "lamp" | "rest", look } */
export function sorrel(pen, at, { arm = "rest", look = 0 } = {}) {
  pen.within(at, () => {
    boots(pen);
    skirt(pen);
    farArm(pen);
    shawl(pen);
    head(pen, look);
    plait(pen);
    nearArm(pen, arm);
    lay(pen, arm, look);
    // Shadow on the side of the shawl, and under its fringe.
    pen.shade("Aunt Sorrel/Shawl", [44, -150], [110, -110], [120, 40], [10, 80], [38, 0], [34, -80]);
    pen.shade("Aunt Sorrel/Dress", [-130, -30], [130, -30], [104, 70], [50, 40], [0, 84], [-50, 44], [-104, 60]);
  });
}

function lay(pen, arm, look) {
  pen.lay("Aunt Sorrel/Dress", [-78, 150], [80, 150], [104, -30]);
  pen.lay("Aunt Sorrel/Apron", [0, 80], [-6, 130]);
  pen.lay("Aunt Sorrel/Shawl", [-50, -70], [50, -60], [0, 10]);
  pen.lay("Aunt Sorrel/Boots", [-34, 206], [40, 206]);
  pen.lay("Aunt Sorrel/Brooch", [0, -104]);
  pen.within({ x: look * 5, y: -200, turn: look * 0.05 }, () => {
    pen.lay("Aunt Sorrel/Skin", [4, 18], [-24, 26]);
    pen.lay("Aunt Sorrel/Hair", [-30, -24]);
    pen.lay("Aunt Sorrel/Headscarf", [0, -62], [-58, 20]);
  });
  pen.lay("Aunt Sorrel/Hair", [58, -104], [66, -74], [70, -46]);
  if (arm === "lamp") {
    pen.lay("Aunt Sorrel/Dress", [-110, -112]);
    pen.lay("Lantern hill/Glass", [-200, -84]);
    pen.lay("Lantern hill/Iron", [-216, -50]);
  }
}

function boots(pen) {
  pen.as("Aunt Sorrel/Boots").shape([[-54, 176], [-12, 178], [-10, 212], [-70, 212], [-66, 198]], { w: 4.4 });
  pen.as("Aunt Sorrel/Boots").shape([[16, 178], [56, 176], [72, 198], [76, 212], [14, 212]], { w: 4.4, gaps: [[0.2, 8]] });
}

function skirt(pen) {
  pen.as("Aunt Sorrel/Dress").shape([[-56, -12], [58, -12], [92, 90], [112, 190], [40, 200], [0, 197], [-46, 201], [-110, 190], [-90, 90]], { w: 5.2, gaps: [[0.66, 10]] });
  pen.line([[-78, 80], [-88, 140], [-92, 186]], { w: 3, from: 0.2, to: 0.3 });
  pen.line([[76, 70], [84, 130], [82, 178]], { w: 3, from: 0.2, to: 0.2 });
  pen.as("Aunt Sorrel/Apron").shape([[-34, 20], [36, 20], [46, 90], [56, 166], [2, 174], [-52, 166], [-44, 90]], { w: 4.4 });
  pen.as("Aunt Sorrel/Apron").shape([[-26, 60], [28, 60], [26, 102], [0, 112], [-24, 102]], { w: 3.6, gaps: [[0.82, 7]] });
  pen.line([[-50, 150], [0, 158], [54, 150]], { w: 2.8, from: 0.8, to: 0.4 });
}

function farArm(pen) {
  pen.as("Aunt Sorrel/Dress").shape([[66, -96], [98, -76], [122, -20], [118, 34], [88, 30], [86, -14], [64, -50]], { w: 4.8 });
  pen.as("Aunt Sorrel/Apron").shape([[86, 24], [120, 28], [118, 42], [84, 38]], { corners: true, w: 3.6 });
  pen.within({ x: 100, y: 52 }, () => hand(pen));
}

function shawl(pen) {
  pen.as("Aunt Sorrel/Shawl").shape([[-30, -142], [30, -142], [84, -96], [96, -14], [40, 32], [0, 58], [-42, 30], [-96, -12], [-86, -94]], { w: 5.2, gaps: [[0.36, 9]] });
  pen.line([[0, -96], [10, -40], [2, 26]], { w: 3.4, from: 0.8, to: 0.3 });
  pen.line([[-84, -30], [-40, 10], [0, 34], [38, 12], [84, -32]], { w: 3.2, from: 0.9, to: 0.6 });
  pen.line([[-50, -110], [-58, -60]], { w: 2.8, to: 0.2 });
  pen.line([[46, -112], [58, -60]], { w: 2.8, to: 0.2 });
  // The fringe: open threads.
  for (const [x, y] of [[-84, 2], [-66, 16], [-48, 28], [-28, 42], [-8, 54], [14, 50], [34, 38], [54, 24], [74, 8]]) {
    pen.line([[x, y], [x - 2, y + 18]], { w: 2.6, to: 0.3 });
  }
  pen.as("Aunt Sorrel/Brooch").shape(ellipse(0, -104, 12, 11), { w: 3.6 });
}

function head(pen, look) {
  pen.within({ x: look * 5, y: -200, turn: look * 0.05 }, () => {
    // Headscarf behind, with two tails that are knotted under the chin.
    pen.as("Aunt Sorrel/Headscarf").shape([[-60, 2], [-62, -40], [-36, -76], [6, -84], [46, -70], [66, -30], [60, 10], [62, 44], [30, 66], [-34, 66], [-66, 40]], { w: 5 });
    pen.as("Aunt Sorrel/Skin").shape([[-46, -20], [-20, -40], [24, -38], [48, -14], [46, 22], [26, 46], [0, 54], [-26, 46], [-46, 20]], { w: 4.4 });
    // White hair that looks out, parted in two.
    pen.as("Aunt Sorrel/Hair").shape([[-48, -10], [-46, -34], [-14, -48], [2, -38], [-10, -22], [-34, -16]], { w: 3.4 });
    pen.as("Aunt Sorrel/Hair").shape([[50, -6], [48, -32], [22, -48], [2, -38], [14, -22], [36, -14]], { w: 3.4, gaps: [[0.3, 7]] });
    pen.as("Aunt Sorrel/Headscarf").shape([[-62, -4], [-60, -44], [-34, -74], [6, -82], [44, -68], [64, -30], [60, 2], [48, -26], [24, -46], [0, -52], [-26, -46], [-50, -28]], { w: 4.2 });
    // Glasses that do not quite close, a long nose, laughter lines.
    for (const side of [-1, 1]) pen.as("Aunt Sorrel/Skin").shape(ellipse(side * 20 + look * 4, 2, 14, 13), { w: 2.8, gaps: side > 0 ? [[0.4, 6]] : [] });
    pen.line([[-6 + look * 4, 0], [0 + look * 4, -4], [6 + look * 4, 0]], { w: 2.8 });
    for (const side of [-1, 1]) pen.dot(side * 19 + look * 6, 3, 3.8, 1.2);
    pen.line([[1 + look * 5, 6], [8 + look * 6, 20], [-3 + look * 5, 23]], { w: 2.8 });
    pen.line([[-16, 34], [0, 40], [18, 32]], { w: 3.2 });
    pen.line([[-34, 18], [-30, 28]], { w: 2.2, to: 0.2 });
    pen.line([[36, 16], [32, 27]], { w: 2.2, to: 0.2 });
    pen.as("Aunt Sorrel/Headscarf").shape([[-10, 56], [12, 56], [10, 72], [-8, 72]], { w: 3.4 });
    pen.as("Aunt Sorrel/Headscarf").shape([[-8, 70], [4, 70], [-10, 96], [-26, 90]], { corners: true, w: 3.4 });
    pen.as("Aunt Sorrel/Headscarf").shape([[0, 70], [10, 70], [28, 88], [14, 98]], { corners: true, w: 3.4 });
    for (const [x, y] of [[-44, -58], [-20, -66], [10, -70], [38, -58]]) pen.as("Aunt Sorrel/Apron").shape(ellipse(x, y, 5, 4.4), { w: 2.4 });
  });
}

function plait(pen) {
  pen.as("Aunt Sorrel/Hair").shape(ellipse(58, -104, 16, 18, 0.4), { w: 3.8 });
  pen.as("Aunt Sorrel/Hair").shape(ellipse(66, -74, 15, 17, -0.2), { w: 3.8, gaps: [[0.6, 6]] });
  pen.as("Aunt Sorrel/Hair").shape(ellipse(70, -46, 13, 15, 0.2), { w: 3.6 });
  for (const x of [64, 71, 79]) pen.line([[x, -32], [x + (x - 71) * 0.5, -10]], { w: 2.6, to: 0.1 });
}

function nearArm(pen, arm) {
  if (arm === "lamp") {
    pen.as("Aunt Sorrel/Dress").shape([[-66, -98], [-88, -118], [-146, -136], [-184, -160], [-192, -136], [-150, -102], [-96, -72], [-72, -66]], { w: 4.8, gaps: [[0.86, 8]] });
    pen.as("Aunt Sorrel/Apron").shape([[-186, -166], [-200, -134], [-212, -140], [-198, -172]], { corners: true, w: 3.6 });
    handLamp(pen, -216, -142);
    pen.within({ x: -214, y: -158, turn: 1.9 }, () => hand(pen));
  } else {
    pen.as("Aunt Sorrel/Dress").shape([[-66, -96], [-98, -76], [-124, -22], [-116, 34], [-86, 30], [-88, -14], [-66, -50]], { w: 4.8 });
    pen.as("Aunt Sorrel/Apron").shape([[-84, 24], [-118, 28], [-116, 42], [-82, 38]], { corners: true, w: 3.6 });
    pen.within({ x: -98, y: 52, flip: true }, () => hand(pen));
  }
}

function hand(pen) {
  pen.as("Aunt Sorrel/Skin").shape([[-14, -12], [14, -12], [20, 8], [8, 26], [-8, 26], [-18, 8]], { w: 3.8 });
  pen.line([[-3, 26], [-2, 12]], { w: 2.6 });
  pen.line([[6, 25], [6, 13]], { w: 2.6 });
}

function handLamp(pen, x, y) {
  pen.within({ x, y }, () => {
    pen.as("Lantern hill/Iron").shape(ellipse(0, 4, 13, 15), { w: 3.2 });
    pen.as("Lantern hill/Iron").shape([[-26, 34], [-12, 18], [12, 18], [26, 34]], { corners: true, w: 3.8 });
    pen.as("Lantern hill/Glass").shape([[-22, 34], [22, 34], [26, 84], [-26, 84]], { corners: true, w: 4 });
    pen.as("Saltmarsh/Sun").shape([[0, 44], [9, 62], [6, 76], [-6, 76], [-9, 62]], { w: 3, gaps: [[0.1, 6]] });
    pen.as("Lantern hill/Iron").shape([[-30, 84], [30, 84], [34, 100], [-34, 100]], { corners: true, w: 4 });
  });
}
