import { Hand, Pause, Play } from 'lucide-react';
import { memo, useState, type ReactElement } from 'react';
import { Label, Slider, SliderOutput, SliderThumb, SliderTrack } from 'react-aria-components';
import styled from 'styled-components';
import { Button } from '../../parts/Button.js';
import { CheckField } from '../../parts/form/CheckField.js';
import { Quiet } from '../../parts/Text.js';
import { colour } from '../../parts/tokens.js';
import { FASTEST, SLOWEST } from './player.js';
import { usePlayer, usePlaying } from './player-context.js';
import { TapIn } from './TapIn.js';
import { say } from '../../words/studio.js';

const Controls = styled.div`
  display: grid;
  gap: 8px;
  align-content: start;
  font-size: 15px;
  .row {
    display: flex;
    flex-wrap: wrap;
    gap: 8px 14px;
  }
  .row > button {
    flex: 1;
    padding-inline: 10px;
  }
`;

const Speed = styled(Slider)`
  display: grid;
  grid-template-columns: auto 1fr 52px;
  align-items: center;
  gap: 10px;
  .react-aria-SliderTrack {
    height: 24px;
    background: linear-gradient(${colour('rule')}, ${colour('rule')}) center / 100% 3px no-repeat;
  }
  .react-aria-SliderThumb {
    top: 12px;
    width: 20px;
    height: 20px;
    border-radius: 50%;
    background: ${colour('ink')};
  }
  .react-aria-SliderThumb[data-focus-visible] {
    outline: 3px solid ${colour('focus')};
    outline-offset: 2px;
  }
  .react-aria-SliderOutput {
    text-align: right;
  }
`;

/** Plays, slows, loops and taps in the leg, and describes its rhythm. */
export const Transport = memo(function Transport({
  letter,
  rhythm,
}: {
  letter: string;
  rhythm: string;
}): ReactElement {
  const player = usePlayer();
  const { playing, speed, loop, countIn } = usePlaying();
  const [tapping, setTapping] = useState(false);
  return (
    <Controls>
      <div className="row">
        <Button weight="main" onPress={() => void player.toggle()}>
          {playing ? <Pause size={18} aria-hidden /> : <Play size={18} aria-hidden />}
          {playing ? say('pause') : say('play')}
        </Button>
        <Button
          onPress={() => {
            player.pause();
            setTapping(true);
          }}
        >
          <Hand size={18} aria-hidden /> {say('tap')}
        </Button>
      </div>
      <Speed
        value={speed * 100}
        minValue={SLOWEST * 100}
        maxValue={FASTEST * 100}
        step={5}
        onChange={(percent) => player.set({ speed: (percent as number) / 100 })}
      >
        <Label>{say('speed')}</Label>
        <SliderTrack>
          <SliderThumb />
        </SliderTrack>
        <SliderOutput className="mono">{() => `${Math.round(speed * 100)} %`}</SliderOutput>
      </Speed>
      <div className="row">
        <CheckField isSelected={loop} onChange={(on) => player.set({ loop: on })}>
          {say('loop')}
        </CheckField>
        <CheckField isSelected={countIn} onChange={(on) => player.set({ countIn: on })}>
          {say('count')}
        </CheckField>
      </div>
      <Quiet>{rhythm}</Quiet>
      {tapping && <TapIn letter={letter} onClose={() => setTapping(false)} />}
    </Controls>
  );
});
