import type { FaultWordsBody } from '@orthokin/contract';
import {
  LONGEST_FAULT_NAME,
  LONGEST_FAULT_WORDS,
  OWN_FAULTS,
  type Fault,
} from '@orthokin/core/timing';
import { Plus } from 'lucide-react';
import type { ReactElement } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import { useClub, useSaveClub } from '../api/club.js';
import { useFaultsLately } from '../api/people.js';
import { Button } from '../parts/Button.js';
import { TextField } from '../parts/form/TextField.js';
import { Failed, Notice } from '../parts/Notice.js';
import { Headline, Page, Quiet } from '../parts/Text.js';
import { colour, NARROW } from '../parts/tokens.js';
import { faultWords, namedFaults } from '../words/fault.js';
import { say } from '../words/people.js';

const List = styled.ul`
  margin: 20px 0;
  padding: 0;
  list-style: none;
  border-top: 1px solid ${colour('rule')};
  li {
    display: grid;
    grid-template-columns: minmax(190px, 1fr) minmax(200px, 1.1fr) minmax(260px, 1.8fr) 110px;
    align-items: end;
    gap: 8px 18px;
    padding: 12px 0;
    border-bottom: 1px solid ${colour('rule')};
  }
  @media (max-width: ${NARROW}) {
    li {
      grid-template-columns: minmax(0, 1fr);
    }
  }
`;

/** The club's faults: rename, add, and how often each was seen lately. */
export function FaultsPage(): ReactElement {
  const club = useClub();
  const lately = useFaultsLately();
  const save = useSaveClub();
  const { faults: own } = club;
  const named = namedFaults(own);
  const free = OWN_FAULTS.find((fault) => !named.includes(fault));
  const change = (fault: Fault, part: Partial<FaultWordsBody>) => {
    const before = own.find((one) => one.fault === fault);
    const changed = { fault, name: '', say: '', mend: '', ...before, ...part };
    save.mutate({
      ...{ name: club.name, sport: club.sport, unit: club.unit },
      faults: [...own.filter((one) => one.fault !== fault), changed],
    });
  };
  return (
    <Page name={say('faultLibrary')}>
      <Quiet>
        <Link to="/people">{say('backToPeople')}</Link>
      </Quiet>
      <Headline style={{ margin: '4px 0 8px' }}>{say('faultLibrary')}</Headline>
      <Quiet style={{ maxWidth: '70ch' }}>{say('faultsMean')}</Quiet>
      {lately.error && <Failed error={lately.error} again={() => void lately.refetch()} />}
      {save.error && <Notice>{save.error.message}</Notice>}
      <List aria-label={say('faultLibrary')}>
        {named.map((fault) => {
          const words = faultWords(fault, own);
          const isOwn = OWN_FAULTS.some((one) => one === fault);
          return (
            <li key={fault} aria-label={words.name}>
              <TextField
                label={isOwn ? say('ownName') : say('faultName', { fault })}
                value={words.name}
                maxLength={LONGEST_FAULT_NAME}
                required={isOwn}
                onChange={(name) => change(fault, { name: name === fault ? '' : name })}
              />
              <TextField
                label={say('toSay')}
                value={words.say}
                maxLength={LONGEST_FAULT_WORDS}
                onChange={(text) => change(fault, { say: text })}
              />
              <TextField
                label={say('toMend')}
                value={words.mend}
                maxLength={LONGEST_FAULT_WORDS}
                onChange={(text) => change(fault, { mend: text })}
              />
              <Quiet as="span">
                {say('seenLately', {
                  seen: lately.data?.find((one) => one.fault === fault)?.seen ?? 0,
                })}
              </Quiet>
            </li>
          );
        })}
      </List>
      <Button
        isDisabled={free === undefined || save.isPending}
        onPress={() => free && change(free, { name: say('newFault') })}
      >
        <Plus size={18} aria-hidden /> {say('addFault')}
      </Button>
    </Page>
  );
}
