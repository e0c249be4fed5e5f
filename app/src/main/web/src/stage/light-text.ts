/** What a light does to colours; see LightRule on the server. */
export interface Rule {
  readonly blend: string;
  readonly tint: string;
  readonly strength: number;
  readonly lightness: number;
  readonly chroma: number;
  readonly hue: number;
  readonly contrast: number;
}

/** A light, read from and written in its stored form. */
export class LightText {
  private constructor(
    public all: Rule,
    readonly byCard: Map<string, Rule>,
    /** `drawn` or a hex code, by swatch. */
    readonly exceptions: Map<string, string>,
  ) {}

  static read(text: string): LightText {
    const light = new LightText(ruleOf("multiply #ffffff 0 0 0 0 0"), new Map(), new Map());
    for (const part of text.split("; ")) {
      const [kind, id, ...rest] = part.split(" ");
      if (kind === "all") {
        light.all = ruleOf([id, ...rest].join(" "));
      } else if (kind === "card") {
        light.byCard.set(id!, ruleOf(rest.join(" ")));
      } else {
        light.exceptions.set(id!, rest[0]!);
      }
    }
    return light;
  }

  text(): string {
    return [
      `all ${textOf(this.all)}`,
      ...[...this.byCard].map(([card, rule]) => `card ${card} ${textOf(rule)}`),
      ...[...this.exceptions].map(([swatch, as]) => `part ${swatch} ${as}`),
    ].join("; ");
  }
}

function ruleOf(text: string): Rule {
  const [blend, tint, ...numbers] = text.split(" ");
  const [strength, lightness, chroma, hue, contrast] = numbers.map(Number);
  return {
    blend: blend!,
    tint: tint!,
    strength: strength!,
    lightness: lightness!,
    chroma: chroma!,
    hue: hue!,
    contrast: contrast!,
  };
}

function textOf({ blend, tint, strength, lightness, chroma, hue, contrast }: Rule): string {
  return [blend, tint, strength, lightness, chroma, hue, contrast].join(" ");
}
