import { randomBytes } from 'node:crypto';

/** What opens a link to whoever holds it: 192 bits. */
export const newToken = (): string => randomBytes(24).toString('base64url');
