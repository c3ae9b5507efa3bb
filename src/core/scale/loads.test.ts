import fc from 'fast-check';
import { beginWatch, loadIdOf, nextWatch, type LoadWatch } from './loads';

const DIVISION = 10;
type Said = Parameters<typeof nextWatch>[1];

const steady = (gross: number): Said => ({ state: 'steady', gross });
const moving = (gross: number): Said => ({ state: 'moving', gross });
const EMPTY: Said = { state: 'empty', gross: 0 };

const after = (said: readonly Said[], watch: LoadWatch = beginWatch('w')) =>
  said.reduce((each, next) => nextWatch(each, next, DIVISION), watch);

describe('what lies on a scale', () => {
  it('is the same load as long as it lies there, whatever the division flickers', () => {
    const first = after([EMPTY, moving(900), steady(1_290)]);
    const later = after([moving(1_310), steady(1_300), steady(1_280)], first);
    expect(loadIdOf(later)).toBe(loadIdOf(first));
    expect(later.found).toBe(false);
  });

  it('is another one when the platform was empty between, though it weighs the same', () => {
    const first = after([EMPTY, steady(1_290)]);
    expect(loadIdOf(after([EMPTY, steady(1_290)], first))).not.toBe(loadIdOf(first));
  });

  it('is another one when something was put in its place without a moment between', () => {
    const first = after([EMPTY, steady(1_290)]);
    expect(loadIdOf(after([moving(1_400), steady(2_940)], first))).not.toBe(loadIdOf(first));
  });

  it('that lay there when the watch began is said to have been found, until the platform was empty', () => {
    expect(after([steady(1_290)]).found).toBe(true);
    expect(after([steady(1_290), steady(1_290)]).found).toBe(true);
    expect(after([steady(1_290), EMPTY, steady(1_290)]).found).toBe(false);
    expect(after([EMPTY, steady(1_290)]).found).toBe(false);
  });

  it('has a name that no other load of the watch has', () => {
    const load = fc.integer({ min: 1, max: 3000 }).map((weight) => steady(weight * DIVISION));
    fc.assert(
      fc.property(fc.array(load, { maxLength: 30 }), (loads) => {
        const names: string[] = [];
        let watch = after([EMPTY]);
        for (const each of loads) {
          watch = after([each, each], watch);
          names.push(loadIdOf(watch));
          watch = after([EMPTY, EMPTY], watch);
        }
        expect(new Set(names).size).toBe(loads.length);
      }),
    );
  });
});
