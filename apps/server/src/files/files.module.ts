import { Module } from '@nestjs/common';
import { AthletesModule } from '../athletes/athletes.module.js';
import { CourseModule } from '../course/course.module.js';
import { DrillsModule } from '../drills/drills.module.js';
import { PatternsModule } from '../patterns/patterns.module.js';
import { ClubFileService } from './club-file.service.js';
import { FilesController } from './files.controller.js';
import { ImportsService } from './imports.service.js';
import { TablesService } from './tables.service.js';

@Module({
  imports: [AthletesModule, CourseModule, DrillsModule, PatternsModule],
  controllers: [FilesController],
  providers: [ClubFileService, ImportsService, TablesService],
})
export class FilesModule {}
