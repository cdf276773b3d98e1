import type { FreezeAt } from '@orthokin/core/cue';
import { legOf, notesOf, type Pattern } from '@orthokin/core/pattern';
import type { RepMarks } from '@orthokin/core/timing';
import { useState, type ReactElement } from 'react';
import styled from 'styled-components';
import { Button } from '../../parts/Button.js';
import { CheckField } from '../../parts/form/CheckField.js';
import { Headline, Quiet } from '../../parts/Text.js';
import { say } from '../../words/floor.js';

const Box = styled.div`
  display: grid;
  align-content: center;
  justify-items: start;
  gap: 16px;
  height: 100%;
  overflow: auto;
  label {
    min-height: 56px;
    font-size: 22px;
  }
  button {
    min-height: 60px;
    font-size: 18px;
  }
`;

/** Check points for a pattern that has none of its own. */
const USUAL_POINTS = [say('baseWide'), say('weightWhereBelongs'), say('headUp')];

function pointsOf(pattern: Pattern, letter: string, at: FreezeAt): readonly string[] {
  const leg = legOf(pattern, letter);
  const points = leg ? notesOf(pattern, leg, at).checkPoints : [];
  return points.length > 0 ? points : USUAL_POINTS;
}

/** The athlete holds still: checks the position against its check points. */
export function FreezeCheck({
  pattern,
  letter,
  at,
  onChecked,
}: {
  pattern: Pattern;
  letter: string;
  at: FreezeAt;
  onChecked: (checked: RepMarks['checked']) => void;
}): ReactElement {
  const points = pointsOf(pattern, letter, at);
  const [failed, setFailed] = useState<readonly string[]>([]);
  return (
    <Box>
      <Headline>{say('freeze', { at })}</Headline>
      <Quiet>{say('takeAwayWhatDoesNotHold')}</Quiet>
      {points.map((point) => (
        <CheckField
          key={point}
          isSelected={!failed.includes(point)}
          onChange={(holds) =>
            setFailed(holds ? failed.filter((each) => each !== point) : [...failed, point])
          }
        >
          {point}
        </CheckField>
      ))}
      <Button
        weight="main"
        autoFocus
        onPress={() => onChecked({ held: points.length - failed.length, of: points.length })}
      >
        {say('go')}
      </Button>
    </Box>
  );
}
