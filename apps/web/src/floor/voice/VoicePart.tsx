import type { ReactElement } from 'react';
import { SelectField } from '../../parts/form/SelectField.js';
import { Quiet } from '../../parts/Text.js';
import { useVoice } from '../../sound/useVoice.js';
import { DEVICE_VOICE_SD_MS, type Voice } from '../../sound/voice.js';
import { RecordWords } from './RecordWords.js';

/** Who speaks the cues on this device. */
export function VoicePart({ words }: { words: readonly string[] }): ReactElement {
  const keeping = useVoice();
  const { voice, hasDeviceVoice, recorded, choose } = keeping;
  const options: readonly (readonly [Voice, string])[] = [
    ['shipped', 'that comes with the app'],
    ['own', 'recorded by you'],
    ...(hasDeviceVoice ? [['device', 'of this device'] as const] : []),
  ];
  const missing = words.filter((word) => !recorded.includes(word.toLowerCase()));
  return (
    <div style={{ display: 'flex', flexWrap: 'wrap', gap: '8px 16px', alignItems: 'end' }}>
      <div style={{ flex: '0 1 240px' }}>
        <SelectField
          label="The voice"
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
              ? 'Every word is recorded.'
              : `${missing.length} of ${words.length} words are not recorded yet; the app’s own voice says those.`}
          </Quiet>
        </>
      )}
      {voice === 'device' && hasDeviceVoice && (
        <Quiet style={{ flex: '1 1 220px' }}>
          A device’s voice starts when it likes: heard alone, its cue is sure to about ±
          {DEVICE_VOICE_SD_MS} ms only.
        </Quiet>
      )}
    </div>
  );
}
