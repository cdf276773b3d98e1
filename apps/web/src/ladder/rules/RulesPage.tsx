import {
  checkRule,
  TRUE_RATES,
  USUAL_COUNT_RULE,
  USUAL_SEQUENTIAL_RULE,
  USUAL_OUTLOOK,
  type OutlookSettings,
  type Rule,
  type RuleOutcome,
} from '@orthokin/core/progress';
import { useMemo, useState, type ReactElement } from 'react';
import styled from 'styled-components';
import { useRemembered } from '../../device/useRemembered.js';
import { Fields } from '../../parts/form/Fields.js';
import { CountField, ShareField } from '../../parts/form/NumberFields.js';
import { FiguresTable } from '../../parts/FiguresTable.js';
import { Heading, Headline, Page, Quiet } from '../../parts/Text.js';
import { colour, MIDDLE } from '../../parts/tokens.js';
import { Working } from '../../parts/working/Working.js';
import { RuleForm } from '../rungs/RuleForm.js';
import {
  comparisonSentence,
  finePercent,
  ruleVerdict,
  setsWords,
  shareWords,
} from '../../words/rules.js';
import { RulesChart } from './RulesChart.js';
import type { RulesAnswer, RulesQuestion } from './simulate.js';
import { useRules } from './useSimulation.js';
import { WishPart } from './WishPart.js';
import { say } from '../../words/ladder.js';

const Columns = styled.div`
  display: grid;
  grid-template-columns: minmax(300px, 0.6fr) minmax(0, 1fr);
  gap: 26px 44px;
  align-items: start;
  margin-top: 22px;
  section + section,
  [role='group'] + [role='group'],
  section + [role='group'],
  [role='group'] + section {
    margin-top: 24px;
    padding-top: 20px;
    border-top: 1px solid ${colour('rule')};
  }
  .found {
    display: grid;
    gap: 18px;
  }
  @media (max-width: ${MIDDLE}) {
    grid-template-columns: minmax(0, 1fr);
    .found {
      order: -1;
    }
  }
`;

/** Enough for a standard error of about a point. */
const ATHLETES = 4000;

const NAMES = [say('rule'), say('ruleB')] as const;

/** Compares what two rules do with simulated athletes whose true pass rate is known. */
export function RulesPage(): ReactElement {
  const [rules, keepRules] = useRemembered<readonly [Rule, Rule]>('compared-rules', [
    USUAL_COUNT_RULE,
    USUAL_SEQUENTIAL_RULE,
  ]);
  const [settings, setSettings] = useState<OutlookSettings>(USUAL_OUTLOOK);
  const [learning, setLearning] = useState(0);
  const question = useMemo(
    (): RulesQuestion | null =>
      rules.every((rule) => checkRule(rule).ok)
        ? { kind: 'rules', rules, settings, learning, athletes: ATHLETES }
        : null,
    [rules, settings, learning],
  );
  const working = useRules(question);
  const answer = working.latest;
  const told = { readyRate: settings.readyRate, isLearning: learning > 0 };
  const set = (change: Partial<OutlookSettings>) => setSettings({ ...settings, ...change });
  return (
    <Page name={say('rulesCompared')}>
      <Headline>
        {(answer && comparisonSentence(answer, told)) ?? say('whatWouldThisRuleDo')}
      </Headline>
      {answer && (
        <p style={{ margin: '10px 0 0', maxWidth: '80ch' }}>
          {NAMES.map((name, i) => ruleVerdict(name, answer[i] ?? [], told)).join(' ')}
        </p>
      )}
      <Columns>
        <div>
          {NAMES.map((name, i) => (
            <RuleForm
              key={name}
              label={name}
              rule={rules[i] ?? USUAL_COUNT_RULE}
              onChange={(rule) => keepRules(i === 0 ? [rule, rules[1]] : [rules[0], rule])}
            />
          ))}
          <section>
            <Heading>{say('course')}</Heading>
            <Fields>
              <CountField
                label={say('repsSet')}
                min={4}
                max={60}
                value={settings.repsPerSet}
                onChange={(repsPerSet) =>
                  set({ repsPerSet, passesNeeded: Math.min(settings.passesNeeded, repsPerSet) })
                }
              />
              <CountField
                label={say('passesPassSet')}
                min={1}
                max={settings.repsPerSet}
                value={settings.passesNeeded}
                onChange={(passesNeeded) => set({ passesNeeded })}
              />
              <CountField
                label={say('setsDay')}
                min={1}
                max={10}
                value={settings.setsPerDay}
                onChange={(setsPerDay) => set({ setsPerDay })}
              />
              <CountField
                label={say('setsAll')}
                min={1}
                max={60}
                value={settings.withinSets}
                onChange={(withinSets) => set({ withinSets })}
              />
              <ShareField
                label={say('ready')}
                min={0.5}
                max={0.99}
                value={settings.readyRate}
                onChange={(share) => set({ readyRate: share })}
              />
              <ShareField
                label={say('learntEachSet')}
                max={0.5}
                value={learning}
                onChange={(share) => setLearning(share)}
              />
            </Fields>
          </section>
        </div>
        <div className="found">
          <Working of={working} what={say('simulation')} />
          {answer && (
            <>
              <RulesChart answer={answer} names={NAMES} readyRate={settings.readyRate} />
              <OutcomeTable answer={answer} />
              <Quiet style={{ fontSize: 15, maxWidth: '76ch' }}>
                {say('eachTrueSharePassedRepsWhich', {
                  which: learning > 0 ? say('whichThenGrowsEverySet') : '',
                  ATHLETES,
                })}
              </Quiet>
            </>
          )}
          <WishPart settings={settings} onTake={(rule) => keepRules([rules[0], rule])} />
        </div>
      </Columns>
    </Page>
  );
}

/** The table's columns about a rule. */
const COLUMNS: readonly (readonly [name: string, cell: (outcome: RuleOutcome) => string])[] = [
  ['moved', shareWords],
  [say('tooSoon'), ({ tooSoon }) => finePercent(tooSoon)],
  [say('heldBack'), ({ heldBack }) => finePercent(heldBack)],
  ['sets', setsWords],
];

const OutcomeTable = ({ answer }: { answer: RulesAnswer }): ReactElement => (
  <FiguresTable caption={say('movedUpPercentAfterHowMany')}>
    <thead>
      <tr>
        <th scope="col" rowSpan={2}>
          {say('passes')}
        </th>
        {NAMES.map((name) => (
          <th key={name} scope="colgroup" colSpan={COLUMNS.length}>
            {name}
          </th>
        ))}
      </tr>
      <tr>
        {NAMES.flatMap((rule) =>
          COLUMNS.map(([name]) => (
            <th key={`${rule} ${name}`} scope="col">
              {name}
            </th>
          )),
        )}
      </tr>
    </thead>
    <tbody>
      {TRUE_RATES.map((rate, i) => (
        <tr key={rate}>
          <th scope="row">{finePercent(rate)}</th>
          {answer.flatMap((outcomes, rule) =>
            COLUMNS.map(([name, cell]) => {
              const outcome = outcomes[i];
              return <td key={`${rule} ${name}`}>{outcome ? cell(outcome) : '–'}</td>;
            }),
          )}
        </tr>
      ))}
    </tbody>
  </FiguresTable>
);
