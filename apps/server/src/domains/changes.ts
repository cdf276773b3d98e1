import type { EntityManager } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';

/** What has changed, as far as something may follow from it. */
export type Change =
  | {
      readonly of: 'reps';
      readonly clubId: string;
      readonly athleteId: string;
      readonly setIds: readonly string[];
    }
  | { readonly of: 'sets'; readonly clubId: string; readonly athleteId: string }
  | {
      readonly of: 'moves' | 'own limits';
      readonly clubId: string;
      readonly athleteId: string;
      readonly patternId: string;
    }
  | { readonly of: 'ladder' | 'pattern'; readonly clubId: string; readonly patternId: string };

type Listener = (em: EntityManager, change: Change) => Promise<void>;

/**
 * Domains tell here what they change, within the transaction that changes it; whoever keeps what
 * follows from it takes that away in the same transaction. Domains need not know who that is.
 */
@Injectable()
export class Changes {
  private readonly listeners: Listener[] = [];

  onChange(listener: Listener): void {
    this.listeners.push(listener);
  }

  async tell(em: EntityManager, change: Change): Promise<void> {
    for (const listener of this.listeners) await listener(em, change);
  }
}
