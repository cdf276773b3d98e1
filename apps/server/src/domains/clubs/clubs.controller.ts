import { EntityManager } from '@mikro-orm/postgresql';
import { Controller, Get } from '@nestjs/common';
import { ClubReply } from '@orthokin/contract';
import { Gives } from '../../platform/http/openapi.js';
import { Club } from './club.entity.js';

@Controller('clubs')
export class ClubsController {
  constructor(private readonly em: EntityManager) {}

  @Get()
  @Gives(ClubReply, { each: true })
  list(): Promise<ClubReply[]> {
    return this.em.find(Club, {}, { orderBy: { name: 'asc' } });
  }
}
