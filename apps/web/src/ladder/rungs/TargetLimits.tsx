import type { Target } from '@orthokin/core/floor';
import {
  limitAt,
  TARGETED_DURATIONS,
  withTargetLimits,
  type GatedDuration,
  type Rung,
} from '@orthokin/core/pattern';
import type { ReactElement } from 'react';
import { CheckField } from '../../parts/form/CheckField.js';
import { SecondsField } from '../../parts/form/NumberFields.js';
import { say } from '../../words/ladder.js';

/** Limits of single targets: a far one needs longer than a near one. */
export function TargetLimits({
  rung,
  gate: wanted,
  targets,
  onChange,
}: {
  rung: Rung;
  gate: GatedDuration;
  targets: readonly Target[];
  onChange: (rung: Rung) => void;
}): ReactElement | null {
  const gate = TARGETED_DURATIONS.find((each) => each === wanted);
  if (!gate || rung.targets.length < 2) return null;
  const all = rung.targets.map((target) => ({
    ...{ gate, target, limitMs: limitAt(rung, gate, target) ?? 0 },
    source: { kind: 'coach' } as const,
  }));
  const own = rung.targetLimits?.filter((each) => each.gate === gate) ?? [];
  const limit = (target: string, limitMs: number) =>
    onChange(
      withTargetLimits(rung, gate, [
        ...own.filter((each) => each.target !== target),
        { gate, target, limitMs, source: { kind: 'coach' } },
      ]),
    );
  return (
    <>
      <CheckField
        isSelected={own.length > 0}
        onChange={(isOn) => onChange(withTargetLimits(rung, gate, isOn ? all : []))}
      >
        {say('eachTargetItsOwn')}
      </CheckField>
      {own.length > 0 &&
        all.map(({ target, limitMs }) => (
          <SecondsField
            key={target}
            label={say('targetNamed', {
              letter: target,
              name: targets.find(({ letter }) => letter === target)?.name ?? '',
            })}
            minMs={50}
            maxMs={30000}
            valueMs={limitMs}
            onChange={(ms) => limit(target, ms)}
          />
        ))}
    </>
  );
}
