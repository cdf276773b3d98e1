import {
  DriverException,
  DeadlockException,
  ForeignKeyConstraintViolationException,
  NotFoundError,
  UniqueConstraintViolationException,
} from '@mikro-orm/core';
import {
  Catch,
  HttpException,
  HttpStatus,
  Logger,
  type ArgumentsHost,
  type ExceptionFilter,
} from '@nestjs/common';
import type { RefusalReply } from '@orthokin/contract';
import { problemSentence, type Problem } from '@orthokin/core/result';
import type { Response } from 'express';
import { codeOf, DATABASE_AWAY, isAway } from '../database/away.js';

/** An error thrown by Express, e.g. for a body that is not JSON or is too large. */
interface HttpError extends Error {
  readonly status: number;
  readonly type?: string;
  readonly limit?: number;
}
const isHttpError = (error: unknown): error is HttpError =>
  error instanceof Error && 'status' in error && typeof error.status === 'number';

const reply = (statusCode: number, ...problems: readonly Problem[]): RefusalReply => ({
  statusCode,
  message: problems.map(problemSentence).join(' '),
  problems: [...problems],
});

const BODY_ALLOWED: Readonly<Record<string, string>> = {
  'entity.parse.failed': 'JSON',
  'charset.unsupported': 'UTF-8',
  'encoding.unsupported': 'gzip, deflate or nothing',
  'request.size.invalid': 'as many bytes as Content-Length says',
};

function ofExpress({ status, type = '', limit, message }: HttpError): RefusalReply {
  const allowed = BODY_ALLOWED[type] ?? (limit ? `at most ${limit} bytes` : message);
  const field = type === '' ? 'address' : 'body';
  return reply(status, { field, given: 'what cannot be read', allowed });
}

/** SQLSTATE class 22: a value PostgreSQL cannot represent, such as an impossible date. */
const UNFIT = /^22/;
/** SQLSTATE of a row-level security violation. */
const NOT_SHOWN = '42501';
const UNFINISHED = 'The work could not be finished; nothing was changed. Try again.';

function ofDatabase(error: unknown): RefusalReply | null {
  if (isAway(error))
    return {
      statusCode: HttpStatus.SERVICE_UNAVAILABLE,
      message: DATABASE_AWAY,
      problems: [],
    };
  if (error instanceof DeadlockException || codeOf(error) === '40001')
    return { statusCode: HttpStatus.SERVICE_UNAVAILABLE, message: UNFINISHED, problems: [] };
  // Row-level security refused it: say "not found", as for anything else they may not see.
  if (codeOf(error) === NOT_SHOWN)
    return reply(HttpStatus.NOT_FOUND, {
      ...{ field: 'id', given: 'an id', allowed: 'the id of something of yours' },
    });
  // It was deleted between being found and being locked.
  if (error instanceof NotFoundError)
    return reply(HttpStatus.NOT_FOUND, {
      ...{ field: 'id', given: 'an id', allowed: 'the id of something of this club' },
    });
  if (error instanceof ForeignKeyConstraintViolationException)
    return reply(HttpStatus.NOT_FOUND, {
      field: columnOf(error, /Key \((?:club_id, )?(\w+)\)/),
      given: 'an id',
      allowed: 'the id of something of this club',
    });
  if (error instanceof UniqueConstraintViolationException)
    return reply(HttpStatus.CONFLICT, {
      field: columnOf(error, /Key \((?:club_id, )?(\w+)/),
      given: 'what is there already',
      allowed: 'each once',
    });
  if (error instanceof DriverException && UNFIT.test(codeOf(error)))
    return reply(HttpStatus.BAD_REQUEST, {
      field: 'body',
      given: 'a value that cannot be stored',
      allowed: 'texts, numbers and dates that can be written',
    });
  return null;
}

const columnOf = (error: DriverException, pattern: RegExp): string => {
  const detail = 'detail' in error ? String(error.detail) : '';
  return (pattern.exec(detail)?.[1] ?? 'id').replace(/_(\w)/g, (_, letter: string) =>
    letter.toUpperCase(),
  );
};

/** Seconds until a client should try again when the database was unavailable. */
const RETRY_AFTER_S = 2;

/** Gives every error reply the same shape; unexpected errors reveal nothing internal. */
@Catch()
export class RefusalFilter implements ExceptionFilter {
  private readonly logger = new Logger('http');

  catch(error: unknown, host: ArgumentsHost): void {
    const response = host.switchToHttp().getResponse<Response>();
    const answer = this.replyTo(error);
    if (response.headersSent) {
      response.destroy();
      return;
    }
    if (answer.statusCode === 503) response.setHeader('Retry-After', String(RETRY_AFTER_S));
    response.status(answer.statusCode).json(answer);
  }

  private replyTo(error: unknown): RefusalReply {
    if (error instanceof HttpException) {
      const given = error.getResponse();
      const detail: Partial<RefusalReply> = typeof given === 'object' ? given : {};
      const problems = detail.problems ?? [];
      const statusCode = error.getStatus();
      if (problems.length === 0 && statusCode === 404)
        return reply(404, { field: 'address', given: 'an unknown one', allowed: 'see /api/docs' });
      if (problems.length === 0 && statusCode === 400)
        return reply(400, { field: 'body', given: 'what cannot be read', allowed: 'JSON' });
      return { statusCode, message: detail.message ?? error.message, problems };
    }
    if (isHttpError(error) && error.status < 500) return ofExpress(error);
    const database = ofDatabase(error);
    if (database) {
      this.logger.warn({ refused: database.statusCode, code: codeOf(error) });
      return database;
    }
    this.logger.error(insideOf(error));
    return { statusCode: 500, message: 'Something went wrong here; try again.', problems: [] };
  }
}

/** The loggable part of an error: its kind and place, never the values in a statement. */
function insideOf(error: unknown): object {
  if (typeof error !== 'object' || error === null) return { error: typeof error };
  // An error from a worker thread is not an instance of this realm's Error.
  const { name = '', message = '', stack = '' }: Partial<Error> = error;
  const isStatement = error instanceof DriverException;
  const frames = stack.split('\n').filter((line) => /^\s+at /.test(line));
  return {
    error: name,
    code: codeOf(error),
    message: isStatement ? 'a statement failed' : message,
    at: frames.slice(0, 6).map((line) => line.trim()),
  };
}
