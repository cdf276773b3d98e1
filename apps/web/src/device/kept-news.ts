import { remember, remembered } from './preferences.js';
import { recordsNow, type Person } from './who.js';

/** Something to tell whoever caused it. */
export interface News<Item> {
  readonly id: string;
  /** Who caused it; `null` for the device itself. */
  readonly by: Person | null;
  readonly item: Item;
}

const MOST = 20;

/**
 * News stored on this device until the person it is for has seen it, since they may not be looking when it arrives.
 */
export class KeptNews<Item> {
  private readonly listeners = new Set<() => void>();
  private all: readonly News<Item>[];

  constructor(private readonly name: string) {
    this.all = remembered<readonly News<Item>[]>(name, []);
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  readonly snapshot = (): readonly News<Item>[] => this.all;

  /** Replaces news with the same id. */
  add(id: string, item: Item, by: Person | null = recordsNow()): void {
    this.keep([...this.all.filter((each) => each.id !== id), { id, by, item }].slice(-MOST));
  }

  seen(id: string): void {
    this.keep(this.all.filter((each) => each.id !== id));
  }

  private keep(all: readonly News<Item>[]): void {
    this.all = all;
    remember(this.name, all);
    for (const listener of this.listeners) listener();
  }
}

/** News for whoever is signed in; nobody is told what somebody else did. */
export const newsFor = <Item>(
  all: readonly News<Item>[],
  accountId: string | null,
): readonly News<Item>[] => all.filter(({ by }) => by === null || by.accountId === accountId);
