import { Lights, type RuleParts } from "rules";

/** What a light does to colours. */
export type Rule = RuleParts;

/** A light, read from and written in its stored form. */
export class LightText {
  private constructor(
    public all: Rule,
    readonly byCard: Map<string, Rule>,
    /** `drawn` or a hex code, by swatch. */
    readonly exceptions: Map<string, string>,
  ) {}

  static read(text: string): LightText {
    const { all, cards, rules, swatches, exceptions } = Lights.parts(text);
    return new LightText(
      plain(all),
      new Map(cards.map((card, i) => [card, plain(rules[i]!)])),
      new Map(swatches.map((swatch, i) => [swatch, exceptions[i]!])),
    );
  }

  text(): string {
    return Lights.text(
      ruleText(this.all),
      [...this.byCard.keys()],
      [...this.byCard.values()].map(ruleText),
      [...this.exceptions.keys()],
      [...this.exceptions.values()],
    );
  }
}

/** One whose parts can be spread. */
function plain({ blend, tint, strength, lightness, chroma, hue, contrast }: RuleParts): Rule {
  return { blend, tint, strength, lightness, chroma, hue, contrast };
}

function ruleText({ blend, tint, strength, lightness, chroma, hue, contrast }: Rule): string {
  return Lights.rule(blend, tint, strength, lightness, chroma, hue, contrast);
}
