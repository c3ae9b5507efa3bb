import { createHmac, timingSafeEqual } from 'node:crypto';
import type { ScaleReading, SignedReading } from '@/core/scale/reading';

/** What is signed: every word of the reading, in one order. */
function spoken(reading: ScaleReading, takenAt: string): string {
  const { scaleId, loadId, gross, tare, net, unit, state, found } = reading;
  const known = [scaleId, loadId, gross, tare, net, unit, state, takenAt];
  return JSON.stringify(found ? [...known, 'found'] : known);
}

function macOf(words: string, key: string): Buffer {
  return createHmac('sha256', key).update(words).digest();
}

/**
 * Signs a reading with the shop's own key.
 *
 * @throws RangeError when there is no key
 */
export function signReading(reading: ScaleReading, takenAt: Date, key: string): SignedReading {
  if (key === '') throw new RangeError('"key" expected the key of the shop, got nothing');
  const at = takenAt.toISOString();
  return { ...reading, takenAt: at, signature: macOf(spoken(reading, at), key).toString('base64url') };
}

/** Whether a reading is as it left the shop. Without a key nothing is. */
export function isGenuine({ signature, takenAt, ...reading }: SignedReading, key: string): boolean {
  if (key === '') return false;
  const given = Buffer.from(signature, 'base64url');
  const right = macOf(spoken(reading, takenAt), key);
  return given.length === right.length && timingSafeEqual(given, right);
}
