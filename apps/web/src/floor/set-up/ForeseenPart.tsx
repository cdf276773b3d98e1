import type { Foreseen } from '@orthokin/core/progress';
import { TriangleAlert } from 'lucide-react';
import type { ReactElement } from 'react';
import styled from 'styled-components';
import { Lines } from '../../parts/Lines.js';
import { Button } from '../../parts/Button.js';
import { colour } from '../../parts/tokens.js';
import { foreseenWords, mendWords } from '../../words/set-up.js';
import { mended } from './mended.js';
import type { DrillChoices } from '../plan-drill.js';

const List = styled(Lines)`
  display: grid;
  gap: 8px;
  li {
    padding-left: 14px;
    border-left: 5px solid ${colour('here')};
  }
  span {
    flex: 1 1 300px;
  }
`;

/** Warns of what the set will not be able to show, each with a button that fixes it. */
export const ForeseenPart = ({
  foreseen,
  choices,
  onChange,
}: {
  foreseen: readonly Foreseen[];
  choices: DrillChoices;
  onChange: (choices: DrillChoices) => void;
}): ReactElement | null =>
  foreseen.length === 0 ? null : (
    <List>
      {foreseen.map((one) => (
        <li key={one.kind}>
          <TriangleAlert size={20} aria-hidden />
          <span>{foreseenWords(one)}</span>
          <Button onPress={() => onChange(mended(choices, one))}>{mendWords(one)}</Button>
        </li>
      ))}
    </List>
  );
