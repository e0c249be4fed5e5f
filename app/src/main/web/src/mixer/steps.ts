import { differenceCiede2000, interpolate } from "culori/fn";
import { ofPolar, polar, show, type Polar } from "./models";

/** "The same, but": the even steps of the core's nudges. */
const LIGHTNESS_STEP = 0.04;
const CHROMA_STEP = 0.02;
const HUE_STEP = 8;
const WARMEST = 55;
const COOLEST = 245;

export const NUDGES = ["Darker", "Lighter", "Duller", "Stronger", "Warmer", "Cooler"] as const;
export type Nudge = (typeof NUDGES)[number];

export function nudged(colour: Polar, nudge: Nudge): Polar {
  switch (nudge) {
    case "Darker":
      return { ...colour, l: Math.max(0, colour.l - LIGHTNESS_STEP) };
    case "Lighter":
      return { ...colour, l: Math.min(1, colour.l + LIGHTNESS_STEP) };
    case "Duller":
      return { ...colour, c: Math.max(0, colour.c - CHROMA_STEP) };
    case "Stronger":
      return { ...colour, c: colour.c + CHROMA_STEP };
    case "Warmer":
      return { ...colour, h: turned(colour.h, WARMEST) };
    case "Cooler":
      return { ...colour, h: turned(colour.h, COOLEST) };
  }
}

function turned(hue: number, pole: number): number {
  const arc = ((pole - hue + 540) % 360) - 180;
  return (hue + Math.sign(arc) * Math.min(HUE_STEP, Math.abs(arc)) + 360) % 360;
}

/** A share of the way from one colour to another, in OKLab. */
export function mixed(from: string, to: string, share: number): string {
  return show(interpolate([from, to], "oklab")(share)!).hex;
}

/** Even steps between two colours, both among them. */
export function ramp(from: string, to: string, count: number): string[] {
  return Array.from({ length: count }, (_, i) => mixed(from, to, i / (count - 1)));
}

/** Opposite, neighbours, thirds. */
export function related(hex: string): { label: string; hex: string }[] {
  const base = polar(hex, 0);
  return [
    ["Opposite", 180],
    ["Neighbour", -30],
    ["Neighbour", 30],
    ["Third", 120],
    ["Third", 240],
  ].map(([label, turn]) => ({
    label: String(label),
    hex: ofPolar({ ...base, h: (base.h + Number(turn) + 360) % 360 }).hex,
  }));
}

/** CIEDE2000, about 1 where a difference is just seen. */
export const difference = differenceCiede2000() as (a: string, b: string) => number;

export function webSafe(hex: string): string {
  const packed = parseInt(hex.slice(1), 16);
  const channels = [16, 8, 0].map((shift) => Math.round(((packed >> shift) & 255) / 51) * 51);
  return `#${channels.map((value) => value.toString(16).padStart(2, "0")).join("")}`;
}
