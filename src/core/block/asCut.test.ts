import { forecast } from '../forecast/forecast';
import { DEVIATION_REASONS, deviationTold, OUT, type DeviationReason } from '../order/deviation';
import { sumWeights, weight, type Weight } from '../quantity/weight';
import { houseSheet } from '../sheet/houseSheet';
import type { Job } from '../sheet/situation';
import { COLD, plainSide } from '../tests/groundOf';
import { asCut, type Done } from './asCut';

const half = (id: keyof typeof COLD): Job => {
  const situation = plainSide(id);
  return { situation, sheet: houseSheet(situation), coldSides: [weight(COLD[id])] };
};
const whole = (id: keyof typeof COLD): Job => {
  const situation = { ...plainSide(id), sides: 2 as const };
  return { situation, sheet: houseSheet(situation), coldSides: [weight(COLD[id]), weight(COLD[id] + 2)] };
};
const cut = (job: Job, done: Done): Job => {
  const result = asCut(job, done, ['left', 'right']);
  if (!result.ok) throw new Error(result.message);
  return result.value;
};
const made = ({ situation, sheet, coldSides }: Job) => forecast(situation, sheet, coldSides);
const gross = (job: Job, row: string) =>
  sumWeights(made(job).lines.flatMap((line) => (line.decision === row ? [line.gross] : [])));
const packed = (job: Job, row: string) =>
  sumWeights(made(job).lines.flatMap((line) => (line.decision === row ? [line.packaged] : [])));

const rows = [
  ['beef', 'rib'],
  ['beef', 'brisket'],
  ['hog', 'ham'],
  ['hog', 'center-loin'],
  ['lamb', 'leg'],
] as const;

describe.each(rows)('%s, %s, done otherwise', (species, row) => {
  const job = half(species);

  it('all of it to the grind: nothing of it is packed, and it is in the grind', () => {
    const done = cut(job, { hand: 'left', decision: row, doneAs: 'grind', weight: null });
    expect(gross(done, row)).toBe(0);
    expect(made(done).pool.grind).toBeGreaterThan(made(job).pool.grind + packed(job, row) / 4);
  });

  it('a pound and a half of it to the grind: so much less is packed', () => {
    const less = weight(1.5);
    const done = cut(job, { hand: 'left', decision: row, doneAs: 'grind', weight: less });
    expect(Math.abs(gross(job, row) - gross(done, row) - less)).toBeLessThan(0.35 * less);
  });

  it('a pound and a half cut away: so much leaves as waste, and every pound is somewhere', () => {
    const less = weight(1.5);
    const done = cut(job, { hand: 'left', decision: row, doneAs: OUT, weight: less });
    const [before, after] = [made(job), made(done)];
    expect(Math.abs(gross(job, row) - gross(done, row) - less)).toBeLessThan(0.1 * less);
    expect(after.losses.inedible - before.losses.inedible).toBeGreaterThanOrEqual(0.8 * less);
    const losses = Object.values(after.losses);
    expect(sumWeights([...after.lines.map((line) => line.packaged), ...losses])).toBe(
      sumWeights(job.coldSides),
    );
  });

  it('all of it cut away: nothing of it is packed or ground', () => {
    const done = cut(job, { hand: 'left', decision: row, doneAs: OUT, weight: null });
    expect(packed(done, row)).toBeLessThan(packed(job, row) / 50);
  });

  it('more than there is of it is refused in words', () => {
    const more = asCut(job, { hand: 'left', decision: row, doneAs: OUT, weight: weight(90) }, ['left']);
    expect(more).toMatchObject({ ok: false, reason: 'more-than-there-is' });
  });
});

describe('a whole animal', () => {
  const job = whole('hog');

  it('done otherwise on one side keeps what was asked on the other', () => {
    for (const hand of ['left', 'right'] as const) {
      const done = cut(job, { hand, decision: 'ham', doneAs: 'grind', weight: null });
      const left = gross(done, 'ham') / gross(job, 'ham');
      expect(left).toBeGreaterThan(0.45);
      expect(left).toBeLessThan(0.55);
      const both = cut(done, {
        hand: hand === 'left' ? 'right' : 'left',
        decision: 'ham',
        doneAs: 'grind',
        weight: null,
      });
      expect(gross(both, 'ham')).toBe(0);
    }
  });

  it('of which one side is ground already still has all of the other to say', () => {
    const left = cut(job, { hand: 'left', decision: 'ham', doneAs: 'grind', weight: null });
    const all = gross(left, 'ham');
    const most = cut(left, {
      hand: 'right',
      decision: 'ham',
      doneAs: OUT,
      weight: Math.round(all * 0.8) as Weight,
    });
    expect(Math.abs(gross(most, 'ham') - all * 0.2)).toBeLessThan(all * 0.1);
  });

  it('with a bruise on one side loses by that side alone', () => {
    const done = cut(job, { hand: 'right', decision: 'ham', doneAs: OUT, weight: null });
    expect(gross(done, 'ham') / gross(job, 'ham')).toBeCloseTo(0.5, 1);
  });
});

describe('what a household is told', () => {
  const said = {
    cut: 'top round',
    asked: 'round steaks',
    done: 'stew',
    weight: '1.4 lb' as string,
    days: 16,
    day: 'Tuesday',
  };

  it.each(Object.keys(DEVIATION_REASONS) as DeviationReason[])('%s: one polite sentence or two', (reason) => {
    const told = deviationTold(reason, said);
    expect(told).toMatch(/^[A-Z].*\.$/);
    expect(told).not.toMatch(/undefined|\{|null/);
  });

  it('a fault of ours is said first and plainly', () => {
    expect(deviationTold('miscut', said)).toMatch(/^Our cut ran off its line: 1\.4 lb meant as round steaks/);
  });
});

it('a row that the sheet does not ask is refused', () => {
  const unknown = asCut(
    half('hog'),
    { hand: 'left', decision: 'brisket', doneAs: OUT, weight: null as Weight | null },
    ['left'],
  );
  expect(unknown).toMatchObject({ ok: false, reason: 'not-on-the-sheet' });
});
