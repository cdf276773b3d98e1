import type { LengthUnit } from '@orthokin/core/floor';
import type { ReactElement } from 'react';
import { useParams } from 'react-router';
import { useRemembered } from '../../device/useRemembered.js';
import { SetOut } from '../../parts/SetOut.js';
import { Quiet } from '../../parts/Text.js';
import { say } from '../../words/studio.js';
import { PatternSheet } from './PatternSheet.js';
import { usePrintable } from './usePrintable.js';

/** A printed page on how to set out the pattern with tape. */
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
