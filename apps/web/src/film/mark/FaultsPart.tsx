import { SEEN_FAULTS, type Fault } from '@orthokin/core/timing';
import { useContext, type ReactElement } from 'react';
import { useClub } from '../../api/club.js';
import { Button } from '../../parts/Button.js';
import { FaultNames } from '../../parts/fault-names.js';
import { SelectField } from '../../parts/form/SelectField.js';
import { Heading } from '../../parts/Text.js';
import { namedFaults } from '../../words/fault.js';
import { say } from '../../words/film.js';
import { Row } from '../Row.js';

const NONE = '';

/** Faults seen on film: watched ones and those seen already as keys, the others from a list. */
export function FaultsPart({
  watched,
  seen,
  onFault,
}: {
  watched: readonly Fault[];
  /** In the current rep. */
  seen: readonly Fault[];
  onFault: (fault: Fault) => void;
}): ReactElement {
  const nameOf = useContext(FaultNames);
  const keys = [...new Set([...watched, ...seen])].filter((fault) => SEEN_FAULTS.includes(fault));
  const { faults: own } = useClub();
  const others = namedFaults(own).filter((fault) => fault !== 'missed' && !keys.includes(fault));
  return (
    <section style={{ marginTop: 18 }} aria-label={say('seenInRep')}>
      <Heading>{say('seenInRep')}</Heading>
      <Row>
        {keys.map((fault) => (
          <Button
            key={fault}
            aria-pressed={seen.includes(fault)}
            weight={seen.includes(fault) ? 'main' : 'plain'}
            onPress={() => onFault(fault)}
          >
            {nameOf(fault)}
          </Button>
        ))}
        <div style={{ width: 200 }}>
          <SelectField
            label={say('anotherFault')}
            hideLabel
            value={NONE}
            options={[
              [NONE, say('anotherFault')],
              ...others.map((fault) => [fault, nameOf(fault)] as const),
            ]}
            onChange={(chosen) => {
              const fault = others.find((each) => each === chosen);
              if (fault) onFault(fault);
            }}
          />
        </div>
      </Row>
    </section>
  );
}
