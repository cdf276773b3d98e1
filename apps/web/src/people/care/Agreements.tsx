import type { AgreementBody, AthleteCareReply } from '@orthokin/contract';
import {
  AGREED_TO,
  AGREEMENT_WAYS,
  agreementOn,
  checkAgreement,
  isUnderAge,
  LONGEST_NAME,
  type AgeBand,
} from '@orthokin/core/people';
import { problemSentence } from '@orthokin/core/result';
import { FilePen } from 'lucide-react';
import { useState, type ReactElement } from 'react';
import styled from 'styled-components';
import { Lines } from '../../parts/Lines.js';
import { Button } from '../../parts/Button.js';
import { DateField } from '../../parts/form/DateField.js';
import { Fields, WideField } from '../../parts/form/Fields.js';
import { SelectField } from '../../parts/form/SelectField.js';
import { OpenField } from '../../parts/form/TextField.js';
import { Notice } from '../../parts/Notice.js';
import { Heading, Quiet } from '../../parts/Text.js';
import { AGREED_TO_WORDS, AGREEMENT_WAY_WORDS } from '../../words/care.js';
import { capital, longDay } from '../../words/format.js';
import { say } from '../../words/people.js';
import { today } from '../today.js';
import { useSaying } from './useSaying.js';

const List = styled(Lines)`
  margin-bottom: 12px;
`;

const Form = styled.div`
  display: grid;
  gap: 14px;
  max-width: 720px;
  .ways {
    display: flex;
    flex-wrap: wrap;
    gap: 10px;
  }
`;

const TO = AGREED_TO.map((to) => [to, capital(AGREED_TO_WORDS[to])] as const);
const WAYS = AGREEMENT_WAYS.map((way) => [way, AGREEMENT_WAY_WORDS[way]] as const);

/** A guardian's agreements; nothing for adults. */
export function Agreements({
  athleteId,
  ageBand,
  care: { said, bornOn },
}: {
  athleteId: string;
  ageBand: AgeBand;
  care: AthleteCareReply;
}): ReactElement | null {
  const saying = useSaying(athleteId);
  const [isAdding, setAdding] = useState(false);
  const day = today();
  const given = said.filter(({ agreement }) => agreement);
  if (!isUnderAge(ageBand, bornOn, day) && given.length === 0) return null;
  const stands = (to: (typeof AGREED_TO)[number]): string => {
    const found = agreementOn(
      to,
      given.flatMap(({ agreement }) => agreement ?? []),
      true,
      day,
    );
    switch (found.state) {
      case 'holds':
        return found.until === null
          ? say('agreedHolds')
          : say('agreedUntil', { day: longDay(found.until) });
      case 'ran out':
        return say('agreedRanOut', { day: longDay(found.until) });
      case 'missing':
      case 'not needed':
        return say('agreedMissing');
    }
  };
  return (
    <section aria-label={say('agreements')}>
      <Heading>{say('agreements')}</Heading>
      <List>
        {AGREED_TO.map((to) => (
          <li key={to}>
            <strong>{capital(AGREED_TO_WORDS[to])}</strong> {stands(to)}
          </li>
        ))}
      </List>
      <List>
        {given.map(
          (one) =>
            one.agreement && (
              <li key={one.id}>
                <Quiet as="span">
                  {say('agreedBy', {
                    guardian: one.agreement.guardian,
                    to: AGREED_TO_WORDS[one.agreement.to],
                    way: AGREEMENT_WAY_WORDS[one.agreement.way],
                    day: longDay(one.agreement.day),
                  })}
                </Quiet>
                <Button
                  aria-label={say('withdrawOf', { guardian: one.agreement.guardian })}
                  onPress={() => saying.takeBack(one)}
                >
                  {say('withdraw')}
                </Button>
              </li>
            ),
        )}
      </List>
      {saying.error && <Notice>{saying.error.message}</Notice>}
      {isAdding ? (
        <AgreementForm
          isPending={saying.isPending}
          onCancel={() => setAdding(false)}
          onSave={(agreement) =>
            saying.write({ kind: 'agreement', agreement }, () => setAdding(false))
          }
        />
      ) : (
        <Button onPress={() => setAdding(true)}>
          <FilePen size={18} aria-hidden /> {say('addAgreement')}
        </Button>
      )}
    </section>
  );
}

function AgreementForm({
  isPending,
  onSave,
  onCancel,
}: {
  isPending: boolean;
  onSave: (agreement: AgreementBody) => void;
  onCancel: () => void;
}) {
  const [body, setBody] = useState<AgreementBody>({
    ...{ to: 'training', guardian: '', way: 'on paper', day: today(), until: null },
  });
  const set = (change: Partial<AgreementBody>) => setBody({ ...body, ...change });
  const checked = checkAgreement(body);
  const guardian = body.guardian.trim();
  return (
    <Form role="group" aria-label={say('addAgreement')}>
      <Fields>
        <WideField>
          <OpenField
            label={say('guardian')}
            value={body.guardian}
            maxLength={LONGEST_NAME}
            autoFocus
            onChange={(name) => set({ guardian: name })}
          />
        </WideField>
        <SelectField
          label={say('agreesTo')}
          value={body.to}
          options={TO}
          onChange={(to) => set({ to })}
        />
        <SelectField
          label={say('how')}
          value={body.way}
          options={WAYS}
          onChange={(way) => set({ way })}
        />
        <DateField
          label={say('givenOn')}
          value={body.day}
          onChange={(day) => day !== null && set({ day })}
        />
        <DateField label={say('until')} value={body.until} onChange={(until) => set({ until })} />
      </Fields>
      {!checked.ok && <Notice>{problemSentence(checked.problem)}</Notice>}
      <div className="ways">
        <Button
          weight="main"
          isDisabled={guardian === '' || !checked.ok || isPending}
          onPress={() => onSave({ ...body, guardian })}
        >
          {say('writeAgreement')}
        </Button>
        <Button onPress={onCancel}>{say('leave')}</Button>
      </div>
    </Form>
  );
}
