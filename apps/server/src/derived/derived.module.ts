import { Global, Module } from '@nestjs/common';
import { AthletesModule } from '../domains/athletes/athletes.module.js';
import { DrillsModule } from '../domains/drills/drills.module.js';
import { PatternsModule } from '../domains/patterns/patterns.module.js';
import { Deciding } from '../domains/progress/deciding.js';
import { ProgressModule } from '../domains/progress/progress.module.js';
import { AthleteStandingsService } from './athlete-standings.service.js';
import { CourseSetsService } from './course-sets.service.js';
import { DecisionsService } from './decisions.service.js';
import { EvidenceService } from './evidence.service.js';
import { FiguresService } from './figures.service.js';
import { LadderStandingsService } from './ladder-standings.service.js';
import { SquadFormsService } from './squad-forms.service.js';
import { SquadLinesService } from './squad-lines.service.js';
import { TakingAway } from './taking-away.js';

const SERVICES = [
  ...[AthleteStandingsService, CourseSetsService, DecisionsService, EvidenceService],
  ...[FiguresService, LadderStandingsService, SquadFormsService, SquadLinesService],
];

/**
 * Everything derived from what was recorded: worked out, cached and invalidated here. Global, because the progress
 * domain asks for decisions (through `Deciding`) without depending on this module.
 */
@Global()
@Module({
  imports: [AthletesModule, DrillsModule, PatternsModule, ProgressModule],
  providers: [...SERVICES, TakingAway, { provide: Deciding, useExisting: DecisionsService }],
  exports: [...SERVICES, Deciding],
})
export class DerivedModule {}
