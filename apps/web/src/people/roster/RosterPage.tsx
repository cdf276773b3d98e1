import { matchRoster, readRoster, ROSTER_FIELDS, type RosterPerson } from '@orthokin/core/formats';
import Papa from 'papaparse';
import { useMemo, useState, type ReactElement } from 'react';
import { DropZone, FileTrigger, type DropZoneProps } from 'react-aria-components';
import { Link } from 'react-router';
import styled from 'styled-components';
import { useClub } from '../../api/club.js';
import { useLibrary } from '../../api/patterns.js';
import { usePeople } from '../../api/people.js';
import { Button, ButtonLink } from '../../parts/Button.js';
import { Fields } from '../../parts/form/Fields.js';
import { SelectField } from '../../parts/form/SelectField.js';
import { OpenField } from '../../parts/form/TextField.js';
import { Notice } from '../../parts/Notice.js';
import { Heading, Headline, Page, Quiet } from '../../parts/Text.js';
import { colour } from '../../parts/tokens.js';
import { say, ROSTER_WORDS } from '../../words/people.js';
import { today } from '../today.js';
import { RosterTable } from './RosterTable.js';
import { useAddRoster } from './useAddRoster.js';

const MOST_PROBLEMS = 30;
const LONGEST_TABLE = 2_000_000;
const NONE = '-1';

const Drop = styled(DropZone)`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 12px 18px;
  max-width: 760px;
  padding: 18px;
  border: 1.5px dashed ${colour('quiet')};
  border-radius: 5px;
  &[data-drop-target] {
    border-style: solid;
    background: ${colour('raised')};
  }
`;

interface Table {
  readonly heads: readonly string[];
  readonly rows: readonly (readonly string[])[];
}

function tableOf(text: string): Table {
  const { data } = Papa.parse<string[]>(text.trim(), { skipEmptyLines: 'greedy' });
  const [heads = [], ...rows] = data;
  return { heads, rows };
}

/** Imports athletes from a table that is dropped, chosen or pasted, after a preview. */
export function RosterPage(): ReactElement {
  const [text, setText] = useState('');
  const [wrong, setWrong] = useState<string | null>(null);
  const table = useMemo(() => tableOf(text), [text]);
  const take = async (file: File) => {
    if (file.size > LONGEST_TABLE) setWrong(say('tableTooLong'));
    else {
      setWrong(null);
      setText(await file.text());
    }
  };
  const drop = async ({ items }: Parameters<NonNullable<DropZoneProps['onDrop']>>[0]) => {
    for (const item of items) if (item.kind === 'file') await take(await item.getFile());
  };
  return (
    <Page name={say('bringMany')}>
      <Quiet>
        <Link to="/people">{say('backToPeople')}</Link>
      </Quiet>
      <Headline style={{ margin: '4px 0 10px' }}>{say('bringMany')}</Headline>
      <Quiet style={{ maxWidth: '66ch', marginBottom: 14 }}>{say('bringManyMeans')}</Quiet>
      <Drop onDrop={(event) => void drop(event)}>
        <FileTrigger
          acceptedFileTypes={['text/csv', '.csv', '.txt', '.tsv']}
          onSelect={(files) => {
            const file = files?.[0];
            if (file) void take(file);
          }}
        >
          <Button>{say('chooseTable')}</Button>
        </FileTrigger>
        <Quiet as="span">{say('dropTable')}</Quiet>
      </Drop>
      <div style={{ maxWidth: 760, marginTop: 14 }}>
        <OpenField
          label={say('pasteTable')}
          rows={4}
          value={text}
          maxLength={LONGEST_TABLE}
          onChange={setText}
        />
        <Quiet>{say('tableExample')}</Quiet>
      </div>
      {wrong && <Notice>{wrong}</Notice>}
      {text.trim() !== '' && table.rows.length === 0 && <Notice>{say('tableNoRows')}</Notice>}
      {table.rows.length > 0 && <OfTable key={table.heads.join('\t')} table={table} />}
    </Page>
  );
}

function OfTable({ table: { heads, rows } }: { table: Table }) {
  const { unit } = useClub();
  const people = usePeople();
  const library = useLibrary();
  const [columns, setColumns] = useState(() => matchRoster(heads));
  const [wanted, setWanted] = useState<ReadonlySet<number>>(new Set());
  const [unwanted, setUnwanted] = useState<ReadonlySet<number>>(new Set());
  const add = useAddRoster();
  const read = useMemo(
    () => readRoster(rows, { columns, known: people.data ?? [], unit, today: today() }),
    [rows, columns, people.data, unit],
  );
  const patterns = (library.data ?? []).filter(({ archived }) => !archived);
  const [chosen, setChosen] = useState('');
  const pattern = patterns.find(({ id }) => id === chosen) ?? patterns[0];
  const isIn = ({ row, double }: RosterPerson) =>
    double === null ? !unwanted.has(row) : wanted.has(row);
  const taken = read.people.filter(isIn);
  const bad = new Set(read.problems.map(({ row }) => row)).size;
  const doubles = read.people.filter(({ double }) => double !== null).length;

  if (add.data)
    return (
      <p role="status">
        {say('addedMany', { count: add.data })} <Link to="/people">{say('seeThem')}</Link>
      </p>
    );
  if (!people.data || !library.data) return <Quiet>{say('readingPeople')}</Quiet>;
  if (!pattern)
    return (
      <p>
        {say('noPattern')} <ButtonLink to="/patterns">{say('makePattern')}</ButtonLink>
      </p>
    );
  return (
    <>
      <Heading style={{ marginTop: 26 }}>{say('whichColumn')}</Heading>
      <Fields>
        {ROSTER_FIELDS.map((field) => (
          <SelectField
            key={field}
            label={ROSTER_WORDS[field]}
            value={String(columns[field] ?? NONE)}
            options={[
              [NONE, say('noColumn')] as const,
              ...heads.map((head, i) => [String(i), head || say('columnN', { n: i + 1 })] as const),
            ]}
            onChange={(column) => {
              const { [field]: _, ...others } = columns;
              setColumns(column === NONE ? others : { ...others, [field]: Number(column) });
            }}
          />
        ))}
        {patterns.length > 1 && (
          <SelectField
            label={say('pattern')}
            value={pattern.id}
            options={patterns.map(({ id, pattern: { name } }) => [id, name] as const)}
            onChange={setChosen}
          />
        )}
      </Fields>
      <p role="status" style={{ margin: '20px 0 12px' }}>
        {say('tableHolds', { rows: rows.length, good: read.people.length, bad, doubles })}
      </p>
      <RosterTable
        people={read.people}
        isIn={isIn}
        onChange={(ids) => {
          setWanted(
            new Set(read.people.flatMap(({ row, double }) => (double && ids.has(row) ? row : []))),
          );
          setUnwanted(
            new Set(read.people.flatMap(({ row, double }) => (double || ids.has(row) ? [] : row))),
          );
        }}
      />
      {read.problems.length > 0 && (
        <>
          <Heading style={{ marginTop: 20 }}>{say('rowsOut')}</Heading>
          <ul aria-label={say('rowsOut')}>
            {read.problems.slice(0, MOST_PROBLEMS).map(({ row, field, given, allowed }) => (
              <li key={`${row} ${field}`}>{say('rowWrong', { row, field, given, allowed })}</li>
            ))}
          </ul>
          {read.problems.length > MOST_PROBLEMS && (
            <Quiet>{say('moreWrong', { count: read.problems.length - MOST_PROBLEMS })}</Quiet>
          )}
        </>
      )}
      {add.error && <Notice>{add.error.message}</Notice>}
      <p style={{ marginTop: 20 }}>
        <Button
          weight="main"
          isDisabled={taken.length === 0 || add.isPending}
          onPress={() => add.mutate({ people: taken, patternId: pattern.id })}
        >
          {say('addMany', { count: taken.length })}
        </Button>
      </p>
    </>
  );
}
