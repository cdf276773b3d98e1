import { ValidateIf } from 'class-validator';

/** Allows `null`; other values must satisfy the field's remaining rules. */
export const OrNull = (): PropertyDecorator => ValidateIf((_, value: unknown) => value !== null);
