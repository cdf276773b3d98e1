import type { AthleteBody, PersonReply } from '@orthokin/contract';

/** What is known of somebody, to be changed and sent back. */
export const bodyOf = ({ id: _, archived: __, changes, ...body }: PersonReply): AthleteBody => ({
  ...body,
  revision: changes + 1,
});
