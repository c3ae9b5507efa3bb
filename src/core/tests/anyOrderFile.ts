import fc from 'fast-check';

/** Values that people and programs put where they do not belong. */
const ODD = [
  null,
  '',
  'x',
  '2026-02-30',
  'rest',
  -1,
  0,
  0.5,
  1,
  2001,
  1e9,
  true,
  [],
  {},
  { weight: -1 },
] as const;

type Json = null | boolean | number | string | Json[] | { [key: string]: Json };

function placesIn(value: Json, path: readonly string[] = []): string[][] {
  if (value === null || typeof value !== 'object') return [[...path]];
  const inside = Object.entries(value).flatMap(([key, each]) => placesIn(each as Json, [...path, key]));
  return [[...path], ...inside];
}

function withChange(file: Json, path: readonly string[], change: { take: true } | { put: Json }): Json {
  const [step, ...rest] = path;
  if (step === undefined) return 'put' in change ? change.put : {};
  const copy = structuredClone(file) as { [key: string]: Json };
  if (rest.length > 0) copy[step] = withChange(copy[step]!, rest, change);
  else if ('put' in change) copy[step] = change.put;
  else if (Array.isArray(copy)) copy.splice(Number(step), 1);
  else delete copy[step];
  return copy;
}

/** An order file with one thing wrong, or harmlessly other, somewhere in it. */
export function almost(file: unknown): fc.Arbitrary<unknown> {
  return fc
    .tuple(
      fc.constantFrom(...placesIn(file as Json)),
      fc.oneof(
        fc.constant({ take: true as const }),
        fc.constantFrom(...ODD).map((put) => ({ put: structuredClone(put) as Json })),
      ),
    )
    .map(([path, change]) => withChange(file as Json, path, change));
}
