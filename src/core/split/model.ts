import { limitsOf, lotsByCut } from './exchange';
import type { Lot, SplitCounts, SplitProblem } from './problem';

/**
 * The split as a mixed-integer program in LP text: packages are whole, each is given once, each party gets of every
 * cut its share rounded down or up, and z, the largest unfairness in weight or worth in percent of the whole, is as
 * small as it can be.
 *
 * @param whole - false to let packages be divided: what no split of whole ones can better
 * @param most - unfairness that is reached already, percent
 */
export function splitModel(
  { lots, parties }: SplitProblem,
  { whole, most }: { readonly whole: boolean; readonly most: number },
): string {
  const give = (lot: number, party: number) => `x${lot}_${party}`;
  const rows: string[] = lots.map(
    (lot, at) => `once${at}: ${parties.map((_, party) => give(at, party)).join(' + ')} = ${lot.packages}`,
  );
  for (const [name, measure] of [
    ['weight', (lot: Lot) => lot.weight],
    ['worth', (lot: Lot) => lot.worth],
  ] as const) {
    const all = lots.reduce((sum, lot) => sum + lot.packages * measure(lot), 0);
    if (all <= 0) continue;
    parties.forEach(({ sharePct }, party) => {
      const got = lots
        .map((lot, at) => ({ part: (100 * measure(lot)) / all, name: give(at, party) }))
        .filter(({ part }) => part > 0)
        .map(({ part, name: variable }) => `${part} ${variable}`)
        .join(' + ');
      rows.push(
        `${name}Over${party}: ${got} - z <= ${sharePct}`,
        `${name}Under${party}: ${got} + z >= ${sharePct}`,
      );
    });
  }
  [...lotsByCut(lots).values()].forEach((at, cut) => {
    const packages = at.reduce((sum, lot) => sum + lots[lot]!.packages, 0);
    parties.forEach(({ sharePct }, party) => {
      const { least, most: greatest } = limitsOf(packages, sharePct);
      const got = at.map((lot) => give(lot, party)).join(' + ');
      rows.push(
        `cut${cut}_${party}least: ${got} >= ${least}`,
        `cut${cut}_${party}most: ${got} <= ${greatest}`,
      );
    });
  });
  const variables = lots.flatMap((_, at) => parties.map((__, party) => give(at, party)));
  const bounds = lots.flatMap((lot, at) =>
    parties.map((_, party) => `0 <= ${give(at, party)} <= ${lot.packages}`),
  );
  return [
    'Minimize',
    ' obj: z',
    'Subject To',
    ...rows.map((row) => ` ${row}`),
    'Bounds',
    ` 0 <= z <= ${most}`,
    ...bounds.map((bound) => ` ${bound}`),
    ...(whole ? ['General', ...variables.map((variable) => ` ${variable}`)] : []),
    'End',
    '',
  ].join('\n');
}

/** The counts that a solver found, from the values of its variables. */
export function readSplit(
  { lots, parties }: SplitProblem,
  values: Readonly<Record<string, number>>,
): SplitCounts {
  return lots.map((_, lot) => parties.map((__, party) => Math.round(values[`x${lot}_${party}`] ?? 0)));
}
