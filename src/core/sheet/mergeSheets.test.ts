import fc from 'fast-check';
import { anySheet, anySituation } from '../tests/anySheet';
import { mergeSheets, withRowsOf } from './mergeSheets';
import type { Sheet } from './types';

/** Three sheets of one situation: what two people began with, and what each made of it. */
const anyThree = anySituation.chain((situation) =>
  fc
    .tuple(anySheet(situation), anySheet(situation), anySheet(situation))
    // As they come from the browser's store and from the house.
    .map((sheets) => JSON.parse(JSON.stringify(sheets)) as [Sheet, Sheet, Sheet]),
);

/** The sheet with some of the rows of another one. */
function withSome(base: Sheet, other: Sheet, rows: readonly string[]): Sheet {
  return withRowsOf(
    base,
    other,
    rows.map((row) => ({ row })),
  );
}

describe('two people on one sheet', () => {
  it('lose nothing where they answered different rows, whoever is first', () => {
    fc.assert(
      fc.property(anyThree, ([base, a, b]) => {
        const rows = Object.keys(base.answers).map((id) => `answers.${id}`);
        const [mine, theirs] = [
          withSome(base, a, [...rows.filter((_, at) => at % 2 === 0), 'wrap']),
          withSome(base, b, [...rows.filter((_, at) => at % 2 === 1), 'grind']),
        ];
        const merged = mergeSheets(base, mine, theirs);
        expect(merged.clashes).toEqual([]);
        expect(merged.sheet).toEqual(mergeSheets(base, theirs, mine).sheet);
        rows.forEach((row, at) => {
          const id = row.split('.')[1]!;
          expect(merged.sheet.answers[id]).toEqual((at % 2 === 0 ? mine : theirs).answers[id]);
        });
        expect([merged.sheet.wrap, merged.sheet.grind]).toEqual([mine.wrap, theirs.grind]);
      }),
      { numRuns: 60 },
    );
  });

  it('who changed nothing takes what the other says, and the same twice is no clash', () => {
    fc.assert(
      fc.property(anyThree, ([base, other]) => {
        expect(mergeSheets(base, base, other)).toEqual({ sheet: other, clashes: [] });
        expect(mergeSheets(base, other, base)).toEqual({ sheet: other, clashes: [] });
        expect(mergeSheets(base, other, other)).toEqual({ sheet: other, clashes: [] });
      }),
      { numRuns: 60 },
    );
  });

  it('are asked where they answered one row otherwise; mine stands meanwhile, and theirs can be taken', () => {
    fc.assert(
      fc.property(anyThree, ([base, mine, theirs]) => {
        const { sheet, clashes } = mergeSheets(base, mine, theirs);
        for (const { row } of clashes) {
          const [name, id] = row.split('.') as [keyof Sheet, string | undefined];
          const of = (said: Sheet) =>
            id === undefined ? said[name] : (said[name] as Record<string, unknown>)[id];
          expect(of(sheet)).toEqual(of(mine));
          expect(of(mine)).not.toEqual(of(theirs));
        }
        expect(withRowsOf(sheet, theirs, clashes)).toEqual(
          withRowsOf(mergeSheets(base, theirs, mine).sheet, theirs, clashes),
        );
      }),
      { numRuns: 60 },
    );
  });

  it('a row that one of them emptied is empty', () => {
    const base = {
      species: 'hog',
      answers: { ham: { forms: [] } },
      secondSide: {},
      keeps: {},
    } as unknown as Sheet;
    const mine = { ...base, answers: {} };
    expect(mergeSheets(base, mine, base).sheet.answers).toEqual({});
    expect(withRowsOf(base, mine, [{ row: 'answers.ham' }]).answers).toEqual({});
  });
});
