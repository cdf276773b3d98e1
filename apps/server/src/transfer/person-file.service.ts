import { EntityManager } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import type { ClubList } from '@orthokin/contract';
import { Athlete } from '../domains/athletes/athlete.entity.js';
import type { ClubPart } from '../domains/club-part.js';
import { unknown } from '../platform/http/refusals.js';
import { CLUB_LIST_NAMES, CLUB_PARTS } from './parts.js';

/** Fields of a row that may mention other athletes. */
interface WithOthers {
  readonly athleteIds?: readonly string[];
  readonly attended?: readonly { readonly athleteId: string }[];
  readonly blocks?: readonly object[];
}

/** A row without anything about other athletes. */
function ofOne(row: object, athleteId: string): object {
  const { athleteIds, attended, blocks }: WithOthers = row;
  return {
    ...row,
    ...(athleteIds && { athleteIds: [athleteId] }),
    ...(attended && { attended: attended.filter((one) => one.athleteId === athleteId) }),
    // Blocks are shared: they name other athletes, also in their titles.
    ...(blocks && { blocks: blocks.length }),
  };
}

/** Everything stored about one athlete as a JSON file, with the lists of a club's file. */
@Injectable()
export class PersonFileService {
  constructor(private readonly em: EntityManager) {}

  /** The file's text, in pieces. */
  async of(clubId: string, athleteId: string): Promise<AsyncIterable<string>> {
    const em = this.em.fork();
    const athlete = await em.findOne(Athlete, { clubId, id: athleteId }, { fields: ['name'] });
    if (!athlete) throw unknown('athleteId', athleteId, 'an athlete');
    return pieces(em, clubId, athleteId, athlete.name);
  }
}

async function* pieces(
  em: EntityManager,
  clubId: string,
  athleteId: string,
  name: string,
): AsyncIterable<string> {
  const head = {
    ...{ format: 'orthokin athlete', version: 1, name },
    madeAt: new Date().toISOString(),
  };
  yield JSON.stringify(head).slice(0, -1);
  for (const list of CLUB_LIST_NAMES) {
    const part = CLUB_PARTS[list] as ClubPart<ClubList>;
    if (part.concerns === null) continue;
    yield `,\n"${list}":[`;
    let isFirst = true;
    for await (const rows of part.take(em, clubId, { sql: part.concerns, athleteId }))
      for (const row of rows) {
        yield `${isFirst ? '' : ','}\n${JSON.stringify(ofOne(row, athleteId))}`;
        isFirst = false;
      }
    yield ']';
  }
  yield '}\n';
}
