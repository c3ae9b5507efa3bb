import { createHash, randomBytes, scrypt, timingSafeEqual } from 'node:crypto';
import { promisify } from 'node:util';

const derive = promisify(scrypt) as (secret: string, salt: Buffer, length: number) => Promise<Buffer>;

const HASH_BYTES = 32;

/** Short enough to type with wet hands, long enough not to be guessed in a few tries. */
export const SHORTEST_SECRET = 10;

/** A secret as it is stored: salt and scrypt hash. */
export async function hashSecret(secret: string): Promise<string> {
  const salt = randomBytes(16);
  return `scrypt:${salt.toString('base64')}:${(await derive(secret, salt, HASH_BYTES)).toString('base64')}`;
}

export async function secretFits(secret: string, stored: string): Promise<boolean> {
  const [, salt, hash] = stored.split(':');
  const given = await derive(secret, Buffer.from(salt!, 'base64'), HASH_BYTES);
  return timingSafeEqual(given, Buffer.from(hash!, 'base64'));
}

/** Compared against when the name is unknown, so that an unknown name takes as long as a wrong secret. */
export const NOBODY = `scrypt:${Buffer.alloc(16).toString('base64')}:${Buffer.alloc(HASH_BYTES).toString('base64')}`;

/** What is kept of a session's token. */
export function tokenHash(token: string): string {
  return createHash('sha256').update(token).digest('base64');
}
