import type { EntityManager } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';

/** A change that derived data may depend on. */
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
 * Domains announce their changes here, inside the transaction that makes them, and whoever caches derived data
 * deletes it in that same transaction. Domains do not know who listens.
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
