import { FREEZE_AT, LATE_KINDS, MAX_MOVED_M } from '@orthokin/core/cue';
import type { Conditions } from '@orthokin/core/drill';
import { MOST_WATCHED, type Fault, type FaultWords } from '@orthokin/core/timing';
import type { ReactElement } from 'react';
import { useClub } from '../../api/club.js';
import { NumberField, ShareField } from '../../parts/form/NumberFields.js';
import { SelectField } from '../../parts/form/SelectField.js';
import { Quiet } from '../../parts/Text.js';
import { Fields } from '../../parts/form/Fields.js';
import { Choice } from './Choice.js';
import { commaList, listWords, percent } from '../../words/format.js';
import { faultWords, namedFaults } from '../../words/fault.js';
import { say } from '../../words/floor.js';

/** The tests in a set, in words; empty if there are none. */
export function trialWords(conditions: Conditions, own: readonly FaultWords[]): string {
  const { catchShare, switchShare, freezeShare, freezeAt, late, varyM, watched } = conditions;
  const said = [
    catchShare > 0 && say('catchshareCatch', { catchShare: percent(catchShare) }),
    switchShare > 0 && say('switchshareSwitch', { switchShare: percent(switchShare) }),
    freezeShare > 0 &&
      say('freezeshareFreezeFreezeat', { freezeShare: percent(freezeShare), freezeAt }),
    late && say('lateArrival', { late }),
    varyM > 0 && say('targetsMovedUpVarymM', { varyM: varyM.toFixed(1) }),
    watched.length > 0 &&
      say('watchingWatched', {
        watched: listWords(watched.map((fault) => faultWords(fault, own).name)),
      }),
  ];
  return commaList(said);
}

const SHARES = [
  ['catchShare', say('catchTrials'), say('readyNoCueComes')],
  ['switchShare', say('switchedCues'), say('cueChangesAnotherTarget')],
  ['freezeShare', say('freezeCalls'), say('holdStillLooked')],
] as const;

/** Chooses tests that keep a drill honest, and the faults to watch. */
export function TrialsPart({
  conditions,
  onChange,
}: {
  conditions: Conditions;
  onChange: (change: Partial<Conditions>) => void;
}): ReactElement {
  const { freezeAt, freezeShare, switchShare, switchAfterMs, late, varyM, watched } = conditions;
  const own = useClub().faults;
  // A watched fault stays in the list even if the club no longer has a name for it.
  const named = [...new Set([...namedFaults(own), ...watched])];
  const watch = (place: number, fault: Fault | 'none') => {
    const kept = [...watched];
    kept.splice(place, 1, ...(fault === 'none' ? [] : [fault]));
    onChange({ watched: [...new Set(kept)] });
  };
  return (
    <Choice title={say('testsFaults')} says={trialWords(conditions, own) || say('noTests')}>
      <Fields>
        {SHARES.map(([name, label]) => (
          <ShareField
            key={name}
            label={label}
            max={0.5}
            value={conditions[name]}
            onChange={(share) => onChange({ [name]: share })}
          />
        ))}
        {switchShare > 0 && (
          <NumberField
            label={say('switchedAfter')}
            unit="ms"
            min={1}
            max={1000}
            value={switchAfterMs}
            onChange={(ms) => onChange({ switchAfterMs: Math.round(ms) })}
          />
        )}
        {freezeShare > 0 && (
          <SelectField
            label={say('freeze2')}
            value={freezeAt}
            options={FREEZE_AT}
            onChange={(at) => onChange({ freezeAt: at })}
          />
        )}
        <SelectField
          label={say('shownArrival')}
          value={late ?? 'nothing'}
          options={['nothing', ...LATE_KINDS] as const}
          onChange={(kind) => onChange({ late: kind === 'nothing' ? null : kind })}
        />
        <NumberField
          label={say('targetMovedUp')}
          unit="m"
          decimals={1}
          min={0}
          max={MAX_MOVED_M}
          value={varyM}
          onChange={(metres) => onChange({ varyM: metres })}
        />
        {Array.from({ length: MOST_WATCHED }, (_, place) => (
          <SelectField
            key={place}
            label={say('watchedFaultPlace', { place: place + 1 })}
            value={watched[place] ?? 'none'}
            options={[
              ['none', say('none')] as const,
              ...named.map((fault) => [fault, faultWords(fault, own).name] as const),
            ]}
            onChange={(fault) => watch(place, fault)}
          />
        ))}
      </Fields>
      <Quiet style={{ fontSize: 16 }}>
        {say('catchSharesShowsWhoGoesEarly', {
          SHARES: SHARES[0][2],
          SHARES2: SHARES[1][2],
          SHARES3: SHARES[2][2],
        })}
      </Quiet>
    </Choice>
  );
}
