/** What the server sends and takes; its types are made from the records of the Java side. */
import type { ChangeAnswer } from "messages";

export type {
  CardState as Card,
  ChangeAnswer,
  ChangeMessageUnion as ChangeMessage,
  DamState,
  DamSwap,
  DeskState,
  InkState as InkSettings,
  LayerState,
  LightState,
  LineState,
  Part,
  ReachSwap,
  SheetPalette,
  SwapMessage as Swap,
  SwatchState as Swatch,
} from "messages";

/** A fill as text; see docs/formats.md. */
export type Fill = string;

export const NO_FILL: Fill = "none";

/** A change whose effect is known. */
export type MadeChange = Pick<ChangeAnswer, "id" | "words" | "layer" | "swaps" | "dams" | "reach">;
