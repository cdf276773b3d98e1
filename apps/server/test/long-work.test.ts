import { mkdtemp, readFile, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { strFromU8, unzipSync } from 'fflate';
import { DEMO_CLUB_ID } from '@orthokin/core/people';
import { LongWork } from '../src/platform/work/long-work.js';
import { freshDatabase, onCluster, urlsOf } from './support/server.js';

const TRANSFER = join(import.meta.dirname, '../dist/transfer/work');
const nameOf = (url: string) => new URL(url).pathname.slice(1);

test('a thread that was made ready while the database was away takes a club out once it is back', async () => {
  const { databaseUrl, servingUrl } = urlsOf(await freshDatabase({ withDemo: true }));
  const [here, away] = [nameOf(databaseUrl), `${nameOf(databaseUrl)}_away`];
  const folder = await mkdtemp(join(tmpdir(), 'orthokin-'));
  await onCluster(`alter database ${here} rename to ${away}`);
  const work = new LongWork(join(TRANSFER, 'worker.js'), { databaseUrl: servingUrl }, 1);
  try {
    const path = join(folder, 'club.zip');
    await expect(work.run('beReady', {})).rejects.toThrow(here);
    await onCluster(`alter database ${away} rename to ${here}`);
    await work.run('takeClub', { clubId: DEMO_CLUB_ID, path });
    const files = unzipSync(new Uint8Array(await readFile(path)));
    expect(JSON.parse(strFromU8(files['club.json'] ?? new Uint8Array()))).toMatchObject({
      club: { clubId: DEMO_CLUB_ID },
    });
  } finally {
    await work.close();
    await rm(folder, { recursive: true });
    await onCluster(`drop database if exists ${here}`);
    await onCluster(`drop database if exists ${away}`);
  }
}, 60_000);
