import { COLD, half, house } from '../tests/halfHog';
import { weight, type Weight } from '../quantity/weight';
import { forecast } from './forecast';
import { odditiesOf } from './oddities';
import type { Forecast, ForecastLine } from './types';

const sound = forecast(half, house, COLD);

/** The same forecast with one line that says something else. */
function withLine(cut: RegExp, change: Partial<ForecastLine>): Forecast {
  return { ...sound, lines: sound.lines.map((line) => (cut.test(line.cut) ? { ...line, ...change } : line)) };
}

describe('what nobody would believe of a forecast', () => {
  it('is nothing of a sound one', () => {
    expect(odditiesOf(sound, 'lb')).toEqual([]);
  });

  it.each<[string, RegExp, Partial<ForecastLine>, RegExp]>([
    ['weight in no pack', /^Butt roast/, { packs: 0 }, /^Butt roast, bone-in: 7\.63 lb in no pack/],
    ['weight in no piece', /^Butt roast/, { pieces: 0 }, /in no piece/],
    ['crumbs', /^Rib and loin chops/, { pieces: 4000 }, /4000 pieces of 0\.00 lb/],
    ['more packs than pieces', /^Butt roast/, { packs: 3 }, /3 packs of 2 pieces/],
    [
      'packs of dust',
      /^Bacon, smoked/,
      { packs: 40 },
      /^Bacon, smoked, sliced: 40 packs of 0\.2\d lb for 1\.00 lb each/,
    ],
    ['a range beside its figure', /^Butt roast/, { high: weight(1) as Weight }, /outside its own range/],
    [
      'weight that was made',
      /^Butt roast/,
      { packaged: weight(9), low: weight(8), high: weight(10) },
      /is accounted for of 91000/,
    ],
  ])('%s', (_, cut, change, sentence) => {
    expect(odditiesOf(withLine(cut, change), 'lb').join('; ')).toMatch(sentence);
  });

  it('a yield that no carcass has', () => {
    expect(odditiesOf({ ...sound, yieldBp: 9900 }, 'lb')).toContain('a yield of 99 %');
  });
});
