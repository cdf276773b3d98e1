import { Injectable, ValidationPipe, type ArgumentMetadata } from '@nestjs/common';
import { refuseInvalid, refuseProblems } from './refusals.js';
import { shapeProblems, type Shaped } from './shape.js';

const PLAIN: readonly unknown[] = [String, Boolean, Number, Array, Object, Buffer];

/** Checks every path, query and body against its contract class: first its shape (`shape.ts`), then its rules. */
@Injectable()
export class CheckedPipe extends ValidationPipe {
  constructor() {
    super({
      transform: true,
      whitelist: true,
      forbidNonWhitelisted: true,
      exceptionFactory: refuseInvalid,
    });
  }

  override async transform(value: unknown, metadata: ArgumentMetadata): Promise<unknown> {
    const { metatype, type } = metadata;
    if (type !== 'custom' && metatype && !PLAIN.includes(metatype)) {
      const problems = shapeProblems(metatype as Shaped, value ?? {});
      if (problems.length > 0) throw refuseProblems(problems);
    }
    return (await super.transform(value, metadata)) as unknown;
  }
}
