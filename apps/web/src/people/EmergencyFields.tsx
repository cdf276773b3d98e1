import type { EmergencyBody } from '@orthokin/contract';
import {
  LONGEST_CARE_NOTE,
  LONGEST_NAME,
  LONGEST_PHONE,
  MOST_CONTACTS,
} from '@orthokin/core/people';
import type { ReactElement } from 'react';
import { Button } from '../parts/Button.js';
import { Fields, WideField } from '../parts/form/Fields.js';
import { OpenField } from '../parts/form/TextField.js';
import { say } from '../words/people.js';

const NOBODY = { name: '', who: '', phone: '' };
const NONE: EmergencyBody = { contacts: [], note: '' };

/** Who to call in an emergency, and what a helper must know. */
export function EmergencyFields({
  emergency,
  onChange,
}: {
  emergency: EmergencyBody | null;
  onChange: (emergency: EmergencyBody | null) => void;
}): ReactElement {
  const { contacts, note } = emergency ?? NONE;
  const keep = (changed: EmergencyBody) =>
    onChange(changed.contacts.length === 0 && changed.note === '' ? null : changed);
  return (
    <>
      {contacts.map((contact, i) => {
        const set = (change: Partial<typeof NOBODY>) =>
          keep({
            note,
            contacts: contacts.map((one, j) => (i === j ? { ...one, ...change } : one)),
          });
        return (
          // Contacts have no ids; their index identifies them while editing.
          <Fields key={i} role="group" aria-label={say('contact', { n: i + 1 })}>
            <OpenField
              label={say('contactName')}
              value={contact.name}
              maxLength={LONGEST_NAME}
              onChange={(name) => set({ name })}
            />
            <OpenField
              label={say('contactWho')}
              value={contact.who}
              maxLength={LONGEST_NAME}
              onChange={(who) => set({ who })}
            />
            <OpenField
              label={say('phone')}
              value={contact.phone}
              maxLength={LONGEST_PHONE}
              onChange={(phone) => set({ phone })}
            />
            <Button
              aria-label={say('takeContactOut', { n: i + 1 })}
              onPress={() => keep({ note, contacts: contacts.filter((_, j) => i !== j) })}
            >
              {say('takeOut')}
            </Button>
          </Fields>
        );
      })}
      {contacts.length < MOST_CONTACTS && (
        <p>
          <Button onPress={() => keep({ note, contacts: [...contacts, NOBODY] })}>
            {say('addContact')}
          </Button>
        </p>
      )}
      <WideField>
        <OpenField
          label={say('helperNote')}
          value={note}
          maxLength={LONGEST_CARE_NOTE}
          onChange={(text) => keep({ contacts, note: text })}
        />
      </WideField>
    </>
  );
}
