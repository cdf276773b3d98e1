import { Phone } from 'lucide-react';
import type { ReactElement } from 'react';
import { Dialog, DialogTrigger, Heading } from 'react-aria-components';
import styled from 'styled-components';
import type { Contact } from '@orthokin/core/people';
import { say } from '../words/parts.js';
import { Button } from './Button.js';
import { Sheet } from './Sheet.js';
import { MONO } from './tokens.js';

const Calls = styled.ul`
  margin: 0 0 16px;
  padding: 0;
  list-style: none;
  li {
    padding: 10px 0;
  }
  a {
    display: inline-block;
    padding: 6px 0;
    font: 700 26px ${MONO};
  }
`;

/** Who to call for somebody, behind one press. */
export const EmergencyCard = ({
  name,
  contacts,
  note,
}: {
  name: string;
  contacts: readonly Contact[];
  note: string;
}): ReactElement => (
  <DialogTrigger>
    <Button>
      <Phone size={18} aria-hidden /> {say('inEmergency')}
    </Button>
    <Sheet isDismissable>
      <Dialog>
        {({ close }) => (
          <section>
            <Heading slot="title">{say('callFor', { name })}</Heading>
            {contacts.length === 0 && <p>{say('nobodyToCall')}</p>}
            <Calls>
              {contacts.map((contact) => (
                <li key={contact.phone}>
                  {contact.name}
                  {contact.who && `, ${contact.who}`}
                  <br />
                  <a href={`tel:${contact.phone.replaceAll(/[^\d+]/g, '')}`}>{contact.phone}</a>
                </li>
              ))}
            </Calls>
            {note && <p>{note}</p>}
            <Button onPress={close}>{say('close')}</Button>
          </section>
        )}
      </Dialog>
    </Sheet>
  </DialogTrigger>
);
