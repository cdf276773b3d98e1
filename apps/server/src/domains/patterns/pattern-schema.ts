import { PatternBody, RungBody } from '@orthokin/contract';
import { PATTERN_FILE_FORMAT } from '@orthokin/contract/pattern-file';
import { schemasUnder } from '../../platform/http/schemas.js';

const DEFS = '#/$defs/';

interface Schema {
  readonly properties?: Readonly<Record<string, Schema>>;
  readonly required?: readonly string[];
  readonly $ref?: string;
  readonly items?: Schema;
  readonly anyOf?: readonly object[];
}

/** A rung as files may write it: fields with a default are optional, and a spread may be `null`. */
function rungSchema(rung: Schema | undefined): Schema {
  const usual = new RungBody() as unknown as Record<string, unknown>;
  const { mostSpread, ...properties } = rung?.properties ?? {};
  return {
    ...rung,
    properties: { ...properties, mostSpread: { anyOf: [mostSpread ?? {}, { type: 'null' }] } },
    required: rung?.required?.filter((name) => usual[name] === undefined) ?? [],
  };
}

/** Collects the names of all schemas that one refers to, directly or not. */
function reachable(name: string, all: Readonly<Record<string, Schema>>, found: Set<string>): void {
  if (found.has(name)) return;
  found.add(name);
  const refs = JSON.stringify(all[name] ?? {}).matchAll(/"#\/\$defs\/(\w+)"/g);
  for (const [, ref = ''] of refs) reachable(ref, all, found);
}

/** The JSON Schema (2020-12) of a pattern file, generated from the rules the server validates with. */
export function patternSchema(): object {
  const schemas = schemasUnder(DEFS) as Readonly<Record<string, Schema>>;
  const all = { ...schemas, [RungBody.name]: rungSchema(schemas[RungBody.name]) };
  const names = new Set<string>();
  reachable(PatternBody.name, all, names);
  names.delete(PatternBody.name);
  const closed = (schema: Schema | undefined) => ({ ...schema, additionalProperties: false });
  const pattern = all[PatternBody.name];
  return {
    $schema: 'https://json-schema.org/draft/2020-12/schema',
    title: 'Orthokin pattern file',
    description:
      'Lengths are metres, times milliseconds (0 at the cue), headings degrees clockwise from forward.',
    ...closed(pattern),
    properties: {
      $schema: { type: 'string' },
      format: { const: PATTERN_FILE_FORMAT },
      ...pattern?.properties,
      // A court by the rules has no size of its own, so this may be null.
      sizeM: { anyOf: [{ $ref: `${DEFS}SizeBody` }, { type: 'null' }] },
    },
    required: ['format', ...(pattern?.required ?? [])],
    $defs: Object.fromEntries([...names].sort().map((name) => [name, closed(all[name])])),
  };
}
