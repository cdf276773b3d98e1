import { Controller, Param } from '@nestjs/common';
import { ClubPath, JoinedScreenReply, ScreenPath } from '@orthokin/contract';
import { ROUTES } from '@orthokin/contract/routes';
import { Serves } from '../../platform/http/serves.js';
import { unknown } from '../../platform/http/refusals.js';
import { Present } from '../../platform/live/present.js';
import { Rooms } from '../../platform/live/rooms.js';

/** Screens that joined a club's drills and sessions; for owners, who can expel them. */
@Controller()
export class ScreensController {
  constructor(
    private readonly present: Present,
    private readonly rooms: Rooms,
  ) {}

  @Serves(ROUTES.joinedScreens, { gives: JoinedScreenReply, each: true })
  all(@Param() { clubId }: ClubPath): Promise<JoinedScreenReply[]> {
    return this.present.of(clubId);
  }

  @Serves(ROUTES.endScreen)
  async end(@Param() { clubId, room, screen }: ScreenPath): Promise<object> {
    const joined = await this.present.of(clubId);
    if (!joined.some((each) => each.room === room && each.screen === screen))
      throw unknown('screen', screen, 'a screen');
    this.rooms.end({ room, screen });
    return {};
  }
}
