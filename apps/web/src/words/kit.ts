import { lengthWords, type LengthUnit } from '@orthokin/core/floor';
import type { Kit, PlayObject } from '@orthokin/core/plan';
import { kit as en } from './en/kit.js';
import { commaList } from './format.js';
import { speaker } from './say.js';

const say = speaker(en);

function thingsOf(object: PlayObject, count: number): string {
  switch (object) {
    case 'none':
      return '';
    case 'balloon':
      return say('balloon', { count });
    case 'soft':
      return say('soft', { count });
    case 'match':
      return say('match', { count });
  }
}

/** What is to be brought, and how much floor it takes, in a sentence or two; nothing where nothing is. */
export function kitWords({ markers, objects, screens, floor, besides }: Kit, unit: LengthUnit) {
  const things = commaList([
    markers > 0 ? say('markers', { count: markers }) : '',
    ...objects.map(({ object, count }) => thingsOf(object, count)),
    screens > 0 ? say('screens', { count: screens }) : '',
    ...besides,
  ]);
  return {
    bring: things === '' ? '' : say('bring', { things }),
    floor: floor
      ? say('floor', {
          stations: floor.stations,
          across: lengthWords(floor.acrossM, unit),
          deep: lengthWords(floor.deepM, unit),
        })
      : '',
  };
}
