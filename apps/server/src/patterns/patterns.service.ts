import { EntityManager } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import type { PatternReply } from '@orthokin/contract';
import { rungOf, type Pattern, type Rung } from '@orthokin/core/pattern';
import { unknown } from '../http/refusals.js';
import { PatternRow } from './pattern.entity.js';

@Injectable()
export class PatternsService {
  constructor(private readonly em: EntityManager) {}

  async one(clubId: string, id: string): Promise<PatternRow> {
    const pattern = await this.em.findOne(PatternRow, { clubId, id });
    if (!pattern) throw unknown('patternId', id, 'a pattern');
    return pattern;
  }

  /** The club's patterns by id. */
  async all(clubId: string): Promise<Map<string, PatternRow>> {
    const patterns = await this.em.find(PatternRow, { clubId });
    return new Map(patterns.map((pattern) => [pattern.id, pattern]));
  }
}

/** A rung that a stored row names; it was checked when the row came in. */
export function storedRung(pattern: Pattern, number: number): Rung {
  const rung = rungOf(pattern, number);
  if (!rung) throw new Error(`Pattern ${pattern.name} has no rung ${number}.`);
  return rung;
}

export const patternReply = ({ id, name, body }: PatternRow): PatternReply =>
  // The stored body is what the contract's class describes, only readonly.
  ({ ...body, id, name }) as PatternReply;
