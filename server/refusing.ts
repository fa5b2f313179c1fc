/** How questions to the server are refused: too many in a minute, or one that cannot be read. */
import type { Response } from 'express';
import { rateLimit } from 'express-rate-limit';
import type * as z from 'zod/mini';
import { issueFaults } from '../core/base/issues';

/** At most so many questions of one address in a minute. */
export const atMostAMinute = (limit: number) =>
  rateLimit({
    windowMs: 60_000,
    limit,
    standardHeaders: true,
    legacyHeaders: false,
    message: { errors: [{ field: 'request', message: `at most ${limit} questions a minute` }] },
  });

/** Says of each field what would be right. */
export function refuse(response: Response, { issues }: z.core.$ZodError): void {
  response.status(400).json({ errors: issueFaults(issues) });
}
