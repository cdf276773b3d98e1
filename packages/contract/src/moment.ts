import { IsISO8601, Matches } from 'class-validator';

const DAY = '20\\d\\d-(0[1-9]|1[0-2])-(0[1-9]|[12]\\d|3[01])';
const TIME = '([01]\\d|2[0-3]):[0-5]\\d(:[0-5]\\d(\\.\\d{1,9})?)?';
const ZONE = '(Z|[+-]([01]\\d|2[0-3]):?[0-5]\\d)';

const all =
  (...decorators: readonly PropertyDecorator[]): PropertyDecorator =>
  (target, name) => {
    for (const decorate of decorators) decorate(target, name);
  };

/** A moment of this century with its time zone, as `2026-01-31T10:00:00.000Z`. */
export const IsMoment = (): PropertyDecorator =>
  all(
    IsISO8601({ strict: true, strictSeparator: true }),
    Matches(new RegExp(`^${DAY}T${TIME}${ZONE}$`), {
      message: '$property must be a date and time like 2026-01-31T10:00:00Z',
    }),
  );

/** A calendar day on which a living person may have been born, as `2010-01-31`. */
export const IsDateOfBirth = (): PropertyDecorator =>
  all(
    IsISO8601({ strict: true }),
    Matches(new RegExp(`^(19\\d\\d${DAY.slice('20\\d\\d'.length)}|${DAY})$`), {
      message: '$property must be a date of birth like 2010-01-31',
    }),
  );

/** A calendar day of this century, as `2026-01-31`. */
export const IsDay = (): PropertyDecorator =>
  all(
    IsISO8601({ strict: true }),
    Matches(new RegExp(`^${DAY}$`), { message: '$property must be a date like 2026-01-31' }),
  );
