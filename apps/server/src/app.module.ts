import { MikroOrmModule } from '@mikro-orm/nestjs';
import { PostgreSqlDriver } from '@mikro-orm/postgresql';
import { Module, type DynamicModule } from '@nestjs/common';
import { ClubsModule } from './clubs/clubs.module.js';
import { CourseModule } from './course/course.module.js';
import { ormOptions } from './database/orm-options.js';
import { DrillsModule } from './drills/drills.module.js';
import { FilesModule } from './files/files.module.js';
import { HealthModule } from './health/health.module.js';
import { LiveModule } from './live/live.module.js';
import { ProgressModule } from './progress/progress.module.js';
import { ReviewModule } from './review/review.module.js';
import type { Settings } from './settings.js';
import { SquadModule } from './squad/squad.module.js';

@Module({})
export class AppModule {
  static with({ databaseUrl }: Settings): DynamicModule {
    return {
      module: AppModule,
      imports: [
        MikroOrmModule.forRoot({ ...ormOptions(databaseUrl), driver: PostgreSqlDriver }),
        ClubsModule,
        DrillsModule,
        ProgressModule,
        SquadModule,
        ReviewModule,
        CourseModule,
        FilesModule,
        HealthModule,
        LiveModule.on(databaseUrl),
      ],
    };
  }
}
