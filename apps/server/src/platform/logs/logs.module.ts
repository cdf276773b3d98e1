import { Module, RequestMethod } from '@nestjs/common';
import { LoggerModule } from 'nestjs-pino';
import { requestId } from '../http/request-id.js';

interface Asked {
  readonly id: string;
  readonly method: string;
  readonly url: string;
}

/**
 * Logs one JSON line per request with its id, route, status and time. Bodies, headers and query strings are left out,
 * because they are personal data.
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
          // Only the kind of an error: the refusal filter logs what else may be logged.
          err: ({ type }: { type?: string }) => ({ type }),
        },
      },
    }),
  ],
})
export class LogsModule {}
