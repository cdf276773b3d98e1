import type { ImportReply } from '@orthokin/contract';
import {
  IMPORT_FIELDS,
  matchColumns,
  readRepRows,
  TIME_UNITS,
  type ImportField,
  type TimeUnit,
} from '@orthokin/core/formats';
import { HAND_SD_MS, TIMING_SOURCES, type TimingSource } from '@orthokin/core/timing';
import Papa from 'papaparse';
import { useState, type ReactElement } from 'react';
import { FileTrigger } from 'react-aria-components';
import { Link } from 'react-router';
import styled from 'styled-components';
import { v7 } from 'uuid';
import { useLibrary } from '../../api/patterns.js';
import { Refused } from '../../api/client.js';
import { useImportSets, type Import } from '../../api/review.js';
import { useSquad } from '../../api/squad.js';
import { nearestName } from './nearest-name.js';
import { localDay } from '../../device/local-day.js';
import { Button } from '../../parts/Button.js';
import { NumberField } from '../../parts/form/NumberFields.js';
import { SelectField } from '../../parts/form/SelectField.js';
import { Notice } from '../../parts/Notice.js';
import { Heading, Quiet } from '../../parts/Text.js';
import { ImportPreview } from './ImportPreview.js';
import { importBody, tooLong } from './import-sets.js';
import { say } from '../../words/review.js';

const Fields = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 10px 14px;
  margin: 12px 0;
  > * {
    flex: 0 1 180px;
  }
`;

interface Table {
  readonly name: string;
  readonly heads: readonly string[];
  readonly rows: readonly (readonly string[])[];
}

async function readTable(file: File): Promise<Table> {
  const { data } = Papa.parse<string[]>(await file.text(), { skipEmptyLines: 'greedy' });
  const [heads = [], ...rows] = data;
  return { name: file.name, heads, rows };
}

/** Imports reps timed elsewhere: choose a table, say what it contains, check the preview, and confirm. */
export function ImportReps(): ReactElement {
  const [table, setTable] = useState<Table | null>(null);
  return (
    <>
      <Heading>{say('bringRepsTimedElsewhere')}</Heading>
      <Quiet>{say('tableCsvRowRepWhoWhich')}</Quiet>
      <p>
        <FileTrigger
          acceptedFileTypes={['text/csv', '.csv', '.txt', '.tsv']}
          onSelect={(files) => {
            const file = files?.[0];
            if (file) void readTable(file).then(setTable);
          }}
        >
          <Button>{table ? say('chooseAnotherTable') : say('chooseTable')}</Button>
        </FileTrigger>
      </p>
      {table && table.rows.length === 0 && (
        <Notice>{say('tableHasNoRowsUnderIts', { table: table.name })}</Notice>
      )}
      {table && table.rows.length > 0 && <OfTable key={table.name} table={table} />}
    </>
  );
}

function OfTable({ table }: { table: Table }): ReactElement {
  const { heads, rows } = table;
  const squad = useSquad();
  const library = useLibrary();
  const [progress, setProgress] = useState<ImportReply | null>(null);
  const store = useImportSets(setProgress);
  const [columns, setColumns] = useState(() => matchColumns(heads));
  const [unit, setUnit] = useState<TimeUnit>(() =>
    heads.some((head) => /_ms$|\(ms\)/i.test(head)) ? 'milliseconds' : 'seconds',
  );
  const [source, setSource] = useState<TimingSource>('hand');
  const [sdMs, setSdMs] = useState(HAND_SD_MS);
  const [sense, setSense] = useState<'heard' | 'seen'>('heard');
  const [chosen, setChosen] = useState('');
  const [rungNumber, setRungNumber] = useState(1);
  const [today] = useState(() => localDay(new Date()));

  const patterns = (library.data ?? []).filter(({ archived }) => !archived);
  const line = patterns.find(({ id }) => id === chosen) ?? patterns[0];
  const rungs = line?.pattern.rungs ?? [];
  const rung = rungs.find(({ number }) => number === rungNumber) ?? rungs[0];
  const people = (squad.data ?? []).map(({ athlete }) => athlete);
  const read = readRepRows(rows, {
    ...{ columns, unit, source, sdMs },
    nearestName,
    lastDay: today,
    athletes: people.map(({ name }) => name),
    targets: rung?.targets ?? [],
  });
  const problems = [...read.problems, ...tooLong(read.sets)].sort((a, b) => a.row - b.row);
  const good = read.sets.filter((set) => tooLong([set]).length === 0);
  const reps = good.reduce((sum, set) => sum + set.reps.length, 0);

  if (!line || !rung) return <Quiet>{say('readingPatternsPeople')}</Quiet>;
  const pattern = { ...line.pattern, id: line.id, version: line.version };
  const chosenImport = (): Import => ({
    importId: v7(),
    body: importBody(good, {
      ...{ pattern, rung: rung.number, source, sense },
      athleteIds: new Map(people.map(({ name, id }) => [name, id])),
    }),
  });
  // If it was not refused part of it may be stored: continue the same import, since a new one would store it twice.
  const mayGoOn = store.error !== null && !(store.error instanceof Refused);
  if (store.data)
    return (
      <p role="status">
        {say('repsSetsStored', { reps: store.data.reps, sets: store.data.sets })}{' '}
        <Link to="/review/sets">{say('seeNewestSets')}</Link>
      </p>
    );
  return (
    <>
      <Fields>
        {IMPORT_FIELDS.map((field: ImportField) => (
          <SelectField
            key={field}
            label={field}
            value={String(columns[field] ?? -1)}
            options={[
              ['-1', say('notTable')],
              ...heads.map((head, i) => [String(i), head] as const),
            ]}
            onChange={(value) => {
              const { [field]: _, ...others } = columns;
              setColumns(value === '-1' ? others : { ...others, [field]: Number(value) });
            }}
          />
        ))}
      </Fields>
      <Fields>
        <SelectField label={say('times')} value={unit} options={TIME_UNITS} onChange={setUnit} />
        <SelectField
          label={say('pattern3')}
          value={line.id}
          options={patterns.map(({ id, pattern: { name } }) => [id, name] as const)}
          onChange={setChosen}
        />
        <SelectField
          label={say('rung2')}
          value={String(rung.number)}
          options={rungs.map(({ number, name }) => [String(number), `${number}: ${name}`] as const)}
          onChange={(value) => setRungNumber(Number(value))}
        />
        <SelectField
          label={say('timed2')}
          value={source}
          options={TIMING_SOURCES}
          onChange={setSource}
        />
        <NumberField
          label={say('oneEventSure')}
          value={sdMs}
          unit="ms"
          min={0}
          max={1000}
          onChange={setSdMs}
        />
        <SelectField
          label={say('cuesWere')}
          value={sense}
          options={['heard', 'seen'] as const}
          onChange={setSense}
        />
      </Fields>
      <ImportPreview sets={good} problems={problems} rows={rows.length} />
      {reps > 0 && (
        <p>
          <Button
            weight="main"
            isDisabled={store.isPending}
            onPress={() => store.mutate(mayGoOn ? store.variables : chosenImport())}
          >
            {say('storeRepsGood', { reps, good: good.length })}
          </Button>
        </p>
      )}
      {store.isPending && progress && (
        <p role="status">{say('storedOfSets', { done: progress.done, sets: progress.sets })}</p>
      )}
      {store.error && (
        <Notice>
          {say('messageStoredOfSets', {
            message: store.error.message,
            done: progress?.done ?? 0,
            sets: progress?.sets ?? good.length,
          })}
        </Notice>
      )}
    </>
  );
}
