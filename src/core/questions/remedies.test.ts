import fc from 'fast-check';
import { forecast } from '../forecast/forecast';
import { weight } from '../quantity/weight';
import { formOf, houseSheet, withAnswer } from '../sheet/houseSheet';
import { sheetProblems } from '../sheet/sheetProblems';
import { decisionById, type Job } from '../sheet/situation';
import type { Sheet } from '../sheet/types';
import { anyOrderOf } from '../tests/anySheet';
import { speciesById } from '../tests/catalogue';
import { groundOf } from '../tests/groundOf';
import { answered, form } from '../tests/halfHog';
import type { Ground } from './evaluate';
import { findingsOf, type Finding, type FindingKind } from './findings';
import { remediesOf } from './remedies';

function lookedOver(job: Job) {
  const expected = forecast(job.situation, job.sheet, job.coldSides);
  return { expected, findings: findingsOf(job, expected) };
}

const hog = groundOf('hog');
const beef = groundOf('beef');
const house = houseSheet(hog.situation);

/** The house's sheet with one row answered otherwise. */
function on({ situation }: Ground, row: string, option: string): Sheet {
  const decision = decisionById(situation.species, row);
  return withAnswer(houseSheet(situation), row, { forms: [formOf(decision, option, situation)] });
}

/** What is said of the first finding of a kind. */
function waysAt(sheet: Sheet, kind: FindingKind, { situation, coldSides }: Ground = hog): string[] {
  const job = { situation, sheet, coldSides };
  const found = lookedOver(job);
  const finding = found.findings.find((each) => each.kind === kind);
  if (!finding) throw new Error(`no ${kind}: ${found.findings.map((each) => each.kind).join()}`);
  return remediesOf(job, finding, found).map(({ does }) => does);
}

const grindOf = (change: Partial<Sheet['grind']>): Sheet => ({
  ...house,
  grind: { ...house.grind, ...change },
});
const sausage = (pounds: number | 'rest'): Sheet['grind']['lines'][number] => ({
  ...house.grind.lines[0]!,
  recipe: 'breakfast',
  form: 'bulk',
  amount: pounds === 'rest' ? { kind: 'rest' } : { kind: 'weight', weight: weight(pounds) },
});
const rest = house.grind.lines.at(-1)!;

describe('ways out', () => {
  it('of two cuts that want one piece keep the one or the other', () => {
    expect(waysAt(answered(house, 'back-ribs', form('back-ribs', 'slab')), 'clash')).toEqual([
      'Keep center loin; back ribs: none',
      'Keep back ribs; center loin: chops, boneless',
    ]);
  });

  it('of a rest that nobody has give it to one of the forms, or to the grind', () => {
    const some = form('butt', 'roast', { amount: { kind: 'share', pct: 40 } });
    expect(waysAt(answered(house, 'butt', some), 'rest-missing')).toEqual([
      'All there is as butt roast, bone-in',
      'The rest: butt to grind',
    ]);
  });

  it('of a prized piece that goes to the grind keep it', () => {
    expect(waysAt(on(beef, 'rib', 'boneless'), 'watch', beef)).toEqual([
      expect.stringMatching(/^Back ribs: /),
      expect.stringMatching(/^Back ribs: /),
      expect.stringMatching(/^Rib: /),
    ]);
  });

  it('of a grind that is fatter than asked pick it, keep what is fattest, or take it as it comes', () => {
    const ways = waysAt(on(beef, 'neck', 'roast'), 'fat-over', beef);
    expect(ways[0]).toBe('Pick it leaner by hand');
    expect(ways.at(-1)).toMatch(/^Take it at \d+ % fat$/);
  });

  it('of a grind that is leaner than asked take it as it comes', () => {
    const ground = ['ham', 'butt', 'center-loin', 'sirloin', 'blade-end'].reduce(
      (sheet, row) => answered(sheet, row, form(row, 'grind')),
      grindOf({ fatPct: 35 }),
    );
    expect(waysAt(ground, 'fat-short')).toEqual([expect.stringMatching(/^Take it at \d+ % fat$/)]);
  });

  it('of a batch that is too small make less, give a cut up, or make it plain', () => {
    const asked = waysAt(grindOf({ lines: [sausage(40), rest] }), 'batch');
    expect(asked[0]).toMatch(/^Make \d+\.\d lb of breakfast sausage$/);
    const small = waysAt(grindOf({ lines: [sausage(4), rest] }), 'batch');
    expect(small).toContainEqual(expect.stringMatching(/^No breakfast sausage: .* instead$/));
  });

  it('there are none of what only an answer mends', () => {
    const { jowl: _open, ...answers } = house.answers;
    expect(waysAt({ ...house, answers }, 'unanswered')).toEqual([]);
  });
});

describe.each(['beef', 'hog', 'lamb'])('ways out on any %s', (id) => {
  it('mend what they are for, block nothing else, and are sheets of their species', () => {
    fc.assert(
      fc.property(anyOrderOf(speciesById(id)), (job) => {
        const found = lookedOver(job);
        const alike = (all: readonly Finding[], { kind, decision, holder }: Finding) =>
          all.filter((each) => each.kind === kind && each.decision === decision && each.holder === holder)
            .length;
        for (const finding of found.findings.filter(({ kind }) => kind !== 'unanswered').slice(0, 3)) {
          const ways = remediesOf(job, finding, found);
          expect(ways.length).toBeLessThanOrEqual(3);
          expect(new Set(ways.map(({ does }) => does)).size).toBe(ways.length);
          for (const { sheet } of ways) {
            expect(sheetProblems(job.situation, sheet)).toEqual([]);
            const after = lookedOver({ ...job, sheet });
            const blocked = (all: readonly Finding[]) => all.filter(({ blocks }) => blocks).length;
            expect(blocked(after.findings)).toBeLessThanOrEqual(blocked(found.findings));
            const isLeaner = after.expected.pool.fatPct <= found.expected.pool.fatPct - 1;
            expect(
              alike(after.findings, finding) < alike(found.findings, finding) ||
                (finding.kind === 'fat-over' && isLeaner),
            ).toBe(true);
          }
        }
      }),
      { numRuns: 12 },
    );
  });
});
