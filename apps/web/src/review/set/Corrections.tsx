import type { RepReply } from '@orthokin/contract';
import { Undo2 } from 'lucide-react';
import { useContext, type ReactElement } from 'react';
import { FaultNames } from '../../parts/fault-names.js';
import styled from 'styled-components';
import { useCorrectRep } from '../../api/review.js';
import { useOwnName } from '../../api/me.js';
import { Lines } from '../../parts/Lines.js';
import { Button } from '../../parts/Button.js';
import { dayWords, timeWords } from '../../words/format.js';
import { Heading, Quiet } from '../../parts/Text.js';
import { colour } from '../../parts/tokens.js';
import { correctionOf } from '../../drill/corrections.js';
import { correctionsOf } from './corrections.js';
import { say } from '../../words/review.js';

const List = styled(Lines)`
  li {
    justify-content: space-between;
    border-top: 1px solid ${colour('rule')};
  }
`;

/** Corrections of the set's reps, by whom and when; the newest can be undone. */
export function Corrections({
  setId,
  reps,
}: {
  setId: string;
  reps: readonly RepReply[];
}): ReactElement | null {
  const correct = useCorrectRep(setId);
  const [name] = useOwnName();
  const lines = correctionsOf(reps, useContext(FaultNames));
  if (lines.length === 0) return null;
  return (
    <section aria-label={say('corrections')} style={{ marginTop: 22 }}>
      <Heading>{say('corrections')}</Heading>
      <List>
        {lines.map(({ rep, before, words, stands }) => (
          <li key={rep.id}>
            <span>
              {say('repOrdinalWords', { ordinal: rep.ordinal, words })}
              <Quiet as="span">
                {' · '}
                {rep.corrected
                  ? `${rep.corrected.by}, ${dayWords(rep.corrected.at)} ${timeWords(rep.corrected.at)}`
                  : say('duringDrill')}
              </Quiet>
            </span>
            {stands && rep.corrected && (
              <span className="no-print">
                <Button
                  isDisabled={correct.isPending}
                  onPress={() => {
                    const { events, seenFaults, struckOut, marks } = before;
                    correct.mutate(
                      correctionOf(
                        rep,
                        { events, seenFaults, struckOut, marks: marks ?? null },
                        name || rep.corrected?.by || '',
                      ),
                    );
                  }}
                >
                  <Undo2 size={17} aria-hidden />{' '}
                  {say('undoCorrectionRepOrdinal', { ordinal: rep.ordinal })}
                </Button>
              </span>
            )}
          </li>
        ))}
      </List>
    </section>
  );
}
