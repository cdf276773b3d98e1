import { USUAL_WISH, type OutlookSettings, type Rule, type Wish } from '@orthokin/core/progress';
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
import { say } from '../../words/ladder.js';

const Found = styled.div`
  margin-top: 14px;
  p {
    margin: 0 0 8px;
    max-width: 70ch;
  }
`;

/** Finds settings that keep a wished risk. */
export function WishPart({
  settings,
  onTake,
}: {
  settings: OutlookSettings;
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
      <Heading>{say('whatDoYouWish')}</Heading>
      <Fields style={{ marginBottom: 14 }}>
        {share('risk', say('movedUpTooSoonMost'), 0.49)}
        {share('tooSoonRate', say('thoseWhoPass'), 0.98)}
        {share('readyRate', say('readyWhoPasses'), 0.99)}
      </Fields>
      {!answer && <Quiet>{say('lookingSettings')}</Quiet>}
      {answer &&
        (answer.count.ok ? (
          <Found>
            <p>
              <strong>{say('countingSets')}</strong>{' '}
              {say('rulewordsTooSoonWithinWithinsetsSets', {
                ruleWords: ruleWords(answer.count.value.rule),
                withinSets: settings.withinSets,
                finePercent: finePercent(answer.count.value.tooSoon.moved),
                meanSets: answer.count.value.ready.meanSets.toFixed(1),
              })}
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
              <strong>{say('weighingEachRep')}</strong>{' '}
              {say('rulewordsOverWithinsetsSetsBegunAnew', {
                ruleWords: ruleWords(answer.sequential.value.rule),
                withinSets: settings.withinSets,
                finePercent: finePercent(answer.sequential.value.tooSoon.moved),
                meanSets: answer.sequential.value.ready.meanSets.toFixed(1),
              })}
            </p>
            <TakeButton rule={answer.sequential.value.rule} onTake={onTake} />
          </Found>
        ) : (
          <Notice>{problemSentence(answer.sequential.problem)}</Notice>
        ))}
      <Quiet style={{ marginTop: 10, fontSize: 15, maxWidth: '70ch' }}>
        {say('whoeverPassesLittleLessThanReady')}
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
}): ReactElement => <Button onPress={() => onTake(rule)}>{say('takeRuleB')}</Button>;
