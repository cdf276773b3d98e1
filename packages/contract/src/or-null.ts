import { ValidateIf } from 'class-validator';

/** `null` may stand here; anything else is held against the field's other rules. */
export const OrNull = (): PropertyDecorator => ValidateIf((_, value: unknown) => value !== null);
