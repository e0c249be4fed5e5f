import { Colours } from "rules";

export interface Model {
  /** As the core calls it. */
  readonly id: string;
  readonly label: string;
  readonly channels: readonly string[];
}

export const MODELS: readonly Model[] = [
  { id: "oklch", label: "Lightness, chroma, hue", channels: ["Lightness", "Chroma", "Hue"] },
  { id: "rgb", label: "Red, green, blue, to 255", channels: ["Red", "Green", "Blue"] },
  { id: "rgb%", label: "Red, green, blue, in percent", channels: ["Red", "Green", "Blue"] },
  { id: "hsl", label: "Hue, saturation, lightness", channels: ["Hue", "Saturation", "Lightness"] },
  { id: "hsv", label: "Hue, saturation, value", channels: ["Hue", "Saturation", "Value"] },
  { id: "lab", label: "Lab under D50", channels: ["Lightness", "Green to red", "Blue to yellow"] },
  { id: "lch", label: "LCh under D50", channels: ["Lightness", "Chroma", "Hue"] },
];

/** Lightness 0 to 1, chroma, and hue in degrees. */
export interface Polar {
  readonly l: number;
  readonly c: number;
  readonly h: number;
}

/** Below this chroma a hue is chance. */
const GREY = 0.004;

/** A colour as the mixer moves it; a grey keeps the hue given, so that chroma added again leads back to it. */
export function polar(hex: string, hueOfGrey: number): Polar {
  const [l, c, h] = Colours.polar(hex) as unknown as [number, number, number];
  return { l, c, h: c < GREY ? hueOfGrey : h };
}

export function shown({ l, c, h }: Polar): { hex: string; wasOutside: boolean } {
  return Colours.shown(l, c, h);
}

/** "The same, but". */
export const NUDGES = ["Darker", "Lighter", "Duller", "Stronger", "Warmer", "Cooler"] as const;

export function nudged({ l, c, h }: Polar, nudge: (typeof NUDGES)[number]): Polar {
  const moved = Colours.nudged(nudge.toUpperCase(), l, c, h) as unknown as [number, number, number];
  return { l: moved[0], c: moved[1], h: moved[2] };
}

/** Opposite, neighbours, thirds. */
export function related(hex: string): { label: string; hex: string }[] {
  return (["Opposite", "Neighbour", "Third"] as const).flatMap((label) =>
    Colours.related(hex, label.toUpperCase()).map((each) => ({ label, hex: each })),
  );
}
