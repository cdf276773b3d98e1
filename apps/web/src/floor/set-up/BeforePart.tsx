import { Footprints, MapPin } from 'lucide-react';
import type { ReactElement } from 'react';
import { useLocation } from 'react-router';
import { useSquad } from '../../api/squad.js';
import { ButtonLink } from '../../parts/Button.js';
import { dayWords } from '../../words/format.js';
import { Quiet } from '../../parts/Text.js';
import { mapKnown, mapSentence } from '../map-known.js';
import { say } from '../../words/floor.js';

/** Preparations without a clock: knowing the cues, and rehearsing the pattern. */
export function BeforePart({
  athlete,
  pattern,
  others,
  isShared,
}: {
  athlete: { readonly id: string };
  pattern: { readonly id: string };
  others: readonly string[];
  /** Whether the others run the same pattern. */
  isShared: boolean;
}): ReactElement {
  const { search, pathname } = useLocation();
  const squad = useSquad();
  const practised = [athlete.id, ...others].flatMap((id) => {
    const line = squad.data?.find((one) => one.athlete.id === id);
    const isOwn = id !== athlete.id && !isShared;
    const known = mapKnown(id, (isOwn && line?.patternId) || pattern.id);
    return known ? [`${mapSentence(line?.athlete.name ?? '', known)} (${dayWords(known.at)})`] : [];
  });
  return (
    <>
      <ButtonLink to={`${pathname}/map${search}`}>
        <MapPin size={18} aria-hidden /> {say('practiseMap')}
      </ButtonLink>
      <ButtonLink to={`${pathname}/rehearse${search}`}>
        <Footprints size={18} aria-hidden /> {say('rehearse')}
      </ButtonLink>
      {practised.length > 0 && <Quiet style={{ flex: '1 1 100%' }}>{practised.join(' ')}</Quiet>}
    </>
  );
}
