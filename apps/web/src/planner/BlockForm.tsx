import {
  BLOCK_BOUNDS,
  GAME_FORMS,
  gameOf,
  HELPER_ROLES,
  LONGEST_BLOCK_NOTE,
  LONGEST_NEEDS,
  LONGEST_TITLE,
  OBJECTS,
  WANTED,
  type Block,
  type HelperRole,
} from '@orthokin/core/plan';
import type { ReactElement } from 'react';
import styled from 'styled-components';
import { useLibrary } from '../api/patterns.js';
import { CheckField } from '../parts/form/CheckField.js';
import { CountField } from '../parts/form/NumberFields.js';
import { SelectField } from '../parts/form/SelectField.js';
import { TextField } from '../parts/form/TextField.js';
import { Heading } from '../parts/Text.js';
import { formWords } from '../words/game.js';
import { blockName, kindWords, objectWords, roleWords, say } from '../words/plan.js';
import type { OfBlock } from './of-block.js';
import { WhereEach } from './WhereEach.js';
import { WhoDoes } from './WhoDoes.js';

const Fields = styled.div`
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 12px 14px;
  margin-top: 10px;
  .wide {
    grid-column: 1 / -1;
  }
  .roles {
    display: flex;
    flex-wrap: wrap;
    gap: 6px 18px;
  }
`;

const HOW = [
  ['together', say('together')],
  ['turns', say('turns')],
] as const;
const OWN = 'own';

const bounds = (name: keyof typeof BLOCK_BOUNDS) => {
  const [min, max] = BLOCK_BOUNDS[name];
  return { min, max };
};

/** What a block is: how long or how many turns, with what, on what. */
export function BlockForm({
  block,
  athleteIds,
  nameOf,
  onChange,
}: OfBlock & {
  onChange: (part: Partial<Block>) => void;
}): ReactElement {
  const library = useLibrary();
  const patterns = (library.data ?? []).filter(({ archived }) => !archived);
  const game = gameOf(block);
  const toggle = (role: HelperRole) =>
    onChange({
      helpers: HELPER_ROLES.filter((each) => (each === role) !== block.helpers.includes(each)),
    });
  return (
    <section aria-label={say('chosenBlock')}>
      <Heading>{blockName(block)}</Heading>
      <Fields>
        <TextField
          label={say('title')}
          value={block.title || kindWords(block.kind)}
          maxLength={LONGEST_TITLE}
          onChange={(title) => onChange({ title: title === kindWords(block.kind) ? '' : title })}
        />
        <SelectField
          label={say('how')}
          value={block.how}
          options={HOW}
          onChange={(how) => onChange({ how })}
        />
        {block.how === 'together' ? (
          <CountField
            label={say('length')}
            value={block.minutes}
            {...bounds('minutes')}
            onChange={(minutes) => onChange({ minutes })}
          />
        ) : (
          <>
            <CountField
              label={say('sets')}
              value={block.sets}
              {...bounds('sets')}
              onChange={(sets) => onChange({ sets })}
            />
            <CountField
              label={say('stations')}
              value={block.stations}
              {...bounds('stations')}
              onChange={(stations) => onChange({ stations })}
            />
            <CountField
              label={say('work')}
              value={block.workS}
              {...bounds('workS')}
              onChange={(workS) => onChange({ workS })}
            />
            <CountField
              label={say('rest')}
              value={block.restS}
              {...bounds('restS')}
              onChange={(restS) => onChange({ restS })}
            />
            <div className="wide" role="group" aria-label={say('helpers')}>
              <span>{say('helpers')}</span>
              <div className="roles">
                {HELPER_ROLES.map((role) => (
                  <CheckField
                    key={role}
                    isSelected={block.helpers.includes(role)}
                    onChange={() => toggle(role)}
                  >
                    {roleWords(role)}
                  </CheckField>
                ))}
              </div>
            </div>
            {block.stations > 1 && athleteIds.length > 1 && (
              <div className="wide">
                <WhereEach
                  {...{ block, athleteIds, nameOf }}
                  onChange={(stays) => onChange({ stays })}
                />
              </div>
            )}
          </>
        )}
        {block.kind === 'challenge' && (
          <CountField
            label={say('wanted')}
            value={block.wanted ?? 0}
            min={0}
            max={WANTED[1]}
            onChange={(wanted) => onChange({ wanted: wanted === 0 ? null : wanted })}
          />
        )}
        {game && (
          <SelectField
            label={say('game')}
            value={game}
            options={GAME_FORMS.map((form) => [form, formWords(form)] as const)}
            onChange={(form) => onChange({ game: form })}
          />
        )}
        <SelectField
          label={say('object')}
          value={block.object}
          options={OBJECTS.map((object) => [object, objectWords(object)] as const)}
          onChange={(object) => onChange({ object })}
        />
        <SelectField
          label={say('pattern')}
          value={block.patternId ?? OWN}
          options={[
            [OWN, say('ownPattern')],
            ...patterns.map(({ id, pattern: { name } }) => [id, name] as const),
          ]}
          onChange={(id) => onChange({ patternId: id === OWN ? null : id })}
        />
        <div className="wide">
          <TextField
            label={say('needs')}
            value={block.needs}
            maxLength={LONGEST_NEEDS}
            onChange={(needs) => onChange({ needs })}
          />
        </div>
        <div className="wide">
          <TextField
            label={say('note')}
            value={block.note ?? ''}
            maxLength={LONGEST_BLOCK_NOTE}
            onChange={(note) => onChange({ note: note === '' ? null : note })}
          />
        </div>
        {athleteIds.length > 1 && (
          <div className="wide">
            <WhoDoes {...{ block, athleteIds, nameOf }} onChange={(who) => onChange({ who })} />
          </div>
        )}
      </Fields>
    </section>
  );
}
