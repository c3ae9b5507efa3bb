import Fraction from 'fraction.js';
import { failure, success, type Result } from './result';

/** Exact by definition of the international inch (1959). */
export const MM_PER_IN = 25.4;

const MM_PER_CM = 10;

/** Sixteenths are the finest mark on a shop's ruler. */
const FINEST_MARK = 16;

export type LengthProblem = 'not-a-length' | 'out-of-range';

export type LengthRange = {
  readonly minIn: number;
  readonly maxIn: number;
  /** What the shop's words mean here, in inches: regular, thick, thin. */
  readonly words: Readonly<Record<string, number>>;
};

/**
 * Reads a thickness as people say it: `3/4`, `1 1/4`, `0.75`, `19 mm`, `2 cm`, `regular`.
 *
 * @param text - what was typed
 * @param range - smallest and largest sensible length in inches, and the words the shop uses
 * @returns inches, or why it cannot be one in plain words
 */
export function parseLength(text: string, range: LengthRange): Result<number, LengthProblem> {
  const said = plainFractions(text.trim().toLowerCase())
    .replace(/["”]|\s*in(ch(es)?)?\.?$/g, '')
    .replace(',', '.');
  if (Object.hasOwn(range.words, said)) return success(range.words[said]!);
  const inches = readInches(said);
  if (inches === undefined) {
    return failure('not-a-length', `"${text}" is not a thickness. Say it like 3/4, 1 1/4, 0.75 or 19 mm.`);
  }
  if (inches < range.minIn || inches > range.maxIn) {
    const limits = `${formatInches(range.minIn)} to ${formatInches(range.maxIn)}`;
    return failure('out-of-range', `${text} is outside what this cut can be: ${limits}.`);
  }
  return success(inches);
}

/** Writes ¾ and 1¼ and 1-1/4 with plain digits and a space. */
function plainFractions(said: string): string {
  return said
    .replace(/[¼-¾⅐-⅞]/g, (sign) => ` ${sign.normalize('NFKD').replace('⁄', '/')}`)
    .replace(/(\d)-(\d+\/)/, '$1 $2')
    .trim();
}

function readInches(said: string): number | undefined {
  const metric = /^(\d+(?:\.\d+)?)\s*(mm|cm)$/.exec(said);
  if (metric) return (Number(metric[1]) * (metric[2] === 'cm' ? MM_PER_CM : 1)) / MM_PER_IN;
  if (!/^(\d+\s+)?\d+\/[1-9]\d*$|^\d+(\.\d+)?$|^\.\d+$/.test(said)) return undefined;
  return new Fraction(said.startsWith('.') ? `0${said}` : said).valueOf();
}

/**
 * Shows inches as the ruler does, to the nearest sixteenth.
 *
 * @example formatInches(1.25) // => '1 1/4 in'
 * @example formatInches(0.75) // => '3/4 in'
 */
export function formatInches(inches: number): string {
  const sixteenths = Math.round(inches * FINEST_MARK);
  return `${new Fraction(sixteenths, FINEST_MARK).toFraction(true)} in`;
}
