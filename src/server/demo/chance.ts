import { randomLcg, randomNormal } from 'd3-random';

/** Chance with a seed: the same seed makes the same season. */
export type Chance = {
  /** From 0 up to 1. */
  readonly uniform: () => number;
  /** Around 0, with standard deviation 1. */
  readonly normal: () => number;
  readonly pick: <T>(from: readonly T[]) => T;
  /** Whether something happens that does so in this share of cases. */
  readonly happens: (share: number) => boolean;
};

export function chanceFrom(seed: number): Chance {
  const uniform = randomLcg(seed);
  return {
    uniform,
    normal: randomNormal.source(uniform)(0, 1),
    pick: (from) => from[Math.floor(uniform() * from.length)]!,
    happens: (share) => uniform() < share,
  };
}
