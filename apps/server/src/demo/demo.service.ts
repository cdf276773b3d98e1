import { join } from 'node:path';
import { EntityManager } from '@mikro-orm/postgresql';
import { Inject, Injectable, type OnModuleDestroy } from '@nestjs/common';
import type { ClubReply } from '@orthokin/contract';
import { DEMO_CLUB_ID } from '@orthokin/core/people';
import { Club } from '../domains/clubs/club.entity.js';
import { DATABASE_URL } from '../platform/database/database-url.js';
import { unknown } from '../platform/http/refusals.js';
import { withinClub } from '../platform/auth/scope.js';
import { LongWork } from '../platform/work/long-work.js';

/** The built file, also when this module runs from source in tests. */
const WORKER = join(import.meta.dirname, '../../dist/demo/demo.worker.js');

/** Restores the demo club after somebody deleted it. */
@Injectable()
export class DemoService implements OnModuleDestroy {
  private readonly work: LongWork;

  constructor(
    private readonly em: EntityManager,
    @Inject(DATABASE_URL) databaseUrl: string,
  ) {
    this.work = new LongWork(WORKER, { databaseUrl });
  }

  onModuleDestroy(): Promise<void> {
    return this.work.close();
  }

  /** Creates the demo club if it is missing; an existing one is left alone. */
  async bring(): Promise<ClubReply> {
    const find = () =>
      withinClub(DEMO_CLUB_ID, () => this.em.fork().findOne(Club, { clubId: DEMO_CLUB_ID }));
    const there = await find();
    if (there) return there;
    await this.work.run<null>('demo', {});
    const made = await find();
    if (!made) throw unknown('clubId', DEMO_CLUB_ID, 'a club');
    return made;
  }
}
