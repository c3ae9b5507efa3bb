import fc from 'fast-check';
import { emptyPlatform, nextWeight, placeAgain, placeLoad, shake, takeTare, type Platform } from './platform';
import { heardOf, identityLine, weightLine, type SaidWeight } from './scaleWords';

/** Reads the platform so many times and gives the last reading. */
function settle(platform: Platform, readings = 6): { platform: Platform; said: SaidWeight } {
  let next = nextWeight(platform, 0.5);
  for (let i = 1; i < readings; i += 1) next = nextWeight(next.platform, 0.5);
  return next;
}

const empty = emptyPlatform('bench', 'lb');

describe('the simulated platform', () => {
  it('moves before it is steady, and shows divisions of a hundredth', () => {
    const placed = placeLoad(empty, 2_943);
    expect(nextWeight(placed, 1).said).toMatchObject({ state: 'moving' });
    expect(nextWeight(placed, 1).said.gross).not.toBe(2_940);
    expect(settle(placed).said).toMatchObject({ state: 'steady', gross: 2_940, tare: 0 });
  });

  it('never shows less than nothing while it swings', () => {
    expect(nextWeight(placeLoad(empty, 10), -1).said.gross).toBe(0);
  });

  it('weighs net of the tare, and an empty platform clears it', () => {
    const tared = takeTare(settle(placeLoad(empty, 40)).platform) as Platform;
    expect(settle(placeLoad(tared, 1_330)).said).toMatchObject({ gross: 1_330, tare: 40 });
    expect(takeTare(settle(placeLoad(tared, 0)).platform)).toMatchObject({ tare: 0 });
  });

  it('is not tared while it moves', () => {
    expect(takeTare(placeLoad(empty, 40))).toBe('not-steady');
    expect(takeTare(shake(settle(placeLoad(empty, 40)).platform, true))).toBe('not-steady');
  });

  it('says when it is too much, and when nothing is there', () => {
    expect(settle(placeLoad(empty, 45_000)).said.state).toBe('overload');
    expect(settle(empty).said.state).toBe('empty');
  });

  it('is empty for a moment when the same weight is put on again: another piece', () => {
    let next = nextWeight(settle(placeLoad(empty, 1_000)).platform, 0);
    const states: string[] = [];
    next = nextWeight(placeAgain(next.platform, 1_000), 0);
    for (let said = 0; said < 12; said += 1) {
      states.push(next.said.state);
      next = nextWeight(next.platform, 0);
    }
    expect(states).toContain('empty');
    expect(next.said).toMatchObject({ state: 'steady', gross: 1_000 });
  });

  it('has five-gram divisions in kilograms', () => {
    expect(settle(placeLoad(emptyPlatform('bench', 'kg'), 1_483)).said).toMatchObject({
      gross: 1_485,
    });
  });
});

describe('what a scale says', () => {
  it('is read as it was said, to the division', () => {
    const state = fc.constantFrom(
      'steady' as const,
      'moving' as const,
      'empty' as const,
      'overload' as const,
    );
    const divisions = (division: number) =>
      fc.integer({ min: 0, max: 90_000 }).map((count) => count * division);
    fc.assert(
      fc.property(fc.constantFrom(5, 10, 50, 100), state, (division, said) => {
        fc.assert(
          fc.property(divisions(division), divisions(division), (gross, tare) => {
            const weight = { state: said, gross, tare };
            expect(heardOf(weightLine(weight, division))).toEqual({ weight });
          }),
          { numRuns: 5 },
        );
      }),
    );
    const identity = { scaleId: 'bench', unit: 'kg', division: 5, capacity: 15_000 } as const;
    expect(heardOf(identityLine(identity))).toEqual({ identity });
  });

  it.each(['', 'W S', 'W S 1.2 0.0', 'W S 1.29#~', 'W S -1.29 0.00', 'x W S 1.29 0.00', 'I bench lb'])(
    '"%s" is noise and not believed',
    (line) => expect(heardOf(line)).toBeUndefined(),
  );
});
