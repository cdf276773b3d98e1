import { Body, Controller, Param } from '@nestjs/common';
import { ClubPath, GroupBody, GroupPath, GroupReply, NewGroupPath } from '@orthokin/contract';
import { ROUTES } from '@orthokin/contract/routes';
import { Serves } from '../../platform/http/serves.js';
import { GroupsService } from './groups.service.js';

@Controller()
export class GroupsController {
  constructor(private readonly groups: GroupsService) {}

  @Serves(ROUTES.groups, { gives: GroupReply, each: true })
  all(@Param() { clubId }: ClubPath): Promise<GroupReply[]> {
    return this.groups.of(clubId);
  }

  @Serves(ROUTES.saveGroup, { takes: GroupBody, gives: GroupReply })
  save(@Param() { clubId, groupId }: NewGroupPath, @Body() body: GroupBody): Promise<GroupReply> {
    return this.groups.save(clubId, groupId, body);
  }

  @Serves(ROUTES.removeGroup)
  async remove(@Param() { clubId, groupId }: GroupPath): Promise<object> {
    await this.groups.remove(clubId, groupId);
    return {};
  }
}
