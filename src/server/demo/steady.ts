import { createHash } from 'node:crypto';

/** An id that is the same each time for the same words, so that the demo can be described. */
export function steadyId(words: string): string {
  const hex = createHash('sha256').update(words).digest('hex');
  return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-4${hex.slice(13, 16)}-a${hex.slice(17, 20)}-${hex.slice(20, 32)}`;
}

/** From -1 to 1, the same for the same words: how far a weighing lies beside its forecast. */
export function steadyNoise(words: string): number {
  return createHash('sha256').update(words).digest().readUInt16BE(0) / 32_767.5 - 1;
}
