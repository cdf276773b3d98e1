import {
  Catch,
  HttpException,
  Logger,
  type ArgumentsHost,
  type ExceptionFilter,
} from '@nestjs/common';
import type { RefusalReply } from '@orthokin/contract';
import type { Response } from 'express';

/** An error of Express's own, e.g. a body that is not JSON or too large. */
const isHttpError = (error: unknown): error is Error & { status: number } =>
  error instanceof Error && 'status' in error && typeof error.status === 'number';

/** Every refusal has one shape; an error of ours shows nothing of the inside. */
@Catch()
export class RefusalFilter implements ExceptionFilter {
  private readonly logger = new Logger('http');

  catch(error: unknown, host: ArgumentsHost): void {
    const reply = this.replyTo(error);
    host.switchToHttp().getResponse<Response>().status(reply.statusCode).json(reply);
  }

  private replyTo(error: unknown): RefusalReply {
    if (error instanceof HttpException) {
      const given = error.getResponse();
      const detail: Partial<RefusalReply> = typeof given === 'object' ? given : {};
      return {
        statusCode: error.getStatus(),
        message: detail.message ?? error.message,
        problems: detail.problems ?? [],
      };
    }
    if (isHttpError(error) && error.status < 500)
      return { statusCode: error.status, message: error.message, problems: [] };
    this.logger.error(error);
    return { statusCode: 500, message: 'Something went wrong here; try again.', problems: [] };
  }
}
