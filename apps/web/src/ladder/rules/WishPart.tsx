import { USUAL_WISH, type CourseSettings, type Rule, type Wish } from '@orthokin/core/progress';
import { problemSentence } from '@orthokin/core/result';
import { useMemo, useState, type ReactElement } from 'react';
import styled from 'styled-components';
import { Button } from '../../parts/Button.js';
import { ruleWords } from '../../words/decision.js';
import { ShareField } from '../../parts/form/NumberFields.js';
import { Notice } from '../../parts/Notice.js';
import { Heading, Quiet } from '../../parts/Text.js';
import { finePercent } from '../../words/rules.js';
import { useWish } from './useSimulation.js';
import { Fields } from '../../parts/form/Fields.js';

const Found = styled.div`
  margin-top: 14px;
  p {
    margin: 0 0 8px;
    max-width: 70ch;
  }
`;

/** A wished risk, and the settings that keep it. */
export function WishPart({
  settings,
  onTake,
}: {
  settings: CourseSettings;
  onTake: (rule: Rule) => void;
}): ReactElement {
  const [wish, setWish] = useState<Wish>(USUAL_WISH);
  const working = useWish(
    useMemo(() => ({ kind: 'wish' as const, wish, settings }), [wish, settings]),
  );
  const answer = working.latest;
  const share = (name: keyof Wish, label: string, most: number) => (
    <ShareField
      label={label}
      min={0.01}
      max={most}
      value={wish[name]}
      onChange={(value) => setWish({ ...wish, [name]: value })}
    />
  );
  return (
    <section>
      <Heading>What do you wish for?</Heading>
      <Fields style={{ marginBottom: 14 }}>
        {share('risk', 'Moved up too soon, at most', 0.49)}
        {share('tooSoonRate', 'of those who pass', 0.98)}
        {share('readyRate', 'Ready is who passes', 0.99)}
      </Fields>
      {!answer && <Quiet>Looking for settings…</Quiet>}
      {answer &&
        (answer.count.ok ? (
          <Found>
            <p>
              <strong>Counting sets:</strong> {ruleWords(answer.count.value.rule)} Too soon within{' '}
              {settings.withinSets} sets: {finePercent(answer.count.value.tooSoon.moved)}; the ready
              wait {answer.count.value.ready.meanSets.toFixed(1)} sets on average.
            </p>
            <TakeButton rule={answer.count.value.rule} onTake={onTake} />
          </Found>
        ) : (
          <Notice>{problemSentence(answer.count.problem)}</Notice>
        ))}
      {answer &&
        (answer.sequential.ok ? (
          <Found>
            <p>
              <strong>Weighing each rep:</strong> {ruleWords(answer.sequential.value.rule)} Over{' '}
              {settings.withinSets} sets, begun anew whenever it says not ready, it moves up too
              soon {finePercent(answer.sequential.value.tooSoon.moved)}; the ready wait{' '}
              {answer.sequential.value.ready.meanSets.toFixed(1)} sets on average.
            </p>
            <TakeButton rule={answer.sequential.value.rule} onTake={onTake} />
          </Found>
        ) : (
          <Notice>{problemSentence(answer.sequential.problem)}</Notice>
        ))}
      <Quiet style={{ marginTop: 10, fontSize: 15, maxWidth: '70ch' }}>
        Whoever passes a little less than ready is moved up too soon more often; the chart shows how
        much.
      </Quiet>
    </section>
  );
}

const TakeButton = ({
  rule,
  onTake,
}: {
  rule: Rule;
  onTake: (rule: Rule) => void;
}): ReactElement => <Button onPress={() => onTake(rule)}>Take it as rule B</Button>;
