import type { PlanReply } from '@orthokin/contract';
import {
  BLOCK_KINDS,
  endOf,
  fitted,
  halved,
  MOST_BLOCKS,
  overTime,
  placed,
  planFindings,
  replaced,
  sharesOver,
  usualBlock,
  type Block,
  type BlockKind,
} from '@orthokin/core/plan';
import { Play, Printer, Redo2, Undo2 } from 'lucide-react';
import { useMemo, useState, type ReactElement } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import { v7 } from 'uuid';
import { useSquad } from '../api/squad.js';
import { Button, ButtonLink } from '../parts/Button.js';
import { Columns } from '../parts/Columns.js';
import { dropped } from '../parts/dropped.js';
import { SelectField } from '../parts/form/SelectField.js';
import { IconButton } from '../parts/IconButton.js';
import { Notice } from '../parts/Notice.js';
import { Heading, Headline, Page, Quiet } from '../parts/Text.js';
import { colour } from '../parts/tokens.js';
import { allowSound } from '../sound/audio.js';
import { blockName, findingWords, kindWords, minutesOf, say } from '../words/plan.js';
import { AboutPlan } from './AboutPlan.js';
import { BlockForm } from './BlockForm.js';
import { BlockList } from './BlockList.js';
import { DraftIt } from './DraftIt.js';
import { FollowOne } from './FollowOne.js';
import { Hour } from './Hour.js';
import { LastTime } from './LastTime.js';
import { OnPlan } from './OnPlan.js';
import { useNames } from './useNames.js';
import { forget } from '../device/preferences.js';
import { Overtaken } from './Overtaken.js';
import { draftName } from './planned.js';
import { usePlanning } from './usePlanning.js';
import { WhatToBring } from './WhatToBring.js';
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

const Findings = styled.ul`
  margin: 10px 0 0;
  padding: 0;
  list-style: none;
  color: ${colour('bad')};
`;

const NOTHING = '';

/** A session's plan: its blocks, athletes, turns, and problems. */
export function PlanPage(): ReactElement {
  const [readings, setReadings] = useState(0);
  return (
    <OnPlan>
      {(plan, again) => (
        <Planner
          key={`${plan.id} ${readings}`}
          plan={plan}
          onReadAnew={() => {
            forget(draftName(plan.id));
            void again().then(() => setReadings(readings + 1));
          }}
        />
      )}
    </OnPlan>
  );
}

function Planner({ plan, onReadAnew }: { plan: PlanReply; onReadAnew: () => void }): ReactElement {
  const { present, edit, undo, redo, canUndo, canRedo, ...saving } = usePlanning(plan);
  const { isSaved, error, isOvertaken, keepMine } = saving;
  const { blocks, athleteIds, minutes, startsAt } = present;
  const nameOf = useNames();
  const [chosenId, setChosenId] = useState<string | null>(null);
  const [followed, setFollowed] = useState<string | null>(null);
  const [cannotFit, setCannotFit] = useState(false);
  const all = useMemo(() => placed({ blocks, athleteIds }), [blocks, athleteIds]);
  const { data: lines = [] } = useSquad();
  const ageBandOf = (id: string) => lines.find(({ athlete }) => athlete.id === id)?.athlete.ageBand;
  const findings = planFindings({ minutes, athleteIds, ageBandOf }, all);
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
  const replace = (id: string, by: (block: Block) => readonly Block[]) =>
    setBlocks((now) => replaced(now, id, by));
  const fit = () => {
    const shorter = fitted(present);
    setBlocks(() => shorter);
    setCannotFit(overTime(present, placed({ blocks: shorter, athleteIds })) > 0);
  };
  const blockNamed = (id: string): string => {
    const block = blocks.find((one) => one.id === id);
    return block ? blockName(block) : '';
  };
  const shares = sharesOver(all, athleteIds);
  const headline =
    blocks.length === 0
      ? say('headlineEmpty')
      : athleteIds.length === 0
        ? say('headlineNobody')
        : say('headline', {
            ...{ minutes: minutesOf(endOf(all)), there: minutes },
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
            <ButtonLink
              to={`/plan/${plan.id}/run`}
              $weight="main"
              onClick={() => void allowSound()}
            >
              <Play size={18} aria-hidden /> {say('begin')}
            </ButtonLink>
          )}
        </span>
      </Head>
      {isOvertaken ? (
        <Overtaken
          planId={plan.id}
          {...{ mine: present, nameOf, keepMine }}
          keepTheirs={onReadAnew}
        />
      ) : (
        error && !isSaved && <Notice>{say('notSaved', { why: error.message })}</Notice>
      )}
      {blocks.length > 0 && (
        <Hour
          blocks={all}
          {...{ startsAt, minutes, athleteIds, followed }}
          chosen={chosen?.id ?? null}
          onChoose={setChosenId}
        />
      )}
      {hasTurns && <FollowOne {...{ shares, followed, nameOf }} onFollow={setFollowed} />}
      {findings.length > 0 && blocks.length > 0 && (
        <Findings>
          {findings.map((finding) => (
            <li key={`${finding.finding} ${'blockId' in finding ? finding.blockId : ''}`}>
              {findingWords(finding, blockNamed, nameOf)}
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
      <WhatToBring {...{ blocks, athleteIds }} />
      <AboutPlan planned={present} onChange={set} />
      <WhoComes athleteIds={athleteIds} onChange={(ids) => set({ athleteIds: ids })} />
      <DraftIt {...{ athleteIds, nameOf }} onDraft={(drafted) => setBlocks(() => drafted)} />
      <LastTime {...{ athleteIds, nameOf }} day={present.day} />
      <Columns>
        <section aria-label={say('blocks')}>
          <Heading style={{ marginBottom: 8 }}>{say('blocks')}</Heading>
          <BlockList
            blocks={all}
            startsAt={startsAt}
            chosen={chosen?.id ?? null}
            onChoose={setChosenId}
            onMove={(drop) =>
              setBlocks((now) =>
                dropped(
                  now.map(({ id }) => id),
                  drop,
                ).flatMap((id) => now.find((one) => one.id === id) ?? []),
              )
            }
            onCopy={(id) => replace(id, (one) => [one, { ...one, id: v7() }])}
            onSplit={(id) => replace(id, (one) => halved(one, v7()))}
            onRemove={(id) => replace(id, () => [])}
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
            {...{ athleteIds, nameOf }}
            onChange={(part) => replace(chosen.id, (one) => [{ ...one, ...part }])}
          />
        )}
      </Columns>
    </Page>
  );
}
