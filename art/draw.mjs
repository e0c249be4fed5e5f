// Writes the demo's drawings and its book: node art/draw.mjs
import { mkdirSync, writeFileSync } from "node:fs";
import { dirname, join } from "node:path";
import { fileURLToPath } from "node:url";
import { cards, lights, scenes, title, wardrobes } from "./book.mjs";
import * as sheets from "./sheets.mjs";
import { truthPicture } from "./truth.mjs";

const target = join(dirname(fileURLToPath(import.meta.url)), "../app/src/main/resources/demo");
const truths = join(dirname(fileURLToPath(import.meta.url)), "truth");
mkdirSync(target, { recursive: true });
mkdirSync(truths, { recursive: true });

const swatches = cards.flatMap((card) => card.swatches.map((swatch) => `${card.name}/${swatch.name}`));
writeFileSync(join(truths, "swatches.json"), JSON.stringify(swatches, null, 1) + "\n");

const ENDINGS = { scan: "jpg", print: "png" };

function sheet([sheetTitle, name, raster], { shaded, rims = [] }) {
  if (typeof name !== "string") {
    return { title: sheetTitle, layers: Object.entries(name).map(layer) };
  }
  const pen = sheets[name]();
  // Drawings that come as pixels are kept beside their code; rasters.sh makes the pixels.
  const folder = raster ? dirname(fileURLToPath(import.meta.url)) : target;
  writeFileSync(join(folder, `${name}.svg`), pen.svg());
  writeFileSync(join(truths, `${name}.png`), truthPicture(pen, swatches));
  const file = `${name}.${raster ? ENDINGS[raster] : "svg"}`;
  const fills = fillsOf(pen);
  const around = rims.filter((rim) => rim.sheet === sheetTitle).map(({ of, swatch }) => ({ of, swatch }));
  return {
    title: sheetTitle,
    file,
    fills,
    ...(shaded && pen.shades.length > 0 ? { shadows: pen.shades } : {}),
    ...(around.length > 0 ? { rims: around } : {}),
  };
}

function layer([layerName, name]) {
  const pen = sheets[name]();
  writeFileSync(join(target, `${name}.svg`), pen.svg({ clear: true }));
  return { name: layerName, file: `${name}.svg`, fills: fillsOf(pen) };
}

function fillsOf(pen) {
  return [...pen.laid].map(([swatch, points]) => ({ swatch, points }));
}

const tests = join(dirname(fileURLToPath(import.meta.url)), "../app/src/test/resources/drawings");
mkdirSync(tests, { recursive: true });
const unseen = sheets.juniperWaits();
writeFileSync(join(tests, "juniperWaits.svg"), unseen.svg());
writeFileSync(join(truths, "juniperWaits.png"), truthPicture(unseen, swatches));

const book = {
  title,
  cards,
  scenes: scenes.map((scene) => ({
    title: scene.title,
    ...(scene.lines ? { lines: scene.lines } : {}),
    sheets: scene.sheets.map((each) => sheet(each, scene)),
  })),
  lights,
  wardrobes,
};
writeFileSync(join(target, "book.json"), JSON.stringify(book, null, 1) + "\n");
