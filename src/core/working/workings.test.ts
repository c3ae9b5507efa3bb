import { forecast } from '../forecast/forecast';
import { parseWeight, weight } from '../quantity/weight';
import { houseSheet } from '../sheet/houseSheet';
import { speciesById } from '../tests/catalogue';
import { answered, COLD, form, half, house } from '../tests/halfHog';
import { grindWorking, lineWorking, takeHomeWorking } from './forecastWorkings';
import type { Working } from './working';

const expected = forecast(half, house, COLD);
const { species } = half;

/** The weights of a working with their signs, by label. */
function weights({ inputs }: Working): Map<string, number> {
  return new Map(
    inputs.flatMap(({ label, value }) => {
      const sign = value.startsWith('−') ? -1 : 1;
      const read = parseWeight(value.replace(/^[−+] /, ''), 'lb');
      return read.ok ? [[label, sign * read.value] as const] : [];
    }),
  );
}

describe('the working of a beef line', () => {
  it('adds up from the rail to the box, what packed pounds lose included', () => {
    const beef = speciesById('beef');
    const side = { ...half, species: beef };
    for (const line of forecast(side, houseSheet(side), [weight(375)]).lines.filter(
      (each) => each.kind === 'cut',
    )) {
      const { inputs } = lineWorking(line, { species: beef, unit: 'lb' });
      const value = (at: number) => Number(inputs[at]!.value.replace('−', '-').replace(/[^\d.-]/g, ''));
      const box = inputs.findIndex((input) => input.label === 'in the boxes');
      const sum = inputs.slice(0, box).reduce((total, _, at) => total + value(at), 0);
      expect(sum).toBeCloseTo(value(box), 6);
    }
  });
});

describe('the working of a line', () => {
  it.each(expected.lines.filter((line) => line.kind === 'cut').map((line) => [line.cut, line] as const))(
    '%s: what comes off the rail less what is taken off is what is in the boxes',
    (_, line) => {
      const given = weights(lineWorking(line, { species, unit: 'lb' }));
      const packed = given.get('in the boxes')!;
      const sum = [...given]
        .filter(([label]) => label !== 'in the boxes')
        .reduce((total, [, w]) => total + w, 0);
      expect(sum).toBe(packed);
      expect(packed).toBe(line.packaged);
    },
  );

  it('says the thickness that the saw dust was made at, and where the figures come from', () => {
    const chops = expected.lines.find((line) => line.decision === 'center-loin')!;
    const working = lineWorking(chops, { species, unit: 'lb' });
    expect(working.inputs.map((input) => input.label)).toContain('saw dust at 1 in');
    expect(working.source).toContain('Eight in ten are expected in the range');
  });

  it('of grind says its packs', () => {
    const grind = expected.lines.find((line) => line.kind === 'grind')!;
    expect(lineWorking(grind, { species, unit: 'lb' }).inputs).toContainEqual({
      label: 'packs',
      value: `${grind.packs} of 1.000 lb`,
    });
  });

  it('says when brine stays in instead of water leaving', () => {
    const cured = expected.lines.find((line) => line.cure !== null)!;
    const gained = { ...cured, cureLoss: -100 as never };
    const labels = lineWorking(gained, { species, unit: 'lb' }).inputs.map((input) => input.label);
    expect(labels).toContain('brine that stays in');
  });
});

describe('the working of the whole', () => {
  it('take-home: the cold weight less every loss', () => {
    const given = weights(takeHomeWorking(expected, { species, unit: 'lb' }));
    const losses = [...given].filter(([, w]) => w < 0).reduce((sum, [, w]) => sum + w, 0);
    expect(given.get('cold weight')! + losses).toBe(given.get('take-home'));
  });

  it('grind: lean, fat and what stays in the grinder', () => {
    const given = weights(grindWorking(expected, species, 'lb'));
    const made = given.get('lean trim')! + given.get('fat that goes in')! - given.get('left in the grinder')!;
    expect(Math.abs(made - given.get('grind')!)).toBeLessThanOrEqual(2);
    expect(grindWorking(expected, species, 'lb').inputs).toContainEqual({
      label: 'separable fat',
      value: '25.0 %',
    });
  });

  it('leaves out what is nothing', () => {
    const fresh = ['ham', 'belly', 'jowl', 'fore-hock', 'hind-hock'].reduce(
      (sheet, decision) => answered(sheet, decision, form(decision, 'grind')),
      house,
    );
    const labels = takeHomeWorking(forecast(half, fresh, COLD), { species, unit: 'lb' }).inputs.map(
      (each) => each.label,
    );
    expect(labels).not.toContain('cure and smoke');
  });
});
