import type { LengthUnit } from '@orthokin/core/floor';
import type { ReactElement } from 'react';
import { useParams } from 'react-router';
import { useRemembered } from '../../device/useRemembered.js';
import { SetOut } from '../../parts/SetOut.js';
import { Quiet } from '../../parts/Text.js';
import { say } from '../../words/studio.js';
import { PatternSheet } from './PatternSheet.js';
import { usePrintable } from './usePrintable.js';

/** How to put the pattern down on a floor with tape, on one printed page. */
export function SetOutSheet(): ReactElement {
  const { patternId = '' } = useParams();
  const { pattern, isPending } = usePrintable(patternId);
  const [unit] = useRemembered<LengthUnit>('length-unit', 'metres');
  return (
    <PatternSheet
      back={`/patterns/${patternId}`}
      name={say('patternSetOut', { pattern: pattern?.name ?? '' })}
    >
      {pattern ? (
        <SetOut pattern={pattern} unit={unit} />
      ) : (
        <Quiet>{isPending ? say('openingPattern') : say('thereNoSuchPatternHere')}</Quiet>
      )}
    </PatternSheet>
  );
}
