import { performance } from 'node:perf_hooks';
import { forecast } from '@/core/forecast/forecast';
import { sausageBudget } from '@/core/forecast/sausageBudget';
import { learn, type Outcome } from '@/core/experience/experience';
import { searchCuts } from '@/core/names/searchCuts';
import { weight } from '@/core/quantity/weight';
import { drawForecast } from '@/core/ranges/drawForecast';
import { judge } from '@/core/questions/evaluate';
import { ZERO_CENTS } from '@/core/quantity/money';
import { formOf, houseSheet, withAnswer } from '@/core/sheet/houseSheet';
import { decisionById, type Situation } from '@/core/sheet/situation';
import { speciesIn } from '@/core/catalogue/catalogue';
import { demoPrices } from '@/core/tests/prices';
import { readCatalogue } from '@/data/catalogue';
import { splitPackages } from '@/core/split/splitPackages';

/** Runs before the clock counts, so that the engine has compiled what it runs. */
const WARM_UP_MS = 500;
const MEASURED_MS = 1500;
/** Calls of something slow that are enough to know its median. */
const SLOW_CALLS = 3;

type Measured = { median: number; p95: number; calls: number };

function sorted(taken: number[]): Measured {
  taken.sort((a, b) => a - b);
  const at = (part: number) => taken[Math.floor(part * (taken.length - 1))]!;
  return { median: at(0.5), p95: at(0.95), calls: taken.length };
}

/** Milliseconds that one call takes: median and 95th percentile over a second and a half of calls. */
function measure(call: () => unknown): Measured {
  for (const until = performance.now() + WARM_UP_MS; performance.now() < until;) call();
  const taken: number[] = [];
  for (const until = performance.now() + MEASURED_MS; performance.now() < until;) {
    const start = performance.now();
    call();
    taken.push(performance.now() - start);
  }
  return sorted(taken);
}

/** The same for what takes a second or more. */
async function measureSlow(call: () => unknown): Promise<Measured> {
  const taken: number[] = [];
  for (let i = 0; i < SLOW_CALLS; i += 1) {
    const start = performance.now();
    await call();
    taken.push(performance.now() - start);
  }
  return sorted(taken);
}

function print(name: string, { median, p95, calls }: Measured): void {
  const ms = (value: number) => (value < 10 ? value.toFixed(3) : value.toFixed(0));
  process.stdout.write(
    `${name.padEnd(58)} median ${ms(median).padStart(7)} ms  p95 ${ms(p95).padStart(7)} ms  (${calls} calls)\n`,
  );
}

const catalogue = readCatalogue();
const priceList = demoPrices.at(-1)!;

/** One answer of a side changed at a time, as on the telephone. */
function sideOf(speciesId: string, decisionId: string) {
  const species = speciesIn(catalogue, speciesId);
  const situation: Situation = { species, unit: 'lb', sides: 1, addOns: [], tools: ['band-saw'] };
  const sheet = houseSheet(situation);
  const cold = [weight(species.atlas.reference.sideLb)];
  const decision = decisionById(species, decisionId);
  const changed = decision.options
    .filter((option) => !option.needsBothSides)
    .map((option) => withAnswer(sheet, decisionId, { forms: [formOf(decision, option.id, situation)] }));
  let turn = 0;
  const next = () => changed[(turn += 1) % changed.length]!;
  return { situation, sheet, cold, next };
}

/** Packages of about the usual weights and worth, the same each time. */
function packages(count: number) {
  const cuts = ['T-bone', 'rib steak', 'round steak', 'chuck roast', 'ground', 'short ribs', 'stew'];
  return Array.from({ length: count }, (_, i) => ({
    cut: cuts[i % cuts.length]!,
    packages: 1,
    weight: 900 + ((i * 7919) % 3300),
    worth: 900 + ((i * 104_729) % 8100),
  }));
}

function outcomes(count: number): Outcome[] {
  return Array.from({ length: count }, (_, i) => ({
    cut: `cut ${i % 25}`,
    expected: 10,
    packed: 9 + ((i * 7919) % 200) / 100,
    relativeSd: 0.05,
  }));
}

async function main(): Promise<void> {
  for (const [species, decision] of [
    ['beef', 'chuck'],
    ['hog', 'butt'],
    ['lamb', 'leg'],
  ] as const) {
    const { situation, cold, next } = sideOf(species, decision);
    print(
      `forecast of a side of ${species}, one answer changed`,
      measure(() => forecast(situation, next(), cold)),
    );
    const ground = {
      situation,
      coldSides: cold,
      priceList,
      bill: {
        animal: { species, hot: cold[0]! },
        hot: cold[0]!,
        headSplit: { parts: [1, 1], index: 0 },
        deposit: ZERO_CENTS,
      },
    };
    print(
      `the same with its questions and its bill`,
      measure(() => judge(ground, next())),
    );
  }
  const { situation, sheet, cold } = sideOf('beef', 'chuck');
  const expected = forecast(situation, sheet, cold);
  print(
    '10 sides of beef, one after the other',
    measure(() => {
      for (let i = 0; i < 10; i += 1) forecast(situation, sheet, cold);
    }),
  );
  let lb = 300;
  print(
    'forecast of a beef carcass seen for the first time',
    measure(() => {
      lb = lb > 450 ? 300 : lb + 0.37;
      return forecast(situation, sheet, [weight(lb)]);
    }),
  );
  print(
    'sausage budget of beef with every sacrifice',
    measure(() => sausageBudget({ situation, sheet, coldSides: cold }, expected)),
  );
  for (const draws of [10_000, 100_000]) {
    print(
      `${draws} draws of a side of beef`,
      await measureSlow(() => drawForecast({ situation, sheet, coldSides: cold }, { draws, seed: 1 })),
    );
  }
  for (const count of [150, 1500]) {
    const parties = ['A', 'B', 'C', 'D'].map((name) => ({ name, sharePct: 25 }));
    const lots = packages(count);
    print(`${count} packages split four ways`, await measureSlow(() => splitPackages({ lots, parties })));
    const { unfairnessPct, proven } = await splitPackages({ lots, parties });
    process.stdout.write(`${' '.repeat(58)} unfair by ${unfairnessPct.toFixed(3)} %, proven: ${proven}\n`);
  }
  for (const count of [3000, 30_000]) {
    print(
      `learning from ${count} packed lines`,
      measure(() => learn(outcomes(count), situation.species.uncertainty)),
    );
  }
  print(
    'a cut found by a misspelt word',
    measure(() => searchCuts(situation.species, 'new york stirp')),
  );
}

void main();
