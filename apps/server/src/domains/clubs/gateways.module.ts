import { Module, type DynamicModule } from '@nestjs/common';
import { GatewaysController } from './gateways.controller.js';
import { ALWAYS, GatewaysService } from './gateways.service.js';

@Module({})
export class GatewaysModule {
  static with(always: readonly string[]): DynamicModule {
    return {
      module: GatewaysModule,
      controllers: [GatewaysController],
      providers: [GatewaysService, { provide: ALWAYS, useValue: always }],
    };
  }
}
