import { Module } from '@nestjs/common';
import { AthletesModule } from '../athletes/athletes.module.js';
import { GroupsController } from './groups.controller.js';
import { GroupsService } from './groups.service.js';

@Module({
  imports: [AthletesModule],
  controllers: [GroupsController],
  providers: [GroupsService],
})
export class GroupsModule {}
