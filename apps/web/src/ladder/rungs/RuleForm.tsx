import { STAIRCASE_LIMITS } from '@orthokin/core/drill';
import {
  checkRule,
  PRESET_RULES,
  riskOf,
  RULE_PRESETS,
  type Rule,
  type RulePreset,
} from '@orthokin/core/progress';
import { problemSentence } from '@orthokin/core/result';
import { useMemo, type ReactElement } from 'react';
import { riskWords, ruleWords } from '../../words/decision.js';
import { CountField, NumberField, ShareField } from '../../parts/form/NumberFields.js';
import { SelectField } from '../../parts/form/SelectField.js';
import { Notice } from '../../parts/Notice.js';
import { Fields } from '../../parts/form/Fields.js';
import { say } from '../../words/ladder.js';

const PRESET_WORDS: Readonly<Record<RulePreset, string>> = {
  'careful count': say('countSetsCarefully'),
  'quick count': say('countSetsQuickly'),
  'careful weighing': say('weighEachRepCarefully'),
  'quick weighing': say('weighEachRepQuickly'),
  staircase: say('paceMovesItself'),
};

const OWN = 'own settings';
type Chosen = RulePreset | typeof OWN;

/** The preset that a rule equals, field by field. */
const presetOf = (rule: Rule): Chosen =>
  RULE_PRESETS.find((name) =>
    Object.entries(PRESET_RULES[name]).every(
      ([field, value]) => new Map<string, unknown>(Object.entries(rule)).get(field) === value,
    ),
  ) ?? OWN;

/** When a rung is met: the rule, its settings, and a sentence on what it does. */
export function RuleForm({
  rule,
  label = 'Rule',
  onChange,
}: {
  rule: Rule;
  label?: string;
  onChange: (rule: Rule) => void;
}): ReactElement {
  const checked = checkRule(rule);
  const chosen = presetOf(rule);
  const risk = useMemo(() => riskOf(rule), [rule]);
  return (
    <div role="group" aria-label={label}>
      <div style={{ maxWidth: 300 }}>
        <SelectField
          label={label}
          value={chosen}
          options={[
            ...RULE_PRESETS.map((name) => [name, PRESET_WORDS[name]] as const),
            ...(chosen === OWN ? [[OWN, say('settingsYourOwn')] as const] : []),
          ]}
          onChange={(name) => {
            if (name !== OWN) onChange(PRESET_RULES[name]);
          }}
        />
      </div>
      <Fields style={{ marginTop: 12 }}>
        <Settings rule={rule} onChange={onChange} />
      </Fields>
      <p style={{ margin: '10px 0 0', maxWidth: '66ch' }}>
        {ruleWords(rule)} {risk && riskWords(risk)}
      </p>
      {!checked.ok && <Notice>{problemSentence(checked.problem)}</Notice>}
    </div>
  );
}

const COUNTS = [
  ['setsNeeded', say('setsPassed')],
  ['ofLast', say('last')],
  ['distinctDays', say('differentDays')],
] as const;

const RATES = [
  ['p0', say('notReady')],
  ['p1', say('ready')],
] as const;

const RISKS = [
  ['alpha', say('riskTooSoon')],
  ['beta', say('riskHeldBack')],
] as const;

const STEPS = [
  ['stepMs', say('firstStep')],
  ['leastStepMs', say('leastStep')],
] as const;

function Settings({
  rule,
  onChange,
}: {
  rule: Rule;
  onChange: (rule: Rule) => void;
}): ReactElement {
  switch (rule.kind) {
    case 'count':
      return (
        <>
          {COUNTS.map(([name, label]) => (
            <CountField
              key={name}
              label={label}
              min={1}
              max={10}
              value={rule[name]}
              onChange={(value) => onChange({ ...rule, [name]: value })}
            />
          ))}
        </>
      );
    case 'sequential':
      return (
        <>
          {RATES.map(([name, label]) => (
            <ShareField
              key={name}
              label={label}
              min={0.01}
              max={0.99}
              value={rule[name]}
              onChange={(value) => onChange({ ...rule, [name]: value })}
            />
          ))}
          {RISKS.map(([name, label]) => (
            <ShareField
              key={name}
              label={label}
              min={0.0001}
              max={0.49}
              decimals={1}
              value={rule[name]}
              onChange={(value) => onChange({ ...rule, [name]: value })}
            />
          ))}
        </>
      );
    case 'staircase':
      return (
        <>
          <CountField
            label={say('passesRow')}
            min={STAIRCASE_LIMITS.passesInARow[0]}
            max={STAIRCASE_LIMITS.passesInARow[1]}
            value={rule.passesInARow}
            onChange={(passesInARow) => onChange({ ...rule, passesInARow })}
          />
          {STEPS.map(([name, label]) => (
            <NumberField
              key={name}
              label={label}
              unit="ms"
              min={STAIRCASE_LIMITS.stepMs[0]}
              max={STAIRCASE_LIMITS.stepMs[1]}
              value={rule[name]}
              onChange={(value) => onChange({ ...rule, [name]: value })}
            />
          ))}
          <CountField
            label={say('reversals')}
            min={STAIRCASE_LIMITS.reversals[0]}
            max={STAIRCASE_LIMITS.reversals[1]}
            value={rule.reversals}
            onChange={(reversals) => onChange({ ...rule, reversals })}
          />
        </>
      );
  }
}
