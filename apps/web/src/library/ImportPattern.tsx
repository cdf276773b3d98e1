import type { PatternBody } from '@orthokin/contract';
import { jsonPointer, patternOfFile } from '@orthokin/contract/pattern-file';
import type { Problem } from '@orthokin/core/result';
import { FileUp } from 'lucide-react';
import { useState, type ReactElement } from 'react';
import { Dialog, FileTrigger, Heading } from 'react-aria-components';
import { useNavigate } from 'react-router';
import { v7 } from 'uuid';
import { Refused } from '../api/client.js';
import { useSavePattern } from '../api/patterns.js';
import { Button } from '../parts/Button.js';
import { Notice } from '../parts/Notice.js';
import { Sheet } from '../parts/Sheet.js';
import { Quiet } from '../parts/Text.js';
import { say } from '../words/library.js';

/** Problems shown at once; a file that is no pattern would have hundreds. */
const MAX_SHOWN = 8;

const Problems = ({ problems }: { problems: readonly Problem[] }): ReactElement => (
  <Notice>
    {say('thisFileWasNotTakenNothing')}
    {problems.slice(0, MAX_SHOWN).map((problem) => (
      <span key={problem.field} style={{ display: 'block', marginTop: 6 }}>
        <code className="mono">{jsonPointer(problem) || say('wholeFile')}</code>
        {say('foundGivenAllowedAllowed', { given: problem.given, allowed: problem.allowed })}
      </span>
    ))}
    {problems.length > MAX_SHOWN && say('problemsMore', { problems: problems.length - MAX_SHOWN })}
  </Notice>
);

/** Imports a pattern from a file as a new pattern of the club. */
export function ImportPattern({ onClose }: { onClose: () => void }): ReactElement {
  const navigate = useNavigate();
  const saving = useSavePattern();
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const [failure, setFailure] = useState<string | null>(null);

  const take = async (file: File) => {
    setProblems([]);
    setFailure(null);
    const read = patternOfFile(await file.text());
    if (!read.ok) {
      setProblems([read.problem]);
      return;
    }
    const patternId = v7();
    try {
      // The server validates: it refuses an invalid pattern, and stores nothing.
      await saving.mutateAsync({ patternId, version: 1, body: read.value as PatternBody });
      void navigate(`/patterns/${patternId}`);
    } catch (error) {
      if (error instanceof Refused && error.problems.length > 0) setProblems(error.problems);
      else setFailure(error instanceof Error ? error.message : String(error));
    }
  };

  return (
    <Sheet isOpen isDismissable onOpenChange={(open) => !open && onClose()}>
      <Dialog>
        <Heading slot="title">{say('openPatternFile')}</Heading>
        <Quiet style={{ marginBottom: 14 }}>{say('jsonFileSavedFromStudioHere')}</Quiet>
        {problems.length > 0 && <Problems problems={problems} />}
        {failure && <Notice>{failure}</Notice>}
        <div style={{ display: 'flex', gap: 10, marginTop: 14 }}>
          <FileTrigger
            acceptedFileTypes={['application/json', '.json']}
            onSelect={(files) => {
              const file = files?.[0];
              if (file) void take(file);
            }}
          >
            <Button weight="main" isDisabled={saving.isPending}>
              <FileUp size={18} aria-hidden /> {say('chooseFile')}
            </Button>
          </FileTrigger>
          <Button onPress={onClose}>{say('close')}</Button>
        </div>
      </Dialog>
    </Sheet>
  );
}
