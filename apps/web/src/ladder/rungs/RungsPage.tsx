import type { LadderReply, LadderSettingsBody, PatternBody } from '@orthokin/contract';
import type { Rung } from '@orthokin/core/pattern';
import {
  AXIS_ORDERS,
  checkRule,
  draftLadder,
  EFFORT_NAMES,
  SCHOOL_NAMES,
  USUAL_DRAFT,
} from '@orthokin/core/progress';
import { ArrowDown, ArrowUp, Copy, Redo2, Trash2, Undo2, WandSparkles } from 'lucide-react';
import { returnLadder } from '@orthokin/core/people';
import { useState, type ReactElement } from 'react';
import { Link, useParams } from 'react-router';
import styled from 'styled-components';
import { useLadder, useSaveLadder } from '../../api/ladder.js';
import { useSavePattern } from '../../api/patterns.js';
import { Button } from '../../parts/Button.js';
import { Fields } from '../../parts/form/Fields.js';
import { CheckField } from '../../parts/form/CheckField.js';
import { NumberField } from '../../parts/form/NumberFields.js';
import { SelectField } from '../../parts/form/SelectField.js';
import { IconButton } from '../../parts/IconButton.js';
import { Failed, Notice } from '../../parts/Notice.js';
import { Heading, Headline, Page, Quiet } from '../../parts/Text.js';
import { colour, MIDDLE } from '../../parts/tokens.js';
import { EFFORT_WORDS, raisesWords, SCHOOL_WORDS } from '../../words/rung.js';
import { RuleForm } from './RuleForm.js';
import { RungForm } from './RungForm.js';
import { TestPart } from './TestPart.js';
import { useRungs } from './useRungs.js';
import { raisedBy } from '@orthokin/core/pattern';
import { say } from '../../words/ladder.js';

const Columns = styled.div`
  display: grid;
  grid-template-columns: minmax(300px, 0.7fr) minmax(0, 1fr);
  gap: 26px 44px;
  align-items: start;
  margin-top: 20px;
  section {
    padding-top: 18px;
    border-top: 1px solid ${colour('rule')};
  }
  section + section {
    margin-top: 22px;
  }
  .ways {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 8px;
    margin: 12px 0;
  }
  @media (max-width: ${MIDDLE}) {
    grid-template-columns: minmax(0, 1fr);
  }
`;

const List = styled.ol`
  display: flex;
  flex-direction: column-reverse;
  margin: 0;
  padding: 0;
  list-style: none;
  button.rung {
    display: grid;
    grid-template-columns: 30px 1fr;
    width: 100%;
    padding: 9px 8px;
    border: 0;
    border-bottom: 2px solid ${colour('rule')};
    background: none;
    color: ${colour('ink')};
    font: inherit;
    text-align: left;
    cursor: pointer;
  }
  button.rung[aria-pressed='true'] {
    border-bottom: 5px solid ${colour('bad')};
    font-weight: 700;
  }
  small {
    grid-column: 2;
    font-size: 15px;
    font-weight: 450;
    color: ${colour('quiet')};
  }
`;

const MOST_RUNGS = 30;

/** The rungs of a pattern's ladder and the rule by which it is climbed. */
export function RungsPage(): ReactElement {
  const { patternId = '' } = useParams();
  const ladder = useLadder(patternId);
  if (ladder.data) return <Editor key={ladder.data.pattern.version} ladder={ladder.data} />;
  return (
    <Page name={say('rungs')}>
      {ladder.error ? (
        <Failed error={ladder.error} again={() => void ladder.refetch()} />
      ) : (
        <Quiet>{say('readingLadder')}</Quiet>
      )}
    </Page>
  );
}

function Editor({ ladder: { pattern, settings } }: { ladder: LadderReply }): ReactElement {
  const edit = useRungs(pattern.rungs);
  const [shown, setShown] = useState(1);
  const [msPerBit, setMsPerBit] = useState(USUAL_DRAFT.msPerBit);
  const [climb, setClimb] = useState<LadderSettingsBody>(settings);
  const [savedClimb, setSavedClimb] = useState(climb);
  const savePattern = useSavePattern();
  const saveLadder = useSaveLadder();
  const rung = edit.rungs.find(({ number }) => number === shown) ?? edit.rungs.at(-1);
  const isClimbChanged = climb !== savedClimb;
  const isChanged = edit.isChanged || isClimbChanged;
  const isRuleRight = checkRule(climb.rule).ok;
  const set = (change: Partial<LadderSettingsBody>) => setClimb({ ...climb, ...change });
  const replace = (changed: Rung) =>
    edit.change(edit.rungs.map((each) => (each.number === changed.number ? changed : each)));
  const move = (by: 1 | -1) => {
    if (!rung) return;
    const rungs = [...edit.rungs];
    const at = rung.number - 1;
    const other = rungs[at + by];
    if (!other) return;
    rungs[at] = other;
    rungs[at + by] = rung;
    edit.change(rungs);
    setShown(rung.number + by);
  };
  const draft = () => {
    edit.change(draftLadder(pattern, { axis: climb.axis, school: climb.school, msPerBit }));
    setShown(1);
  };
  const draftReturn = () => {
    edit.change(returnLadder(pattern));
    set({ onWord: true });
    setShown(1);
  };
  const save = async () => {
    if (isClimbChanged) {
      await saveLadder.mutateAsync({ patternId: pattern.id, settings: climb });
      setSavedClimb(climb);
    }
    if (!edit.isChanged) return;
    const { id, version, ...body } = pattern;
    await savePattern.mutateAsync({
      patternId: id,
      version: version + 1,
      body: { ...body, rungs: edit.rungs } as PatternBody,
    });
  };
  const problem = savePattern.error ?? saveLadder.error;
  const isSaving = savePattern.isPending || saveLadder.isPending;
  return (
    <Page name={say('patternRungs', { pattern: pattern.name })}>
      <Quiet>
        <Link to={`/ladder/${pattern.id}`}>{say('ladderPattern', { pattern: pattern.name })}</Link>
      </Quiet>
      <Headline>{say('rungsRule')}</Headline>
      <Columns>
        <div>
          <div className="ways">
            <Button
              weight="main"
              isDisabled={!isChanged || isSaving || !isRuleRight}
              onPress={() => void save().catch(() => undefined)}
            >
              {isChanged ? say('saveLadder') : say('saved')}
            </Button>
            <IconButton aria-label={say('undo')} isDisabled={!edit.canUndo} onPress={edit.undo}>
              <Undo2 size={20} />
            </IconButton>
            <IconButton aria-label={say('redo')} isDisabled={!edit.canRedo} onPress={edit.redo}>
              <Redo2 size={20} />
            </IconButton>
          </div>
          {problem && <Notice>{problem.message}</Notice>}
          <Quiet style={{ fontSize: 15 }}>{say('setsKeepLimitsTheyWereRun')}</Quiet>
          <List aria-label={say('rungsEasiestFoot')}>
            {edit.rungs.map((each, i) => {
              const before = edit.rungs[i - 1];
              return (
                <li key={each.number}>
                  <button
                    type="button"
                    className="rung"
                    aria-pressed={each.number === rung?.number}
                    onClick={() => setShown(each.number)}
                  >
                    <span>{each.number}</span> {each.name}
                    {before && <small>{raisesWords(raisedBy(before, each))}</small>}
                  </button>
                </li>
              );
            })}
          </List>
        </div>
        <div>
          {rung ? (
            <section aria-label={say('rungNumber', { number: rung.number })}>
              <Heading>{say('rungNumber', { number: rung.number })}</Heading>
              <RungForm
                key={rung.number}
                rung={rung}
                targets={pattern.targets}
                onChange={replace}
              />
              <div className="ways">
                <Button isDisabled={rung.number === edit.rungs.length} onPress={() => move(1)}>
                  <ArrowUp size={18} aria-hidden /> {say('harder')}
                </Button>
                <Button isDisabled={rung.number === 1} onPress={() => move(-1)}>
                  <ArrowDown size={18} aria-hidden /> {say('easier')}
                </Button>
                <Button
                  isDisabled={edit.rungs.length >= MOST_RUNGS}
                  onPress={() =>
                    edit.change(
                      edit.rungs.flatMap((each) => (each === rung ? [each, { ...each }] : [each])),
                    )
                  }
                >
                  <Copy size={18} aria-hidden /> {say('anotherLike')}
                </Button>
                <Button
                  isDisabled={edit.rungs.length <= 1}
                  onPress={() => edit.change(edit.rungs.filter((each) => each !== rung))}
                >
                  <Trash2 size={18} aria-hidden /> {say('takeOut')}
                </Button>
              </div>
            </section>
          ) : (
            <Quiet>{say('thisPatternHasNoTargetsYet')}</Quiet>
          )}
          <section>
            <Heading>{say('whenRungMet')}</Heading>
            <RuleForm rule={climb.rule} onChange={(rule) => set({ rule })} />
            <CheckField isSelected={climb.onWord ?? false} onChange={(onWord) => set({ onWord })}>
              {say('onlyOnWord')}
            </CheckField>
            <p style={{ margin: '8px 0 0' }}>
              <Link to="/ladder/rules">{say('whatWouldThisRuleDo')}</Link>
            </p>
          </section>
          <section>
            <Heading>{say('draftLadderAnew')}</Heading>
            <Fields>
              <SelectField
                label={say('whatRaised')}
                value={climb.axis}
                options={AXIS_ORDERS}
                onChange={(axis) => set({ axis })}
              />
              <SelectField
                label={say('school')}
                value={climb.school}
                options={SCHOOL_NAMES}
                onChange={(school) => set({ school })}
              />
              <SelectField
                label={say('sets')}
                value={climb.effort}
                options={EFFORT_NAMES}
                onChange={(effort) => set({ effort })}
              />
              <NumberField
                label={say('bitChoiceCosts')}
                unit="ms"
                min={0}
                max={400}
                value={msPerBit}
                onChange={setMsPerBit}
              />
            </Fields>
            <p style={{ margin: '0 0 6px', maxWidth: '66ch' }}>
              {say('reasoningRiskRiskReasoning2', {
                ...SCHOOL_WORDS[climb.school],
                reasoning2: EFFORT_WORDS[climb.effort],
              })}
            </p>
            <Button onPress={draft}>
              <WandSparkles size={18} aria-hidden /> {say('draftFromEasyLive')}
            </Button>{' '}
            <Button onPress={draftReturn}>{say('draftWayBack')}</Button>
            <Quiet style={{ marginTop: 8, maxWidth: '66ch' }}>{say('wayBackMeans')}</Quiet>
          </section>
          <TestPart climb={climb} rungs={edit.rungs.length} onChange={set} />
        </div>
      </Columns>
    </Page>
  );
}
