import { converter, formatHex, parse, type Color } from "culori/fn";
import {
  modeHsl,
  modeHsv,
  modeLab,
  modeLab65,
  modeLch,
  modeOklab,
  modeOklch,
  modeRgb,
  modeXyz50,
  modeXyz65,
  modeLrgb,
  useMode,
  toGamut,
} from "culori/fn";

[modeRgb, modeLrgb, modeHsl, modeHsv, modeXyz50, modeXyz65, modeLab, modeLab65, modeLch, modeOklab].forEach(
  (mode) => useMode(mode as Parameters<typeof useMode>[0]),
);
const oklch = useMode(modeOklch);
const shown = toGamut("rgb", "oklch", null, 0);

/** One number of a colour model, as the user types it. */
export interface Channel {
  readonly key: string;
  readonly label: string;
  readonly max: number;
  readonly min: number;
  readonly step: number;
  readonly unit: string;
  /** How many of these make one of what the library counts in. */
  readonly scale: number;
}

export interface Model {
  readonly id: string;
  readonly label: string;
  readonly channels: readonly Channel[];
}

const hue = { key: "h", label: "Hue", min: 0, max: 360, step: 1, unit: "°", scale: 1 };
const percent = (key: string, label: string) => ({
  key,
  label,
  min: 0,
  max: 100,
  step: 0.1,
  unit: "%",
  scale: 100,
});
const eightBit = (key: string, label: string) => ({
  key,
  label,
  min: 0,
  max: 255,
  step: 1,
  unit: "",
  scale: 255,
});

export const MODELS: readonly Model[] = [
  {
    id: "oklch",
    label: "Lightness, chroma, hue",
    channels: [percent("l", "Lightness"), { ...percent("c", "Chroma"), max: 37 }, hue],
  },
  {
    id: "rgb",
    label: "Red, green, blue, to 255",
    channels: [eightBit("r", "Red"), eightBit("g", "Green"), eightBit("b", "Blue")],
  },
  {
    id: "rgb%",
    label: "Red, green, blue, in percent",
    channels: [percent("r", "Red"), percent("g", "Green"), percent("b", "Blue")],
  },
  {
    id: "hsl",
    label: "Hue, saturation, lightness",
    channels: [hue, percent("s", "Saturation"), percent("l", "Lightness")],
  },
  {
    id: "hsv",
    label: "Hue, saturation, value",
    channels: [hue, percent("s", "Saturation"), percent("v", "Value")],
  },
  {
    id: "lab",
    label: "Lab under D50",
    channels: [
      { key: "l", label: "Lightness", min: 0, max: 100, step: 0.1, unit: "", scale: 1 },
      { key: "a", label: "Green to red", min: -128, max: 127, step: 0.1, unit: "", scale: 1 },
      { key: "b", label: "Blue to yellow", min: -128, max: 127, step: 0.1, unit: "", scale: 1 },
    ],
  },
  {
    id: "lch",
    label: "LCh under D50",
    channels: [
      { key: "l", label: "Lightness", min: 0, max: 100, step: 0.1, unit: "", scale: 1 },
      { key: "c", label: "Chroma", min: 0, max: 150, step: 0.1, unit: "", scale: 1 },
      hue,
    ],
  },
];

const space = (model: Model) => model.id.replace("%", "") as "rgb" | "hsl" | "hsv" | "lab" | "lch" | "oklch";

/** The numbers of a colour in a model. */
export function numbersOf(model: Model, hex: string): number[] {
  const colour = converter(space(model))(hex) as unknown as Record<string, number | undefined>;
  return model.channels.map((channel) => (colour[channel.key] ?? 0) * channel.scale);
}

/** The colour of some numbers, brought into what a screen shows at constant lightness and hue. */
export function hexOf(model: Model, numbers: readonly number[]): { hex: string; wasOutside: boolean } {
  const colour = { mode: space(model) } as unknown as Record<string, number | string>;
  model.channels.forEach((channel, i) => (colour[channel.key] = numbers[i]! / channel.scale));
  return show(colour as unknown as Color);
}

export function show(colour: Color): { hex: string; wasOutside: boolean } {
  const rgb = converter("rgb")(colour)!;
  const outside = [rgb.r, rgb.g, rgb.b].some((value) => value < -0.002 || value > 1.002);
  return { hex: formatHex(shown(colour)!), wasOutside: outside };
}

export interface Polar {
  readonly l: number;
  readonly c: number;
  readonly h: number;
}

/** Lightness 0 to 1, chroma, and hue in degrees; a grey has the hue given. */
export function polar(hex: string, hueOfGrey: number): Polar {
  const { l, c, h } = oklch(hex)!;
  return { l, c, h: c < 0.004 || h === undefined ? hueOfGrey : h };
}

export function ofPolar({ l, c, h }: Polar): { hex: string; wasOutside: boolean } {
  return show({ mode: "oklch", l: Math.min(1, Math.max(0, l)), c: Math.max(0, c), h } as Color);
}

/** Whatever CSS takes for an opaque colour, as a hex code; undefined if it is none. */
export function readColour(text: string): string | undefined {
  const trimmed = text.trim();
  const bare = /^[0-9a-f]{3}([0-9a-f]{3})?$/i.test(trimmed) ? `#${trimmed}` : trimmed;
  const colour = parse(bare);
  return colour && show(colour).hex;
}
