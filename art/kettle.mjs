// Kettle: a stubborn donkey with panniers. The origin is the middle of the belly; the hooves stand 210 units below, the ears reach
// 340 above, and the muzzle 330 to the left.
import { ellipse } from "./pen.mjs";

/** pose: { stubborn: sits back with forelegs braced, head: "up" | "down", panniers } */
export function kettle(pen, at, { stubborn = false, head = "up", panniers = true } = {}) {
  const brace = stubborn ? -58 : 0;
  const lowered = head === "down";
  pen.within(at, () => {
    tail(pen);
    leg(pen, -72, brace - 6);
    leg(pen, 118, stubborn ? -46 : 14);
    body(pen);
    leg(pen, -112, brace);
    leg(pen, 92, stubborn ? -60 : -4);
    if (panniers) blanket(pen);
    neck(pen, lowered);
    pen.within(lowered ? { x: -212, y: -70, turn: -0.5 } : { x: -196, y: -186 }, () => skull(pen, stubborn));
    if (panniers) basket(pen);
    lay(pen, brace, stubborn, lowered, panniers);
  });
}

function lay(pen, brace, stubborn, lowered, panniers) {
  pen.lay("Kettle/Coat", [-110, -30], [120, -20], [-112 + brace * 0.3, 100], [92 - (stubborn ? 18 : 1), 110], [-150, -100]);
  pen.lay("Kettle/Pale", [-20, 64]);
  pen.lay("Kettle/Hooves", [-112 + brace, 198], [92 - (stubborn ? 60 : 4), 198]);
  pen.lay("Kettle/Mane", [186, 80]);
  if (panniers) {
    pen.lay("Kettle/Blanket", [52, -66]);
    pen.lay("Kettle/Pannier", [4, 24], [4, -32]);
  }
  pen.within(lowered ? { x: -212, y: -70, turn: -0.5 } : { x: -196, y: -186 }, () => {
    pen.lay("Kettle/Coat", [4, -14], [18, -124]);
    pen.lay("Kettle/Pale", [-86, 36], [25, -86]);
  });
}

function leg(pen, x, foot) {
  const knee = x + foot * 0.45;
  pen.as("Kettle/Coat").shape([[x - 22, 26], [x + 24, 26], [knee + 16, 112], [x + foot + 13, 188], [x + foot - 13, 188], [knee - 17, 112]], { w: 4.6 });
  pen.line([[knee - 12, 112], [knee, 117], [knee + 10, 112]], { w: 2.6, to: 0.2 });
  pen.as("Kettle/Hooves").shape([[x + foot - 15, 182], [x + foot + 15, 182], [x + foot + 20, 210], [x + foot - 20, 210]], { corners: true, w: 4.2 });
}

function body(pen) {
  pen.as("Kettle/Coat").shape(
    [[-140, -40], [-84, -76], [0, -68], [90, -82], [150, -52], [164, 8], [124, 62], [20, 80], [-80, 74], [-138, 32]],
    { w: 5.2, gaps: [[0.47, 9]] },
  );
  // The pale belly; its line stops short at the haunch.
  pen.line([[-108, 56], [-70, 44], [-10, 46], [60, 50], [116, 62]], { w: 3.6, from: 0.9, to: 0.4 });
  pen.line([[138, -40], [122, -6], [130, 30]], { w: 3, to: 0.2 });
  pen.line([[-100, 10], [-92, 34], [-98, 54]], { w: 3, from: 0.2, to: 0.2 });
}

function tail(pen) {
  pen.as("Kettle/Coat").shape([[148, -46], [184, -30], [198, 28], [190, 62], [178, 60], [184, 28], [172, -14], [146, -26]], { w: 4.2 });
  // The tuft has open tips.
  pen.as("Kettle/Mane").shape([[174, 50], [194, 52], [206, 88], [190, 116], [172, 92]], { w: 4, gaps: [[0.5, 10]] });
  pen.line([[188, 112], [184, 134]], { w: 2.8, to: 0.1 });
  pen.line([[196, 104], [200, 130]], { w: 2.8, to: 0.1 });
  pen.line([[178, 104], [172, 122]], { w: 2.8, to: 0.1 });
}

function neck(pen, lowered) {
  if (lowered) {
    pen.as("Kettle/Coat").shape([[-124, 18], [-176, 10], [-236, -30], [-226, -84], [-170, -92], [-110, -80], [-84, -40]], { w: 5 });
    pen.as("Kettle/Mane").shape(
      [[-222, -100], [-206, -118], [-194, -98], [-176, -112], [-166, -92], [-146, -104], [-138, -84], [-116, -94], [-106, -72], [-150, -76], [-208, -84]],
      { corners: true, w: 3.8 },
    );
    pen.lay("Kettle/Mane", [-160, -86]);
    return;
  }
  pen.as("Kettle/Coat").shape([[-128, 8], [-152, -66], [-206, -146], [-166, -204], [-120, -150], [-78, -72], [-88, -24]], { w: 5, gaps: [[0.2, 8]] });
  pen.as("Kettle/Mane").shape(
    [[-170, -206], [-146, -226], [-138, -198], [-114, -202], [-116, -170], [-92, -166], [-98, -136], [-74, -126], [-82, -96], [-62, -82], [-84, -66], [-104, -112], [-132, -160]],
    { corners: true, w: 3.8 },
  );
  pen.lay("Kettle/Mane", [-120, -166]);
}

function skull(pen, stubborn) {
  // Far ear, skull, near ear; the ears' insides are pale.
  pen.as("Kettle/Coat").shape([[-18, -44], [-36, -104], [-26, -146], [0, -110], [8, -44]], { w: 4.2 });
  pen.as("Kettle/Coat").shape([[38, -34], [34, 22], [-6, 36], [-62, 62], [-104, 68], [-120, 42], [-102, 10], [-52, -24], [-2, -54]], { w: 5 });
  pen.as("Kettle/Coat").shape([[6, -38], [2, -108], [24, -154], [46, -104], [36, -32]], { w: 4.4 });
  pen.as("Kettle/Pale").shape([[18, -52], [16, -104], [25, -130], [34, -100], [31, -50]], { w: 3, gaps: [[0.78, 7]] });
  // Muzzle, nostril, a mouth that says no.
  pen.as("Kettle/Pale").shape([[-58, 60], [-104, 68], [-121, 42], [-103, 10], [-74, 12], [-56, 36]], { w: 3.8 });
  pen.dot(-104, 30, 4.4, 1.4);
  pen.line([[-114, 54], [-96, 52], [-76, 46]], { w: 3, from: 0.4, to: 0.5 });
  pen.as("Kettle/Pale").shape(ellipse(-22, -6, 11, stubborn ? 8 : 12), { w: 3 });
  pen.dot(-25, -5, 4.6, 1.2);
  pen.line(stubborn ? [[-40, -20], [-22, -16], [-6, -24]] : [[-40, -22], [-24, -28], [-8, -22]], { w: 3.2 });
  pen.line([[-36, -30], [-44, -54]], { w: 2.8, to: 0.1 });
  pen.line([[-24, -38], [-30, -64]], { w: 2.8, to: 0.1 });
  // Halter with a ring; the strap stops short of the jaw.
  pen.as("Kettle/Hooves").shape([[-62, -22], [-50, -28], [-34, 40], [-46, 46]], { corners: true, w: 3.2, gaps: [[0.7, 7]] });
  pen.as("Post/Brass").shape(ellipse(-44, 52, 8), { w: 3 });
}

function blanket(pen) {
  pen.as("Kettle/Blanket").shape([[-64, -80], [0, -74], [68, -84], [78, 4], [-72, 10]], { corners: true, w: 4.6 });
  pen.line([[-68, -22], [0, -18], [74, -28]], { w: 3.2, from: 1, to: 1 });
  pen.line([[-70, -8], [0, -4], [76, -12]], { w: 3.2, from: 1, to: 0.6 });
  for (const x of [-62, -46, 62, 70]) pen.line([[x, x < 0 ? 10 : 4], [x + 2, 22]], { w: 2.6, to: 0.2 });
}

function basket(pen) {
  pen.as("Post/Paper").shape([[-40, -44], [-26, -96], [10, -88], [2, -42]], { corners: true, w: 3.4 });
  pen.line([[-26, -96], [-14, -72], [10, -88]], { w: 2.6, from: 0.9, to: 0.9 });
  pen.as("Post/Paper").shape([[14, -44], [24, -78], [56, -70], [48, -40]], { corners: true, w: 3.4 });
  pen.line([[24, -78], [37, -60], [56, -70]], { w: 2.6, from: 0.9, to: 0.9 });
  pen.as("Kettle/Pannier").shape([[-54, -30], [60, -32], [48, 66], [4, 72], [-42, 66]], { w: 5 });
  pen.as("Kettle/Pannier").shape([[-60, -44], [66, -46], [64, -22], [-58, -20]], { corners: true, w: 4.4 });
  pen.line([[-50, 4], [4, 10], [54, 2]], { w: 2.8, from: 0.9, to: 0.3 });
  pen.line([[-46, 36], [4, 42], [50, 34]], { w: 2.8, from: 0.3, to: 0.9 });
  for (const x of [-30, -4, 24]) pen.line([[x, -16], [x + 3, 62]], { w: 2.2, from: 0.3, to: 0.2 });
  pen.lay("Post/Paper", [-16, -60], [36, -52]);
}
