import type { InvitationReply } from '@orthokin/contract';
import type { PersonRole } from '@orthokin/core/people';
import { v7 } from 'uuid';
import type { TestServer } from './server.js';
import { OWNER, Somebody } from './somebody.js';

/** A device on which somebody has taken up an invitation of the owner's; their name is their role. */
export async function invited(
  server: TestServer,
  owner: Somebody,
  role: PersonRole,
  athleteIds: readonly string[] = [],
): Promise<Somebody> {
  const device = new Somebody(server);
  const body = { name: role, role, athleteIds, email: null, days: 7, accountId: null };
  const { body: reply } = await owner.put(server.club(`invitations/${v7()}`), body).expect(200);
  const account = { ...OWNER, name: role, email: `${role}@example.org` };
  const { token } = reply as InvitationReply;
  await device.post('/api/invited/accept', { token, account }).expect(200);
  return device;
}
