import type { NextFunction, Request, Response } from 'express';

/** API replies are personal: no cache may keep them. */
export function noStore(_request: Request, response: Response, next: NextFunction): void {
  response.setHeader('Cache-Control', 'no-store');
  next();
}
