import { Module } from '@nestjs/common';
import { AthletesModule } from '../domains/athletes/athletes.module.js';
import { CareModule } from '../domains/care/care.module.js';
import { DrillsModule } from '../domains/drills/drills.module.js';
import { NotesModule } from '../domains/notes/notes.module.js';
import { PatternsModule } from '../domains/patterns/patterns.module.js';
import { PrivacyModule } from '../domains/privacy/privacy.module.js';
import { ProgressModule } from '../domains/progress/progress.module.js';
import { SessionsModule } from '../domains/sessions/sessions.module.js';
import { AthleteCareController } from './athlete-care.controller.js';
import { AthleteCareService } from './athlete-care.service.js';
import { CourseController } from './course.controller.js';
import { CourseService } from './course.service.js';
import { DrillSetupService } from './drill-setup.service.js';
import { LadderController } from './ladder.controller.js';
import { LadderViewService } from './ladder.service.js';
import { LoadsController } from './loads.controller.js';
import { LoadsService } from './loads.service.js';
import { PrivacyController } from './privacy.controller.js';
import { PrivacyService } from './privacy.service.js';
import { ReviewController } from './review.controller.js';
import { ReviewService } from './review.service.js';
import { SessionSetsController } from './session-sets.controller.js';
import { SquadController } from './squad.controller.js';
import { StandingsService } from './standings.service.js';
import { UnreadableController } from './unreadable.controller.js';
import { UnreadableService } from './unreadable.service.js';

/** What pages ask for, composed from domains and derived data. */
@Module({
  imports: [
    AthletesModule,
    CareModule,
    DrillsModule,
    NotesModule,
    PatternsModule,
    PrivacyModule,
    ProgressModule,
    SessionsModule,
  ],
  controllers: [
    AthleteCareController,
    CourseController,
    LadderController,
    LoadsController,
    PrivacyController,
    ReviewController,
    SessionSetsController,
    SquadController,
    UnreadableController,
  ],
  providers: [
    AthleteCareService,
    CourseService,
    DrillSetupService,
    LadderViewService,
    LoadsService,
    PrivacyService,
    ReviewService,
    StandingsService,
    UnreadableService,
  ],
})
export class ViewsModule {}
