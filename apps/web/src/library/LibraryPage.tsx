import type { PatternLineReply } from '@orthokin/contract';
import { ROUTES } from '@orthokin/contract/routes';
import { ForWhom } from '../api/ForWhom.js';
import { blankPattern, patternFigures, pathsOf } from '@orthokin/core/footwork';
import { Archive, ArchiveRestore, Copy, FileUp, Plus } from 'lucide-react';
import { useState, type ReactElement } from 'react';
import { Link, useNavigate } from 'react-router';
import styled from 'styled-components';
import { useAddress } from '../parts/useAddress.js';
import { v7 } from 'uuid';
import { useArchive, useLibrary } from '../api/patterns.js';
import { Button } from '../parts/Button.js';
import { CheckField } from '../parts/form/CheckField.js';
import { SearchField } from '../parts/form/SearchField.js';
import { FloorPlan } from '../parts/plan/FloorPlan.js';
import { PathLine } from '../parts/plan/Step.js';
import { IconButton } from '../parts/IconButton.js';
import { Failed } from '../parts/Notice.js';
import { PHASE_COLOURS } from '../parts/phases.js';
import { Headline, Page, Quiet } from '../parts/Text.js';
import { colour, NARROW } from '../parts/tokens.js';
import { keepDraft } from '../device/drafts.js';
import { ImportPattern } from './ImportPattern.js';
import { say } from '../words/library.js';

const Head = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 12px 20px;
  h1 {
    margin-right: auto;
  }
  .acts {
    display: flex;
    flex-wrap: wrap;
    gap: 10px;
  }
`;

const Filters = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 10px 18px;
  margin: 18px 0 4px;
  .tag {
    min-height: 34px;
    padding: 3px 12px;
    border: 1.5px solid ${colour('rule')};
    border-radius: 17px;
    background: none;
    color: ${colour('ink')};
    font-size: 15px;
    cursor: pointer;
  }
  .tag[aria-pressed='true'] {
    background: ${colour('ink')};
    color: ${colour('paper')};
    border-color: ${colour('ink')};
  }
`;

const Shelf = styled.ul`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(270px, 1fr));
  gap: 26px 24px;
  margin: 18px 0 0;
  padding: 0;
  list-style: none;
  li {
    position: relative;
  }
  a.open {
    display: block;
    text-decoration: none;
  }
  .drawing {
    height: 200px;
    padding: 8px;
    border: 1px solid ${colour('rule')};
    background: ${colour('raised')};
  }
  a.open:hover .drawing,
  a.open:focus-visible .drawing {
    border-color: ${colour('ink')};
  }
  strong {
    display: block;
    margin-top: 9px;
    font-size: 18px;
  }
  small {
    display: block;
    padding-right: 84px;
    font-size: 15px;
    color: ${colour('quiet')};
  }
  .ways {
    position: absolute;
    right: -6px;
    bottom: -2px;
    display: flex;
  }
  @media (max-width: ${NARROW}) {
    grid-template-columns: 1fr;
  }
`;

const matches = ({ pattern }: PatternLineReply, search: string, tag: string | null): boolean => {
  const words = `${pattern.name} ${pattern.sport} ${pattern.tags.join(' ')} ${pattern.notes}`;
  return (
    search
      .toLowerCase()
      .split(/\s+/)
      .every((word) => words.toLowerCase().includes(word)) &&
    (tag === null || pattern.tags.includes(tag))
  );
};

/** Sorts patterns by choice, then by distance. */
const byDifficulty = (a: PatternLineReply, b: PatternLineReply): number => {
  const [x, y] = [a, b].map(({ pattern }) => patternFigures(pattern));
  if (!x || !y) return 0;
  return (
    x.bitsOfChoice - y.bitsOfChoice ||
    x.distancePerRepM - y.distancePerRepM ||
    a.pattern.name.localeCompare(b.pattern.name)
  );
};

function useNewPattern(): (from?: PatternLineReply) => void {
  const navigate = useNavigate();
  return (from) => {
    const id = v7();
    const pattern = from
      ? { ...from.pattern, name: say('patternCopy', { pattern: from.pattern.name }) }
      : blankPattern(say('newPattern'));
    keepDraft(id, { version: 0, pattern });
    void navigate(`/patterns/${id}`);
  };
}

function OnShelf({ line }: { line: PatternLineReply }): ReactElement {
  const { id, version, archived, sets, pattern } = line;
  const archive = useArchive();
  const make = useNewPattern();
  return (
    <li>
      <Link className="open" to={`/patterns/${id}`}>
        <div className="drawing">
          <FloorPlan pattern={pattern} label={say('floorPattern', { pattern: pattern.name })}>
            {pattern.legs.map((leg) => (
              <PathLine
                key={leg.target}
                path={pathsOf(pattern, leg).out}
                ink={PHASE_COLOURS.travel}
              />
            ))}
          </FloorPlan>
        </div>
        <strong>{pattern.name}</strong>
        <small>
          {say('targetsHandHanded', { targets: pattern.targets.length, hand: pattern.hand })}
          <br />
          {say('versionVersionWhich', {
            version,
            which: say('sets', { sets }),
          })}
        </small>
      </Link>
      <div className="ways">
        <IconButton
          aria-label={say('duplicatePattern', { pattern: pattern.name })}
          onPress={() => make(line)}
        >
          <Copy size={17} />
        </IconButton>
        <IconButton
          aria-label={`${archived ? say('takeBack') : say('archive')} ${pattern.name}`}
          onPress={() => archive.mutate({ patternId: id, archived: !archived })}
        >
          {archived ? <ArchiveRestore size={17} /> : <Archive size={17} />}
        </IconButton>
      </div>
    </li>
  );
}

/** The club's patterns with thumbnails: find, open, copy, archive. */
export function LibraryPage(): ReactElement {
  const library = useLibrary();
  const make = useNewPattern();
  const [params, change] = useAddress();
  const [search, setSearch] = useState('');
  const [importing, setImporting] = useState(false);
  const tag = params.get('tag');
  const withArchived = params.has('archived');
  const lines = library.data?.filter(({ archived }) => archived === withArchived) ?? [];
  const tags = [...new Set(lines.flatMap(({ pattern }) => pattern.tags))].sort();
  const shown = lines.filter((line) => matches(line, search, tag)).sort(byDifficulty);
  return (
    <Page name={say('patterns')}>
      <Head>
        <Headline>{withArchived ? say('archivedPatterns') : say('patterns')}</Headline>
        <div className="acts">
          <ForWhom asks={ROUTES.savePattern}>
            <Button onPress={() => setImporting(true)}>
              <FileUp size={18} aria-hidden /> {say('openFile')}
            </Button>
            <Button weight="main" onPress={() => make()}>
              <Plus size={18} aria-hidden /> {say('newPattern')}
            </Button>
          </ForWhom>
        </div>
      </Head>
      <Filters>
        <SearchField
          label={say('search')}
          placeholder={say('nameSportTagNote')}
          value={search}
          onChange={setSearch}
        />
        {tags.map((each) => (
          <button
            key={each}
            type="button"
            className="tag"
            aria-pressed={each === tag}
            onClick={() => change({ tag: each === tag ? null : each })}
          >
            {each}
          </button>
        ))}
        <CheckField
          isSelected={withArchived}
          onChange={(on) => change({ archived: on ? 'yes' : null })}
        >
          {say('archived')}
        </CheckField>
      </Filters>
      {library.isPending && <Quiet>{say('readingPatterns')}</Quiet>}
      {library.error && !library.data && (
        <Failed error={library.error} again={() => void library.refetch()} />
      )}
      {library.data && shown.length === 0 && (
        <Quiet style={{ marginTop: 18 }}>
          {lines.length > 0
            ? say('nothingFitsSearch')
            : withArchived
              ? say('nothingArchived')
              : say('noPatternsYetMakeOneOpen')}
        </Quiet>
      )}
      <Shelf>
        {shown.map((line) => (
          <OnShelf key={line.id} line={line} />
        ))}
      </Shelf>
      {importing && <ImportPattern onClose={() => setImporting(false)} />}
    </Page>
  );
}
