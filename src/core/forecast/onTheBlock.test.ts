import fc from 'fast-check';
import { anySheet, anySides, anySituation } from '../tests/anySheet';
import { forecast } from './forecast';

/** A situation, two weights of its sides and a row of sheets that share some answers, as along a telephone call. */
const anyCall = anySituation.chain((situation) =>
  fc.record({
    situation: fc.constant(situation),
    weights: fc.tuple(anySides(situation), anySides(situation)),
    sheets: fc.tuple(anySheet(situation), anySheet(situation)),
    mixed: fc.infiniteStream(fc.boolean()),
  }),
);

describe('what a side was last cut into', () => {
  it('never changes what the next sheet gives', () => {
    fc.assert(
      fc.property(anyCall, ({ situation, weights, sheets: [first, second], mixed }) => {
        const answers = Object.fromEntries(
          Object.entries(second.answers).map(([id, answer]) => [
            id,
            mixed.next().value ? (first.answers[id] ?? answer) : answer,
          ]),
        );
        for (const sheet of [first, { ...second, answers }, first]) {
          for (const coldSides of weights) {
            // A copy is made of new forms, of which nothing is known yet.
            const afresh = forecast(situation, structuredClone(sheet), coldSides);
            expect(forecast(situation, sheet, coldSides)).toEqual(afresh);
          }
        }
      }),
      { numRuns: 80, seed: 20261126 },
    );
  });
});
