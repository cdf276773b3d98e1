import type { PlanReply } from '@orthokin/contract';
import {
  BLOCK_KINDS,
  fitted,
  MOST_BLOCKS,
  placed,
  planFindings,
  usualBlock,
  type Block,
  type BlockKind,
} from '@orthokin/core/plan';
import { ok, wrong } from '@orthokin/core/result';
import { Play, Printer, Redo2, Undo2 } from 'lucide-react';
import { useMemo, useState, type ReactElement } from 'react';
import { Link, useParams } from 'react-router';
import styled from 'styled-components';
import { v7 } from 'uuid';
import { usePlan } from '../api/plans.js';
import { useSquad } from '../api/squad.js';
import { Button, ButtonLink } from '../parts/Button.js';
import { DateField } from '../parts/form/DateField.js';
import { CountField } from '../parts/form/NumberFields.js';
import { SelectField } from '../parts/form/SelectField.js';
import { TextField } from '../parts/form/TextField.js';
import { TypedField } from '../parts/form/TypedField.js';
import { IconButton } from '../parts/IconButton.js';
import { Failed, Notice } from '../parts/Notice.js';
import { Heading, Headline, Page, Quiet } from '../parts/Text.js';
import { colour, MIDDLE } from '../parts/tokens.js';
import { blockName, findingWords, kindWords, minutesOf, say } from '../words/plan.js';
import { BlockForm } from './BlockForm.js';
import { BlockList, type BlockDrop } from './BlockList.js';
import { Hour } from './Hour.js';
import { usePlanning } from './usePlanning.js';
import { WhoComes } from './WhoComes.js';

const Head = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  justify-content: space-between;
  gap: 12px 24px;
  margin: 4px 0 14px;
  .ways {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 8px;
  }
`;

const About = styled.div`
  display: grid;
  grid-template-columns: minmax(180px, 1.6fr) repeat(3, minmax(110px, 1fr));
  gap: 12px 16px;
  margin: 18px 0;
  @media (max-width: ${MIDDLE}) {
    grid-template-columns: repeat(2, minmax(0, 1fr));
  }
`;

const Columns = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1.25fr) minmax(300px, 1fr);
  gap: 18px 36px;
  align-items: start;
  margin-top: 22px;
  @media (max-width: ${MIDDLE}) {
    grid-template-columns: minmax(0, 1fr);
  }
`;

const Follow = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: 8px 20px;
  margin-top: 10px;
  .whom {
    width: 230px;
  }
  p {
    margin: 0 0 8px;
  }
`;

const Findings = styled.ul`
  margin: 10px 0 0;
  padding: 0;
  list-style: none;
  color: ${colour('bad')};
`;

const MINUTE_S = 60;
const NOTHING = '';
const NOBODY = '';

/** The blocks with one put down elsewhere. */
function moved(blocks: readonly Block[], { id, beside, after }: BlockDrop): Block[] {
  const one = blocks.find((block) => block.id === id);
  const others = blocks.filter((block) => block.id !== id);
  const at = others.findIndex((block) => block.id === beside) + (after ? 1 : 0);
  return one ? [...others.slice(0, at), one, ...others.slice(at)] : others;
}

/** A block in two, one after the other: something may come between. */
const halves = (block: Block, id: string): Block[] => {
  const half = Math.ceil(block.minutes / 2);
  return [
    { ...block, minutes: half },
    { ...block, id, minutes: block.minutes - half },
  ];
};

const timeOf = (text: string) => {
  const [, hours, minutes] = /^(\d{1,2})[:.]?([0-5]\d)$/.exec(text.trim()) ?? [];
  return hours === undefined || Number(hours) > 23
    ? wrong('', text, '17:30')
    : ok(`${hours.padStart(2, '0')}:${minutes}`);
};

/** One session: its blocks, who comes, who works when, and what is amiss. */
export function PlanPage(): ReactElement {
  const { planId = '' } = useParams();
  const plan = usePlan(planId);
  const [readings, setReadings] = useState(0);
  if (plan.data)
    return (
      <Planner
        key={`${planId} ${readings}`}
        plan={plan.data}
        onReadAnew={() => void plan.refetch().then(() => setReadings(readings + 1))}
      />
    );
  return (
    <Page name={say('plan')}>
      {plan.error ? (
        <Failed error={plan.error} again={() => void plan.refetch()} />
      ) : (
        <Quiet>{say('readingPlans')}</Quiet>
      )}
    </Page>
  );
}

function Planner({ plan, onReadAnew }: { plan: PlanReply; onReadAnew: () => void }): ReactElement {
  const planning = usePlanning(plan);
  const { present, edit, undo, redo, canUndo, canRedo, isSaved, error } = planning;
  const { blocks, athleteIds, minutes, startsAt } = present;
  const squad = useSquad();
  const nameOf = (id: string) =>
    squad.data?.find(({ athlete }) => athlete.id === id)?.athlete.name ?? '';
  const [chosenId, setChosenId] = useState<string | null>(null);
  const [followed, setFollowed] = useState<string | null>(null);
  const [cannotFit, setCannotFit] = useState(false);
  const all = useMemo(() => placed({ blocks, athleteIds }), [blocks, athleteIds]);
  const findings = planFindings({ minutes, athleteIds }, all);
  const chosen = blocks.find(({ id }) => id === chosenId) ?? blocks[0];
  const set = (part: Partial<typeof present>) => edit((now) => ({ ...now, ...part }));
  const setBlocks = (make: (now: readonly Block[]) => readonly Block[]) => {
    setCannotFit(false);
    edit((now) => ({ ...now, blocks: make(now.blocks) }));
  };
  const add = (kind: BlockKind) => {
    const block = usualBlock(v7(), kind);
    const at = chosen ? blocks.indexOf(chosen) + 1 : blocks.length;
    setBlocks((now) => [...now.slice(0, at), block, ...now.slice(at)]);
    setChosenId(block.id);
  };
  const copy = (id: string) =>
    setBlocks((now) => now.flatMap((one) => (one.id === id ? [one, { ...one, id: v7() }] : one)));
  const fit = () => {
    const shorter = fitted({ ...present });
    setBlocks(() => shorter);
    const endS = placed({ blocks: shorter, athleteIds }).at(-1)?.toS ?? 0;
    setCannotFit(endS > MINUTE_S * minutes);
  };
  const shares = athleteIds.map((athleteId) => {
    const own = all.flatMap(({ shares: ofBlock }) =>
      ofBlock.filter((share) => share.athleteId === athleteId),
    );
    const sum = (of: (share: (typeof own)[number]) => number) =>
      own.reduce((total, share) => total + of(share), 0);
    return {
      athleteId,
      works: sum(({ works }) => works),
      helps: sum(({ helps }) => helps),
      waitsS: sum(({ waitsS }) => waitsS),
    };
  });
  const share = shares.find(({ athleteId }) => athleteId === followed);
  const headline =
    blocks.length === 0
      ? say('headlineEmpty')
      : athleteIds.length === 0
        ? say('headlineNobody')
        : say('headline', {
            ...{ minutes: minutesOf(all.at(-1)?.toS ?? 0), there: minutes },
            ...{ count: athleteIds.length, sets: Math.min(...shares.map(({ works }) => works)) },
          });
  const hasTurns = all.some(({ rounds }) => rounds.length > 0);
  const isTooLong = findings.some(({ finding }) => finding === 'too long');
  return (
    <Page name={present.name}>
      <Quiet>
        <Link to="/plan">{say('back')}</Link>
      </Quiet>
      <Head>
        <Headline>{headline}</Headline>
        <span className="ways">
          <Quiet as="span" role="status">
            {isSaved ? say('saved') : error ? '' : say('saving')}
          </Quiet>
          <IconButton aria-label={say('undo')} isDisabled={!canUndo} onPress={undo}>
            <Undo2 size={20} />
          </IconButton>
          <IconButton aria-label={say('redo')} isDisabled={!canRedo} onPress={redo}>
            <Redo2 size={20} />
          </IconButton>
          <ButtonLink to={`/plan/${plan.id}/print`}>
            <Printer size={18} aria-hidden /> {say('print')}
          </ButtonLink>
          {blocks.length > 0 && (
            <ButtonLink to={`/plan/${plan.id}/run`} $weight="main">
              <Play size={18} aria-hidden /> {say('begin')}
            </ButtonLink>
          )}
        </span>
      </Head>
      {error && !isSaved && (
        <Notice action={<Button onPress={onReadAnew}>{say('readAnew')}</Button>}>
          {say('notSaved', { why: error.message })}
        </Notice>
      )}
      {blocks.length > 0 && (
        <Hour
          blocks={all}
          {...{ startsAt, minutes, athleteIds, followed }}
          chosen={chosen?.id ?? null}
          onChoose={setChosenId}
        />
      )}
      {hasTurns && (
        <Follow>
          <div className="whom">
            <SelectField
              label={say('follow')}
              value={followed ?? NOBODY}
              options={[
                [NOBODY, say('followNobody')],
                ...athleteIds.map((id) => [id, nameOf(id)] as const),
              ]}
              onChange={(id) => setFollowed(id === NOBODY ? null : id)}
            />
          </div>
          <p role="status">
            {share
              ? say('shareOf', {
                  ...{ name: nameOf(share.athleteId), works: share.works, helps: share.helps },
                  waits: minutesOf(share.waitsS),
                })
              : say('everyoneShare', {
                  works: Math.min(...shares.map(({ works }) => works)),
                  waits: minutesOf(Math.max(...shares.map(({ waitsS }) => waitsS))),
                })}
          </p>
        </Follow>
      )}
      {findings.length > 0 && blocks.length > 0 && (
        <Findings>
          {findings.map((finding) => (
            <li key={`${finding.finding} ${'blockId' in finding ? finding.blockId : ''}`}>
              {findingWords(finding, (id) => {
                const block = blocks.find((one) => one.id === id);
                return block ? blockName(block) : '';
              })}
            </li>
          ))}
        </Findings>
      )}
      {isTooLong && (
        <p style={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', gap: 12 }}>
          <Button onPress={fit}>{say('fit')}</Button>
          <Quiet as="span">{say(cannotFit ? 'noFit' : 'fitMeans')}</Quiet>
        </p>
      )}
      <About>
        <TextField
          label={say('name')}
          value={present.name}
          maxLength={60}
          required
          onChange={(name) => set({ name })}
        />
        <DateField
          label={say('day')}
          value={present.day}
          onChange={(day) => day !== null && set({ day })}
        />
        <TypedField<string>
          label={say('startsAt')}
          value={startsAt}
          show={(time) => time}
          parse={timeOf}
          onChange={(time) => set({ startsAt: time })}
        />
        <CountField
          label={say('timeThereIs')}
          value={minutes}
          min={5}
          max={480}
          onChange={(to) => set({ minutes: to })}
        />
      </About>
      <WhoComes athleteIds={athleteIds} onChange={(ids) => set({ athleteIds: ids })} />
      <Columns>
        <section aria-label={say('blocks')}>
          <Heading style={{ marginBottom: 8 }}>{say('blocks')}</Heading>
          <BlockList
            blocks={all}
            startsAt={startsAt}
            chosen={chosen?.id ?? null}
            onChoose={setChosenId}
            onMove={(drop) => setBlocks((now) => moved(now, drop))}
            onCopy={copy}
            onSplit={(id) =>
              setBlocks((now) => now.flatMap((one) => (one.id === id ? halves(one, v7()) : one)))
            }
            onRemove={(id) => setBlocks((now) => now.filter((one) => one.id !== id))}
          />
          {blocks.length < MOST_BLOCKS && (
            <div style={{ maxWidth: 300, marginTop: 10 }}>
              <SelectField
                label={say('addBlock')}
                value={NOTHING}
                options={[
                  [NOTHING, say('addWhat')] as const,
                  ...BLOCK_KINDS.map((kind) => [kind, kindWords(kind)] as const),
                ]}
                onChange={(kind) => kind !== NOTHING && add(kind)}
              />
            </div>
          )}
        </section>
        {chosen && (
          <BlockForm
            key={chosen.id}
            block={chosen}
            onChange={(part) =>
              setBlocks((now) =>
                now.map((one) => (one.id === chosen.id ? { ...one, ...part } : one)),
              )
            }
          />
        )}
      </Columns>
    </Page>
  );
}
