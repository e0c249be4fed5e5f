// Copies the fonts that the pages use out of their packages, so that they are served by the application itself.
import { copyFileSync, mkdirSync } from "node:fs";
import { createRequire } from "node:module";
import { basename, dirname, join } from "node:path";

const FONTS = [
  "@fontsource-variable/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-wght-normal.woff2",
  "@fontsource-variable/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-ext-wght-normal.woff2",
  "@fontsource-variable/literata/files/literata-latin-wght-normal.woff2",
  "@fontsource-variable/literata/files/literata-latin-ext-wght-normal.woff2",
];

const LICENCES = ["atkinson-hyperlegible-next", "literata"];

const packages = join(dirname(createRequire(import.meta.url).resolve("./package.json")), "node_modules");
const target = process.argv[2];
mkdirSync(target, { recursive: true });
for (const font of FONTS) {
  copyFileSync(join(packages, font), join(target, basename(font)));
}
for (const font of LICENCES) {
  copyFileSync(join(packages, "@fontsource-variable", font, "LICENSE"), join(target, `${font}-LICENSE.txt`));
}
