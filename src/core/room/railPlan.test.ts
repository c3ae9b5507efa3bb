import fc from 'fast-check';
import { feetUsed, fits, railPlan, type Rail, type ToHang } from './railPlan';

const RAILS: readonly Rail[] = [
  { id: 'north', name: 'North rail', feet: 40 },
  { id: 'south', name: 'South rail', feet: 24 },
];

const anySides = fc
  .array(
    fc.record({
      feet: fc.constantFrom(1, 1.25, 2.25),
      at: fc.option(
        fc.record({
          rail: fc.constantFrom('north', 'south', 'gone'),
          foot: fc.integer({ min: -2, max: 45 }),
        }),
        { nil: undefined },
      ),
    }),
    { maxLength: 50 },
  )
  .map((sides): ToHang[] =>
    sides.map(({ at, ...side }, id) => ({ id: String(id), ...side, ...(at ? { at } : {}) })),
  );

describe('a plan of the rails', () => {
  it('hangs every side once, none over another, none beyond the rail, or says that there is no room', () => {
    fc.assert(
      fc.property(anySides, (sides) => {
        const { rails, without } = railPlan(RAILS, sides);
        const ids = [...rails.flatMap(({ hung }) => hung.map(({ id }) => id)), ...without];
        expect([...ids].sort()).toEqual(sides.map(({ id }) => id).sort());
        for (const { rail, hung } of rails) {
          hung.forEach((each, at) => {
            const others = hung.filter((_, other) => other !== at);
            expect(fits(rail, others, each)).toBe(true);
          });
          expect(feetUsed(hung)).toBeLessThanOrEqual(rail.feet + 1e-6);
        }
      }),
    );
  });

  it('leaves a side without a place only where no gap takes it', () => {
    fc.assert(
      fc.property(anySides, (sides) => {
        const { rails, without } = railPlan(RAILS, sides);
        for (const id of without) {
          const { feet } = sides.find((side) => side.id === id)!;
          for (const { rail, hung } of rails) {
            const starts = [0, ...hung.map((each) => each.from + each.feet)];
            expect(starts.some((from) => fits(rail, hung, { from, feet }))).toBe(false);
          }
        }
      }),
    );
  });

  it('hangs what somebody has hung where it was hung, the first come first', () => {
    const said = { id: '1', feet: 2, at: { rail: 'south', foot: 10 } };
    const over = { id: '2', feet: 2, at: { rail: 'south', foot: 11 } };
    const { rails } = railPlan(RAILS, [said, over]);
    expect(rails[1]!.hung).toEqual([{ id: '1', from: 10, feet: 2, said: true }]);
    expect(rails[0]!.hung).toEqual([{ id: '2', from: 0, feet: 2, said: false }]);
  });
});
