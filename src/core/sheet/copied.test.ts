import fc from 'fast-check';
import { anySheet } from '../tests/anySheet';
import { half, whole } from '../tests/halfHog';
import { withRowsAs } from './copied';

const pairs = fc
  .constantFrom(half, whole)
  .chain((situation) => fc.tuple(anySheet(situation), anySheet(situation)))
  .chain(([mine, theirs]) => {
    const rows = [...new Set([...Object.keys(mine.answers), ...Object.keys(theirs.answers)])];
    return fc.record({ mine: fc.constant(mine), theirs: fc.constant(theirs), rows: fc.subarray(rows) });
  });

describe('a sheet with some rows as another one has them', () => {
  it('has these as the other, on both sides, and all else as it was', () => {
    fc.assert(
      fc.property(pairs, ({ mine, theirs, rows }) => {
        const made = withRowsAs(mine, theirs, new Set(rows));
        for (const part of ['answers', 'secondSide'] as const) {
          for (const id of new Set([...Object.keys(mine[part]), ...Object.keys(theirs[part])])) {
            expect(made[part][id]).toEqual((rows.includes(id) ? theirs : mine)[part][id]);
          }
        }
        expect({ ...made, answers: mine.answers, secondSide: mine.secondSide }).toEqual(mine);
      }),
    );
  });
});
