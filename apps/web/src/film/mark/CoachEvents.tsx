import {
  coachEventsMarked,
  type Alignment,
  type FilmRep,
  type RepMarks,
} from '@orthokin/core/film';
import { checkCoachEventName, LONGEST_EVENT_NAME, MOST_COACH_EVENTS } from '@orthokin/core/timing';
import { X } from 'lucide-react';
import type { ReactElement } from 'react';
import styled from 'styled-components';
import { Button } from '../../parts/Button.js';
import { AddByName } from '../../parts/form/AddByName.js';
import { Quiet } from '../../parts/Text.js';
import { fromCue, say } from '../../words/film.js';
import { Keys } from './MarkKeys.js';
import type { CoachEventNames } from './useCoachEventNames.js';

const Gone = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
  margin-top: 6px;
`;

/** The coach's own events, marked by the number keys. */
export function CoachEvents({
  names: { names, idle, add, remove },
  rep,
  own,
  timing,
  onMark,
}: {
  names: CoachEventNames;
  rep: FilmRep;
  own: RepMarks;
  /** Turns frames into times; `null` until the film is tied to the set. */
  timing: {
    readonly framesMs: readonly number[];
    readonly alignment: Alignment;
    readonly ownSdMs: number | null;
  } | null;
  onMark: (name: string) => void;
}): ReactElement {
  const events = timing
    ? coachEventsMarked(rep, own, timing.framesMs, timing.alignment, timing.ownSdMs)
    : [];
  const addNamed = (given: string): boolean => {
    const checked = checkCoachEventName(given, names);
    if (checked.ok) add(checked.value);
    return checked.ok;
  };
  return (
    <section aria-label={say('ownEvents')}>
      <p style={{ margin: '18px 0 0', fontWeight: 650 }}>{say('ownEvents')}</p>
      {names.length > 0 && (
        <Keys>
          {names.map((name, i) => {
            const event = events.find((each) => each.name === name);
            return (
              <button
                key={name}
                type="button"
                aria-pressed={own.coachFrames?.[name] !== undefined}
                disabled={!timing}
                onClick={() => onMark(name)}
              >
                {name}
                <small>
                  {i + 1}
                  {event && ` ${fromCue(event.atMs - rep.cue.atMs)}`}
                </small>
              </button>
            );
          })}
        </Keys>
      )}
      {names.length < MOST_COACH_EVENTS && (
        <div style={{ marginTop: 8 }}>
          <AddByName
            label={say('nameOfOwnEvent')}
            button={say('addOwnEvent')}
            maxLength={LONGEST_EVENT_NAME}
            onAdd={addNamed}
            refused={(name) => say('ownEventRefused', { name })}
          />
        </div>
      )}
      {names.length === 0 && <Quiet>{say('ownEventsAre')}</Quiet>}
      {idle.length > 0 && (
        <Gone>
          {idle.map((name) => (
            <Button key={name} onPress={() => remove(name)}>
              <X size={18} aria-hidden /> {say('forgetOwnEvent', { name })}
            </Button>
          ))}
        </Gone>
      )}
    </section>
  );
}
