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
import { NumberField } from '../../parts/form/NumberFields.js';
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

function Settings({
  rule,
  onChange,
}: {
  rule: Rule;
  onChange: (rule: Rule) => void;
}): ReactElement {
  const whole = { unit: '', min: 1, decimals: 0 } as const;
  const share = { unit: '%', min: 1, max: 99, decimals: 0 } as const;
  switch (rule.kind) {
    case 'count':
      return (
        <>
          <NumberField
            {...whole}
            label="Sets passed"
            max={10}
            value={rule.setsNeeded}
            onChange={(setsNeeded) => onChange({ ...rule, setsNeeded })}
          />
          <NumberField
            {...whole}
            label="of the last"
            max={10}
            value={rule.ofLast}
            onChange={(ofLast) => onChange({ ...rule, ofLast })}
          />
          <NumberField
            {...whole}
            label="Different days"
            max={10}
            value={rule.distinctDays}
            onChange={(distinctDays) => onChange({ ...rule, distinctDays })}
          />
        </>
      );
    case 'sequential':
      return (
        <>
          <NumberField
            {...share}
            label="Not ready at"
            value={100 * rule.p0}
            onChange={(percent) => onChange({ ...rule, p0: percent / 100 })}
          />
          <NumberField
            {...share}
            label="Ready at"
            value={100 * rule.p1}
            onChange={(percent) => onChange({ ...rule, p1: percent / 100 })}
          />
          <NumberField
            {...share}
            min={0.01}
            max={49}
            decimals={1}
            label="Risk: too soon"
            value={100 * rule.alpha}
            onChange={(percent) => onChange({ ...rule, alpha: percent / 100 })}
          />
          <NumberField
            {...share}
            min={0.01}
            max={49}
            decimals={1}
            label="Risk: held back"
            value={100 * rule.beta}
            onChange={(percent) => onChange({ ...rule, beta: percent / 100 })}
          />
        </>
      );
    case 'staircase':
      return (
        <>
          <NumberField
            {...whole}
            label="Passes in a row"
            max={5}
            value={rule.passesInARow}
            onChange={(passesInARow) => onChange({ ...rule, passesInARow })}
          />
          <NumberField
            label="First step"
            unit="ms"
            min={10}
            max={2000}
            value={rule.stepMs}
            onChange={(stepMs) => onChange({ ...rule, stepMs })}
          />
          <NumberField
            label="Least step"
            unit="ms"
            min={5}
            max={2000}
            value={rule.leastStepMs}
            onChange={(leastStepMs) => onChange({ ...rule, leastStepMs })}
          />
          <NumberField
            {...whole}
            label="Turns"
            min={2}
            max={20}
            value={rule.reversals}
            onChange={(reversals) => onChange({ ...rule, reversals })}
          />
        </>
      );
  }
}
