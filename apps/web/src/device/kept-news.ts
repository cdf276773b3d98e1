import { remember, remembered } from './preferences.js';
import { recordsNow, type Person } from './who.js';

/** Something to be told to whoever did what it is about. */
export interface News<Item> {
  readonly id: string;
  /** Who did it; `null` where it was the device. */
  readonly by: Person | null;
  readonly item: Item;
}

const MOST = 20;

/**
 * News that is kept on this device until whoever it is for has seen it: they may not look at the moment
 * it comes.
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

  /** One of the same id stands in its place. */
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

/** What of it is for whoever is signed in: nobody else is told what another did. */
export const newsFor = <Item>(
  all: readonly News<Item>[],
  accountId: string | null,
): readonly News<Item>[] => all.filter(({ by }) => by === null || by.accountId === accountId);
