import type { NextFunction, Request, Response } from 'express';

/** What the API answers is of people: no cache on the way keeps it. */
export function noStore(_request: Request, response: Response, next: NextFunction): void {
  response.setHeader('Cache-Control', 'no-store');
  next();
}
