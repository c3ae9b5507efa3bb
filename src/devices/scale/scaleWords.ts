import { formatWeight, weight as weightOf, type Weight } from '@/core/quantity/weight';
import type { ScaleUnit } from '@/core/scale/reading';

/** Who a scale is, as it says when somebody connects: `I bench-4f2a lb 0.01 30.00`. */
export type ScaleIdentity = {
  readonly scaleId: string;
  readonly unit: ScaleUnit;
  /** Thousandths. */
  readonly division: number;
  readonly capacity: number;
};

export type ScaleSays = 'steady' | 'moving' | 'empty' | 'overload';

/** One reading as it is said: `W S 1.29 0.04` is steady, 1.29 gross, 0.04 of it tare. Thousandths. */
export type SaidWeight = { readonly state: ScaleSays; readonly gross: number; readonly tare: number };

const STATES = { S: 'steady', M: 'moving', Z: 'empty', O: 'overload' } as const;
type Letter = keyof typeof STATES;

const decimalsOf = (division: number) => (division % 10 === 0 ? 2 : 3);

export function identityLine({ scaleId, unit, division, capacity }: ScaleIdentity): string {
  const say = (thousandths: number) => formatWeight(thousandths as Weight, decimalsOf(division));
  return `I ${scaleId} ${unit} ${say(division)} ${say(capacity)}`;
}

export function weightLine({ state, gross, tare }: SaidWeight, division: number): string {
  const letter = (Object.keys(STATES) as Letter[]).find((each) => STATES[each] === state)!;
  const say = (thousandths: number) => formatWeight(thousandths as Weight, decimalsOf(division));
  return `W ${letter} ${say(gross)} ${say(tare)}`;
}

/** What a line of a scale says; undefined for noise on the wire, which is not believed. */
export function heardOf(
  line: string,
): { identity: ScaleIdentity } | { weight: SaidWeight } | { tare: 'taken' | 'moving' } | undefined {
  const identity = /^I ([\w-]{1,40}) (lb|kg|g) (\d+\.\d+) (\d+\.\d+)$/.exec(line);
  if (identity) {
    const [, scaleId, unit, division, capacity] = identity;
    return {
      identity: {
        scaleId: scaleId!,
        unit: unit as ScaleUnit,
        division: weightOf(Number(division)),
        capacity: weightOf(Number(capacity)),
      },
    };
  }
  const said = /^W ([SMZO]) (\d+\.\d{2,3}) (\d+\.\d{2,3})$/.exec(line);
  if (said) {
    const [, letter, gross, tare] = said;
    return {
      weight: {
        state: STATES[letter as Letter],
        gross: weightOf(Number(gross)),
        tare: weightOf(Number(tare)),
      },
    };
  }
  const tare = /^T (OK|NO)$/.exec(line);
  return tare ? { tare: tare[1] === 'OK' ? 'taken' : 'moving' } : undefined;
}
