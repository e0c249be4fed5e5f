// Writes the demo's drawings and its book: node art/draw.mjs
import { existsSync, mkdirSync, readFileSync, writeFileSync } from "node:fs";
import { dirname, join } from "node:path";
import { fileURLToPath } from "node:url";
import { cards, lights, scenes, title, wardrobes } from "./book.mjs";
import * as heron from "./heron.mjs";
import * as sheets from "./sheets.mjs";
import { truthPicture } from "./truth.mjs";

const target = join(dirname(fileURLToPath(import.meta.url)), "demo");
const truths = join(dirname(fileURLToPath(import.meta.url)), "truth");
mkdirSync(target, { recursive: true });
mkdirSync(truths, { recursive: true });

const swatches = cards.flatMap((card) => card.swatches.map((swatch) => `${card.name}/${swatch.name}`));
writeFileSync(join(truths, "swatches.json"), JSON.stringify(swatches, null, 1) + "\n");

// What lays a scene to its last region: found with the drawings as they are by ./pond bench rest.
const restFile = join(dirname(fileURLToPath(import.meta.url)), "rest.json");
const rest = existsSync(restFile) ? JSON.parse(readFileSync(restFile, "utf8")) : {};

const ENDINGS = { scan: "jpg", print: "png" };

function sheet([sheetTitle, name, raster], { shaded, rims = [], laid = "partly" }) {
  if (typeof name !== "string") {
    return { title: sheetTitle, layers: Object.entries(name).map(layer) };
  }
  const pen = sheets[name]();
  // Drawings that come as pixels are kept beside their code; rasters.sh makes the pixels.
  const folder = raster ? dirname(fileURLToPath(import.meta.url)) : target;
  writeFileSync(join(folder, `${name}.svg`), pen.svg());
  writeFileSync(join(truths, `${name}.png`), truthPicture(pen, swatches));
  const file = `${name}.${raster ? ENDINGS[raster] : "svg"}`;
  const partly = laid === "untouched" ? [] : fillsOf(pen);
  // What is laid first wears what the drawing says; points of the rest lie in the other regions.
  const fills = laid === "wholly" ? [...restOf(name), ...partly] : partly;
  const around = rims.filter((rim) => rim.sheet === sheetTitle).map(({ of, swatch }) => ({ of, swatch }));
  return {
    title: sheetTitle,
    file,
    fills,
    ...(shaded && pen.shades.length > 0 ? { shadows: pen.shades } : {}),
    ...(around.length > 0 ? { rims: around } : {}),
  };
}

function restOf(name) {
  return Object.entries(rest[name]).map(([swatch, points]) => ({ swatch, points }));
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
    sheets: scene.sheets.map((each) => (Array.isArray(each) ? sheet(each, scene) : each)),
  })),
  lights,
  wardrobes,
};
writeFileSync(join(target, "book.json"), JSON.stringify(book, null, 1) + "\n");

// A second, small book by another hand.
const second = {
  title: heron.title,
  cards: heron.cards,
  scenes: heron.scenes.map((scene) => ({
    title: scene.title,
    sheets: scene.sheets.map(([sheetTitle, name]) => {
      const pen = heron.sheets[name]();
      writeFileSync(join(target, `${name}.svg`), pen.svg());
      return { title: sheetTitle, file: `${name}.svg`, fills: fillsOf(pen) };
    }),
  })),
  lights: [],
  wardrobes: [],
};
writeFileSync(join(target, "heron.json"), JSON.stringify(second, null, 1) + "\n");
