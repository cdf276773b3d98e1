import { Module } from '@nestjs/common';
import { APP_INTERCEPTOR } from '@nestjs/core';
import { TrailInterceptor } from './trail.interceptor.js';
import { TrailService } from './trail.service.js';

@Module({
  providers: [TrailService, { provide: APP_INTERCEPTOR, useClass: TrailInterceptor }],
  exports: [TrailService],
})
export class PrivacyModule {}
