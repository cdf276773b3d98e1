import {
  checkRule,
  DEFAULT_COUNT_RULE,
  DEFAULT_SEQUENTIAL_RULE,
  DEFAULT_STAIRCASE_RULE,
  RULE_KINDS,
  type Rule,
} from '@orthokin/core/progress';
import { problemSentence } from '@orthokin/core/result';
import type { ReactElement } from 'react';
import { ruleWords } from '../../parts/decision-words.js';
import { CountField, NumberField, ShareField } from '../../parts/form/NumberFields.js';
import { SelectField } from '../../parts/form/SelectField.js';
import { Notice } from '../../parts/Notice.js';
import { Fields } from '../../parts/form/Fields.js';

const KIND_WORDS: Readonly<Record<Rule['kind'], string>> = {
  count: 'count sets',
  sequential: 'weigh each rep',
  staircase: 'pace that moves by itself',
};

const DEFAULTS: Readonly<Record<Rule['kind'], Rule>> = {
  count: DEFAULT_COUNT_RULE,
  sequential: DEFAULT_SEQUENTIAL_RULE,
  staircase: DEFAULT_STAIRCASE_RULE,
};

/** When a rung is met: the rule, its settings, and what it says in one sentence. */
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
  return (
    <div role="group" aria-label={label}>
      <div style={{ maxWidth: 300 }}>
        <SelectField
          label={label}
          value={rule.kind}
          options={RULE_KINDS.map((kind) => [kind, KIND_WORDS[kind]] as const)}
          onChange={(kind) => onChange(DEFAULTS[kind])}
        />
      </div>
      <Fields style={{ marginTop: 12 }}>
        <Settings rule={rule} onChange={onChange} />
      </Fields>
      <p style={{ margin: '10px 0 0', maxWidth: '66ch' }}>{ruleWords(rule)}</p>
      {!checked.ok && <Notice>{problemSentence(checked.problem)}</Notice>}
    </div>
  );
}

const COUNTS = [
  ['setsNeeded', 'Sets passed'],
  ['ofLast', 'of the last'],
  ['distinctDays', 'Different days'],
] as const;

const RATES = [
  ['p0', 'Not ready at'],
  ['p1', 'Ready at'],
] as const;

const RISKS = [
  ['alpha', 'Risk: too soon'],
  ['beta', 'Risk: held back'],
] as const;

const STEPS = [
  ['stepMs', 'First step'],
  ['leastStepMs', 'Least step'],
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
            label="Passes in a row"
            min={1}
            max={5}
            value={rule.passesInARow}
            onChange={(passesInARow) => onChange({ ...rule, passesInARow })}
          />
          {STEPS.map(([name, label]) => (
            <NumberField
              key={name}
              label={label}
              unit="ms"
              min={5}
              max={2000}
              value={rule[name]}
              onChange={(value) => onChange({ ...rule, [name]: value })}
            />
          ))}
          <CountField
            label="Reversals"
            min={2}
            max={20}
            value={rule.reversals}
            onChange={(reversals) => onChange({ ...rule, reversals })}
          />
        </>
      );
  }
}
