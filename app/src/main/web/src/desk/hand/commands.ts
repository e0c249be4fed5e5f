/** Where a command is told in the sheet of keys, in this order. */
export const CHAPTERS = [
  "Fill",
  "Tools",
  "Gather",
  "Gaps",
  "Carry",
  "Layers",
  "Look",
  "Panels",
  "Sheet",
] as const;

export type Chapter = (typeof CHAPTERS)[number];

export type MenuName = "look" | "gathered" | "region";

/** What a row of the sheet of keys says. */
export interface Told {
  readonly chapter: Chapter;
  /** What it does, in a few words; without, it is not told there. */
  readonly tells?: string;
  /** What one does instead of its keys, or where it has none. */
  readonly gesture?: string;
  /** What stands for its keys, which are many alike. */
  readonly written?: string;
}

/** Something that a key, an entry of a menu or a button of the strip does. */
export interface Command extends Told {
  readonly name: string;
  /** As they are written: "G", "Shift P", "Ctrl Z", "Del". The first is shown beside its entry. */
  readonly keys?: readonly string[];
  /** Whether its keys act only while nothing beside the sheet has the focus. */
  readonly isOnSheet?: boolean;
  /** Whether its keys mean this just now; if not, they may mean another command. */
  isMeant?(): boolean;
  readonly entry?: Entry;
  readonly strip?: StripEntry;
  /** @returns false if nothing was done, so that the key may mean another command */
  run(event?: KeyboardEvent): unknown;
}

/** A command in a menu. */
export interface Entry {
  readonly menu: MenuName;
  /** Undefined where it cannot be done. */
  label(): string | undefined;
  /** How what it turns stands now. */
  state?(): string;
  readonly help?: string;
  /** Parts of a menu are set apart; without, the first. */
  readonly part?: number;
  /** Whether it is shown, and says why it cannot be done. */
  isIdle?(): boolean;
}

/** A tool or a command in the strip of tools. */
export interface StripEntry {
  readonly label: string;
  /** What it does, in a sentence. */
  readonly help: string;
  /** Paths of a drawing of 24 by 24; those that are filled end with "solid". */
  readonly icon: string;
  /** The key shown, if it is another than the first of its own. */
  readonly key?: string;
  /** Lower ones stand first. */
  readonly place: number;
}

/** Everything that can be done on the desk by a key or a menu: each part of the desk adds its own. */
export class Commands {
  private readonly known: Command[] = [];
  private readonly told: Told[] = [];
  private readonly byKey = new Map<string, Command[]>();
  private readonly escapes: (() => boolean)[] = [];
  private readonly rests: (() => unknown)[] = [];

  add(...commands: readonly Command[]): void {
    for (const command of commands) {
      this.known.push(command);
      this.told.push(command);
      for (const key of command.keys ?? []) {
        // What is added later goes first: it speaks of a state that comes and goes.
        this.byKey.set(key, [command, ...(this.byKey.get(key) ?? [])]);
      }
    }
  }

  /** Tells what is done without a key. */
  tell(...told: readonly Told[]): void {
    this.told.push(...told);
  }

  /** @param close closes something that lies over the rest; returns whether it was open, and then Escape does no more */
  onEscape(close: () => boolean): void {
    // What was added last lies above the rest.
    this.escapes.unshift(close);
  }

  /** @param rest done when Escape has nothing to close */
  atRest(rest: () => unknown): void {
    this.rests.push(rest);
  }

  escape(): void {
    if (!this.closeTop()) {
      this.rests.forEach((rest) => rest());
    }
  }

  /** Closes what lies over the rest; returns whether there was anything. */
  closeTop(): boolean {
    return this.escapes.some((close) => close());
  }

  /** Runs what a key means; returns whether it means anything. */
  press(key: string, event: KeyboardEvent, isOnSheet: boolean): boolean {
    return (this.byKey.get(key) ?? []).some(
      (command) =>
        (isOnSheet || !command.isOnSheet) && (command.isMeant?.() ?? true) && command.run(event) !== false,
    );
  }

  /** The entries of a menu, part by part. */
  in(menu: MenuName): Command[][] {
    const entries = this.known.filter(({ entry }) => entry?.menu === menu);
    const parts = [...new Set(entries.map(partOf))].sort();
    return parts.map((part) => entries.filter((each) => partOf(each) === part));
  }

  get inStrip(): Command[] {
    return this.known
      .filter(({ strip }) => strip)
      .sort((first, second) => first.strip!.place - second.strip!.place);
  }

  /** What the sheet of keys tells of a chapter: what one does, and what that does. */
  chapter(chapter: Chapter): (Told & Partial<Command>)[] {
    return this.told.filter((each) => each.chapter === chapter && each.tells !== undefined);
  }
}

function partOf({ entry }: Command): number {
  return entry!.part ?? 1;
}
