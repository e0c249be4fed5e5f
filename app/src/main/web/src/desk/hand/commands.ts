import type { KeysMessage } from "messages";

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
  private byKey: Map<string, Command[]> | undefined;
  private readonly escapes: (() => boolean)[] = [];
  private readonly rests: (() => unknown)[] = [];

  /** @param own what the person has changed about the keys */
  constructor(private own: KeysMessage) {}

  get ownKeys(): KeysMessage {
    return this.own;
  }

  /** The keys are others from now on. */
  become(own: KeysMessage): void {
    this.own = own;
    this.byKey = undefined;
  }

  add(...commands: readonly Command[]): void {
    this.known.push(...commands);
    this.told.push(...commands);
    this.byKey = undefined;
  }

  /** The keys of a command as the person has them. */
  keysOf({ name, keys = [] }: Command): readonly string[] {
    const own = this.own.pressed[name];
    return own === undefined ? keys : own === "" ? [] : [own];
  }

  /** What has a key now, and loses it if another takes it. */
  whoHas(key: string): Command | undefined {
    return this.pressedBy(key).find((command) => !command.isMeant);
  }

  private pressedBy(key: string): readonly Command[] {
    this.byKey ??= this.sorted();
    return this.byKey.get(key) ?? [];
  }

  private sorted(): Map<string, Command[]> {
    const taken = new Set(Object.values(this.own.pressed));
    const byKey = new Map<string, Command[]>();
    for (const command of this.known) {
      const isOwn = this.own.pressed[command.name] !== undefined;
      for (const key of this.keysOf(command)) {
        // What somebody has chosen goes before what comes with the desk, but for what speaks of a state that comes and goes.
        if (isOwn || command.isMeant || !taken.has(key)) {
          // What is added later goes first: it speaks of such a state.
          byKey.set(key, [command, ...(byKey.get(key) ?? [])]);
        }
      }
    }
    return byKey;
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

  /** Returns whether something was closed; if not, everything comes to rest. */
  escape(): boolean {
    const isClosed = this.closeTop();
    if (!isClosed) {
      this.rests.forEach((rest) => rest());
    }
    return isClosed;
  }

  /** Closes what lies over the rest; returns whether there was anything. */
  closeTop(): boolean {
    return this.escapes.some((close) => close());
  }

  /** Runs what a key means; returns whether it means anything. */
  press(key: string, event: KeyboardEvent, isOnSheet: boolean): boolean {
    if (isOneCharacter(key) && !this.own.letters) {
      return false;
    }
    return this.pressedBy(key).some(
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

/** As a letter, digit or sign, with Shift or without. */
export function isOneCharacter(key: string): boolean {
  return /^(Shift )?.$/.test(key);
}

function partOf({ entry }: Command): number {
  return entry!.part ?? 1;
}
