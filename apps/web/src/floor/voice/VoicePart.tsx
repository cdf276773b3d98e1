import type { ReactElement } from 'react';
import { SelectField } from '../../parts/form/SelectField.js';
import { Quiet } from '../../parts/Text.js';
import { useVoice } from '../../sound/useVoice.js';
import { DEVICE_VOICE_SD_MS, type Voice } from '../../sound/voice.js';
import { RecordWords } from './RecordWords.js';
import { say } from '../../words/floor.js';

/** Chooses the voice of spoken cues on this device. */
export function VoicePart({ words }: { words: readonly string[] }): ReactElement {
  const keeping = useVoice();
  const { voice, hasDeviceVoice, recorded, choose } = keeping;
  const options: readonly (readonly [Voice, string])[] = [
    ['shipped', say('comesApp')],
    ['own', say('recordedYou')],
    ...(hasDeviceVoice ? [['device', say('thisDevice')] as const] : []),
  ];
  const missing = words.filter((word) => !recorded.includes(word.toLowerCase()));
  return (
    <div style={{ display: 'flex', flexWrap: 'wrap', gap: '8px 16px', alignItems: 'end' }}>
      <div style={{ flex: '0 1 240px' }}>
        <SelectField
          label={say('voice')}
          value={voice === 'device' && !hasDeviceVoice ? 'shipped' : voice}
          options={options}
          onChange={choose}
        />
      </div>
      {voice === 'own' && (
        <>
          <RecordWords words={words} keeping={keeping} />
          <Quiet style={{ flex: '1 1 220px' }}>
            {missing.length === 0
              ? say('everyWordRecorded')
              : say('missingWordsWordsNotRecordedYet', {
                  missing: missing.length,
                  words: words.length,
                })}
          </Quiet>
        </>
      )}
      {voice === 'device' && hasDeviceVoice && (
        <Quiet style={{ flex: '1 1 220px' }}>
          {say('devicesVoiceStartsWhenLikesHeard', { DEVICEVOICESDMS: DEVICE_VOICE_SD_MS })}
        </Quiet>
      )}
    </div>
  );
}
