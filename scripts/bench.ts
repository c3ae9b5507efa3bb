import { performance } from 'node:perf_hooks';
import { forecast } from '@/core/forecast/forecast';
import { sausageBudget } from '@/core/forecast/sausageBudget';
import { weight } from '@/core/quantity/weight';
import { findingsOf } from '@/core/sheet/findings';
import { formOf, houseSheet, withAnswer } from '@/core/sheet/houseSheet';
import { decisionById, type Situation } from '@/core/sheet/situation';
import { speciesById } from '@/core/species/registry';

/** Runs before the clock counts, so that the engine has compiled what it runs. */
const WARM_UP_MS = 500;
const MEASURED_MS = 1500;

/** Milliseconds that one call takes: median and 95th percentile over a second and a half of calls. */
function measure(call: () => unknown): { median: number; p95: number; calls: number } {
  for (const until = performance.now() + WARM_UP_MS; performance.now() < until;) call();
  const taken: number[] = [];
  for (const until = performance.now() + MEASURED_MS; performance.now() < until;) {
    const start = performance.now();
    call();
    taken.push(performance.now() - start);
  }
  taken.sort((a, b) => a - b);
  const at = (part: number) => taken[Math.floor(part * (taken.length - 1))]!;
  return { median: at(0.5), p95: at(0.95), calls: taken.length };
}

const species = speciesById('hog');
const half: Situation = { species, unit: 'lb', sides: 1, addOns: [], tools: ['band-saw'] };
const sheet = houseSheet(half);
const cold = [weight(91)];
const expected = forecast(half, sheet, cold);
const butt = decisionById(species, 'butt');
const changed = ['roast', 'steaks', 'grind'].map((option) =>
  withAnswer(sheet, 'butt', { forms: [formOf(butt, option, half)] }),
);
let turn = 0;

const rows: [string, () => unknown][] = [
  [
    'forecast of a half hog, one answer changed',
    () => forecast(half, changed[(turn += 1) % changed.length]!, cold),
  ],
  ['forecast, questions and clashes', () => findingsOf(half, sheet, cold, forecast(half, sheet, cold))],
  ['sausage budget with every sacrifice', () => sausageBudget(half, sheet, cold, expected)],
];
for (const [name, call] of rows) {
  const { median, p95, calls } = measure(call);
  process.stdout.write(
    `${name.padEnd(46)} median ${median.toFixed(3)} ms  p95 ${p95.toFixed(3)} ms  (${calls} calls)\n`,
  );
}
