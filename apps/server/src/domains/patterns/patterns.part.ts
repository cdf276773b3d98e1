import type { PatternBody } from '@orthokin/contract';
import { date, insertAll, pages, type ClubPart } from '../club-part.js';
import { PatternRow } from './pattern.entity.js';
import { PatternVersion } from './pattern-version.entity.js';

export const patternsPart: ClubPart<'patterns'> = {
  list: 'patterns',
  async *take(em, clubId) {
    for await (const patterns of pages(em, PatternRow, clubId))
      for (const { id, archivedAt } of patterns) {
        const versions = await em
          .fork()
          .find(PatternVersion, { clubId, patternId: id }, { orderBy: { version: 'asc' } });
        yield [
          {
            ...{ id, archivedAt: archivedAt?.toISOString() ?? null },
            versions: versions.map(({ version, savedAt, body }) => ({
              ...{ version, savedAt: savedAt.toISOString() },
              body: body as PatternBody,
            })),
          },
        ];
      }
  },
  async bring(em, clubId, rows) {
    await insertAll(
      em,
      PatternRow,
      clubId,
      rows.map(({ id, archivedAt }) => ({ id, archivedAt: date(archivedAt) })),
    );
    await insertAll(
      em,
      PatternVersion,
      clubId,
      rows.flatMap(({ id, versions }) =>
        versions.map(({ version, savedAt, body }) => ({
          ...{ patternId: id, version, body, savedAt: date(savedAt) },
        })),
      ),
    );
  },
  concerns: null,
  names: {},
};
