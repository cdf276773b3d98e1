import { Module, type DynamicModule } from '@nestjs/common';
import { DATABASE_URL } from '../platform/database/database-url.js';
import { DemoController } from './demo.controller.js';
import { DemoService } from './demo.service.js';

@Module({})
export class DemoModule {
  static on(databaseUrl: string): DynamicModule {
    return {
      module: DemoModule,
      controllers: [DemoController],
      providers: [{ provide: DATABASE_URL, useValue: databaseUrl }, DemoService],
    };
  }
}
