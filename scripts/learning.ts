import { parseArgs } from 'node:util';
import { readCatalogue } from '@/data/catalogue';
import { seasonFigures } from '@/core/tests/seasonFigures';

/**
 * `npm run season [-- --shops 60 --asked 12]`: simulates the seasons of many shops, each with a hand of its own, and
 * prints how good the forecasts are after none, 10, 30 and 200 finished orders, as Markdown.
 */
const { values } = parseArgs({
  options: { shops: { type: 'string', default: '60' }, asked: { type: 'string', default: '12' } },
});
const AFTER = [0, 10, 30, 200];
/** A shop that differs from the reference by so much, cut by cut: a standard deviation. */
const APART = 0.12;

const percent = (share: number) => `${(100 * share).toFixed(1)} %`;
const asked = { shops: Number(values.shops), asked: Number(values.asked), after: AFTER, seed: 1000 };
const [usual, apart]: [string[], string[]] = [[], []];
for (const species of readCatalogue().species) {
  for (const row of seasonFigures(species, asked)) {
    const inRange = [row.cuts, row.grind, row.takeHome, row.bill].map(percent).join(' | ');
    usual.push(
      `| ${species.name} | ${row.after} | ${inRange} | ${percent(row.error)} | ${percent(row.usualError)} |`,
    );
  }
  const [none, , thirty] = seasonFigures(species, { ...asked, after: AFTER.slice(0, 3), differs: APART });
  const errors = [none!.usualError, thirty!.usualError, none!.error, thirty!.error].map(percent).join(' | ');
  apart.push(`| ${species.name} | ${errors} |`);
}
process.stdout.write(
  `${values.shops} shops, ${values.asked} animals asked at each point\n\n` +
    '| species | finished | cuts in their range | grind | take-home | bill | mean error of a cut | of its usual |\n' +
    `|---|---|---|---|---|---|---|---|\n${usual.join('\n')}\n\n` +
    `A shop whose usual lies ${percent(APART)} beside the reference, cut by cut:\n\n` +
    '| species | error of a usual, none finished | 30 finished | error of a cut, none | 30 |\n' +
    `|---|---|---|---|---|\n${apart.join('\n')}\n`,
);
