import fc from 'fast-check';
import { forecast } from '../forecast/forecast';
import { weight, type Weight } from '../quantity/weight';
import { houseSheet } from '../sheet/houseSheet';
import { decisionsAsked, type Situation } from '../sheet/situation';
import { speciesById } from '../tests/catalogue';
import { PARTS, quarterOfPart, sharesProblem, sidesOfPart, type PartShare } from './parts';

const beef = speciesById('beef');

describe('shares of an animal', () => {
  it.each<[string, PartShare[], string | undefined]>([
    ['two halves', [{ part: 'left' }, { part: 'right' }], undefined],
    [
      'a half and two quarters',
      [{ part: 'left' }, { part: 'right-fore' }, { part: 'right-hind' }],
      undefined,
    ],
    ['one quarter alone', [{ part: 'left-hind' }], undefined],
    ['a side in four', [1, 2, 3, 4].map(() => ({ part: 'left', sharePct: 25 })), undefined],
    ['a side twice', [{ part: 'left' }, { part: 'left' }], 'Left is given twice.'],
    ['a whole and a side', [{ part: 'whole' }, { part: 'left' }], 'Left fore is given twice.'],
    ['a side and its quarter', [{ part: 'right' }, { part: 'right-hind' }], 'Right hind is given twice.'],
    [
      'three thirds short',
      [
        { part: 'left', sharePct: 33 },
        { part: 'left', sharePct: 33 },
      ],
      'The shares of left add up to 66 %, not 100.',
    ],
  ])('%s', (_, shares, problem) => {
    expect(sharesProblem(beef, shares)).toBe(problem);
  });

  it('a hog is not quartered', () => {
    expect(sharesProblem(speciesById('hog'), [{ part: 'left-fore' }])).toMatch(/A hog is not quartered/);
  });

  it('every part has its sides and quarter', () => {
    expect(PARTS.map((part) => [sidesOfPart(part).length, quarterOfPart(part)])).toEqual([
      [2, 'side'],
      [1, 'side'],
      [1, 'side'],
      [1, 'fore'],
      [1, 'hind'],
      [1, 'fore'],
      [1, 'hind'],
    ]);
  });
});

describe('the quarters of a side of beef', () => {
  const situation = (part: Situation['part']): Situation => ({
    species: beef,
    unit: 'lb',
    sides: 1,
    addOns: [],
    tools: ['band-saw'],
    ...(part ? { part } : {}),
  });
  const result = (part: Situation['part'], cold: Weight) =>
    forecast(situation(part), houseSheet(situation(part)), [cold]);

  it('weigh a little over half and a little under', () => {
    const side = result(undefined, weight(375));
    const [fore, hind] = [result('fore', weight(195)), result('hind', weight(180))];
    expect(fore.lines.map((line) => line.cut)).toContain('Rib steaks, bone-in');
    expect(hind.lines.map((line) => line.cut)).not.toContain('Rib steaks, bone-in');
    const cuts = (lines: typeof side.lines) =>
      lines.filter((line) => line.kind === 'cut').reduce((sum, line) => sum + line.packaged, 0);
    expect(Math.abs(cuts(fore.lines) + cuts(hind.lines) - cuts(side.lines))).toBeLessThan(300);
  });

  it('are asked only about what they hold', () => {
    const asked = (part: Situation['part']) => decisionsAsked(situation(part)).map((decision) => decision.id);
    expect(asked('fore')).toContain('brisket');
    expect(asked('hind')).not.toContain('brisket');
    expect(new Set([...asked('fore'), ...asked('hind')])).toEqual(new Set(asked(undefined)));
  });

  it('whatever they weigh have cuts of the same length as their side', () => {
    fc.assert(
      fc.property(fc.integer({ min: 250, max: 480 }), (lb) => {
        const steaks = (f: ReturnType<typeof result>) =>
          f.lines.find((line) => line.cut === 'Rib steaks, bone-in')?.pieces;
        expect(steaks(result('fore', weight(lb * 0.52)))).toBe(steaks(result(undefined, weight(lb))));
      }),
      { numRuns: 40 },
    );
  });
});
