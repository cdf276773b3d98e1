import {
  BadRequestException,
  ConflictException,
  HttpException,
  NotFoundException,
} from '@nestjs/common';
import { validationProblems } from '@orthokin/contract';
import { problemSentence, type Problem, type Result } from '@orthokin/core/result';
import type { ValidationError } from 'class-validator';
import { MOST_PROBLEMS } from './shape.js';

const body = (problems: readonly Problem[]) => {
  const said = problems.slice(0, MOST_PROBLEMS);
  const more = problems.length - said.length;
  return {
    message: [...said.map(problemSentence), ...(more > 0 ? [`And ${more} more.`] : [])].join(' '),
    problems: said,
  };
};

/** 400 with all problems found in a request. */
export const refuseProblems = (problems: readonly Problem[]): BadRequestException =>
  new BadRequestException(body(problems));

/** For the validation pipe: each invalid field, what was given and what is allowed. */
export const refuseInvalid = (errors: ValidationError[]): BadRequestException =>
  refuseProblems(validationProblems(errors));

/**
 * The value of a result.
 * @throws a refusal that carries the result's problem
 */
export function accepted<T>(result: Result<T>): T {
  if (result.ok) return result.value;
  throw new BadRequestException(body([result.problem]));
}

/** A refusal with problems, under another status than 400. */
export const refuseWith = (status: number, problems: readonly Problem[]): HttpException =>
  new HttpException(body(problems), status);

export const unknown = (field: string, given: string, what: string): NotFoundException =>
  new NotFoundException(body([{ field, given, allowed: `the id of ${what} of this club` }]));

export const conflict = (field: string, given: string, allowed: string): ConflictException =>
  new ConflictException(body([{ field, given, allowed }]));
