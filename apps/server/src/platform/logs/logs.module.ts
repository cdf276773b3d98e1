import { Module, RequestMethod } from '@nestjs/common';
import { LoggerModule } from 'nestjs-pino';
import { requestId } from '../http/request-id.js';

interface Asked {
  readonly id: string;
  readonly method: string;
  readonly url: string;
}

/**
 * One line a request, as JSON: its id, what was asked and how it went. Bodies, headers and query
 * texts stay out: they are of people.
 */
@Module({
  imports: [
    LoggerModule.forRoot({
      forRoutes: [{ path: '{*all}', method: RequestMethod.ALL }],
      pinoHttp: {
        level: process.env['LOG_LEVEL'] ?? 'warn',
        genReqId: requestId,
        quietReqLogger: true,
        customLogLevel: (_request, { statusCode }, error) =>
          error || statusCode >= 500 ? 'error' : statusCode === 429 ? 'warn' : 'info',
        serializers: {
          req: ({ id, method, url }: Asked) => ({ id, method, path: url.split('?')[0] }),
          res: ({ statusCode }: { statusCode: number }) => ({ statusCode }),
          // Of an error only its kind: the filter says what may be said of it.
          err: ({ type }: { type?: string }) => ({ type }),
        },
      },
    }),
  ],
})
export class LogsModule {}
