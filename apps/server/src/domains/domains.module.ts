import { Global, Module } from '@nestjs/common';
import { Changes } from './changes.js';

/** Services that every domain uses. */
@Global()
@Module({ providers: [Changes], exports: [Changes] })
export class DomainsModule {}
