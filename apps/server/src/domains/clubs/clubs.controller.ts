import { EntityManager } from '@mikro-orm/postgresql';
import { Controller } from '@nestjs/common';
import { ClubReply } from '@orthokin/contract';
import { ROUTES } from '@orthokin/contract/routes';
import { Serves } from '../../platform/http/serves.js';
import { Club } from './club.entity.js';

@Controller()
export class ClubsController {
  constructor(private readonly em: EntityManager) {}

  @Serves(ROUTES.clubs, { gives: ClubReply, each: true })
  list(): Promise<ClubReply[]> {
    return this.em.find(Club, {}, { orderBy: { name: 'asc' } });
  }
}
