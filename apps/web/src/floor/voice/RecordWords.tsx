import { Mic, Play, Trash2 } from 'lucide-react';
import { useState, type ReactElement } from 'react';
import { Dialog, DialogTrigger, Heading } from 'react-aria-components';
import styled from 'styled-components';
import { Button } from '../../parts/Button.js';
import { IconButton } from '../../parts/IconButton.js';
import { Sheet } from '../../parts/Sheet.js';
import { Quiet } from '../../parts/Text.js';
import { colour } from '../../parts/tokens.js';
import { allowSound } from '../../sound/audio.js';
import { dropRecording, recordWord } from '../../sound/recordings.js';
import { decoder, planWords } from '../../sound/spoken.js';
import type { VoiceKeeping } from '../../sound/useVoice.js';
import { say } from '../../words/floor.js';

const Words = styled.ul`
  margin: 12px 0 18px;
  padding: 0;
  list-style: none;
  columns: 2;
  column-gap: 26px;
  li {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto auto auto;
    align-items: center;
    min-height: 44px;
    border-bottom: 1px solid ${colour('rule')};
    break-inside: avoid;
  }
  b {
    overflow: hidden;
    text-overflow: ellipsis;
  }
  @media (max-width: 480px) {
    columns: 1;
  }
`;

const SOON_MS = 60;

/** Records the coach's voice for the cues, word by word. */
export function RecordWords({
  words,
  keeping: { recorded, again },
}: {
  words: readonly string[];
  keeping: VoiceKeeping;
}): ReactElement {
  const [recording, setRecording] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const record = async (word: string) => {
    setRecording(word);
    setProblem(null);
    try {
      await recordWord(word.toLowerCase(), decoder());
      await again();
    } catch (error) {
      setProblem(error instanceof Error ? error.message : String(error));
    } finally {
      setRecording(null);
    }
  };
  const hear = async (word: string) => {
    await allowSound();
    planWords([word], performance.now() + SOON_MS);
  };
  return (
    <DialogTrigger>
      <Button>
        <Mic size={18} aria-hidden /> {say('recordWords')}
      </Button>
      <Sheet isDismissable>
        <Dialog>
          {({ close }) => (
            <>
              <Heading slot="title">{say('yourOwnVoice')}</Heading>
              <Quiet>{say('pressSayWordWaitSilenceRound')}</Quiet>
              <p role="status" style={{ minHeight: '1.4em', margin: '10px 0 0' }}>
                {recording === null ? problem : say('sayRecordingNow', { recording })}
              </p>
              <Words>
                {words.map((word) => {
                  const has = recorded.includes(word.toLowerCase());
                  return (
                    <li key={word}>
                      <b>{word}</b>
                      <IconButton
                        aria-label={say('recordWordWhich', { word, which: has ? ' again' : '' })}
                        isDisabled={recording !== null}
                        onPress={() => void record(word)}
                      >
                        <Mic size={18} />
                      </IconButton>
                      <IconButton
                        aria-label={say('hearWord', { word })}
                        isDisabled={!has}
                        onPress={() => void hear(word)}
                      >
                        <Play size={18} />
                      </IconButton>
                      <IconButton
                        aria-label={say('removeRecordingWord', { word })}
                        isDisabled={!has}
                        onPress={() => void dropRecording(word.toLowerCase()).then(again)}
                      >
                        <Trash2 size={18} />
                      </IconButton>
                    </li>
                  );
                })}
              </Words>
              <Button onPress={close}>{say('close')}</Button>
            </>
          )}
        </Dialog>
      </Sheet>
    </DialogTrigger>
  );
}
