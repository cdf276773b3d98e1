import type { AthleteBody, PersonReply } from '@orthokin/contract';

/** An athlete as a request to change them. */
export const bodyOf = ({ id: _, archived: __, changes, ...body }: PersonReply): AthleteBody => ({
  ...body,
  revision: changes + 1,
});
