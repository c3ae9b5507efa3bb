import fc from 'fast-check';
import { emptySheet, houseSheet } from '../sheet/houseSheet';
import { decisionsAsked } from '../sheet/situation';
import { allSpecies } from '../tests/catalogue';
import { anyOrderOf } from '../tests/anySheet';
import { answered, COLD, form, half, house } from '../tests/halfHog';
import { forecast } from '../forecast/forecast';
import { asksOf, readOut } from './asks';
import { findingsOf } from './findings';
import { houseWhereOpen } from './houseWhereOpen';

const job = (sheet: typeof house) => ({ situation: half, sheet, coldSides: COLD });

describe('the house’s way where a sheet is open', () => {
  it('of an empty sheet is the house standard', () => {
    const { sheet, rows, open } = houseWhereOpen(job(emptySheet(half)));
    expect(sheet.answers).toEqual(houseSheet(half).answers);
    expect(rows).toEqual(decisionsAsked(half).map(({ id }) => id));
    expect(open).toEqual([]);
  });

  it('of a complete sheet changes nothing', () => {
    const own = answered(house, 'butt', form('butt', 'steaks'));
    expect(houseWhereOpen(job(own))).toEqual({ sheet: own, rows: [], open: [] });
  });

  it('gives up the wish of a clash, not what holds the piece', () => {
    const both = answered(house, 'back-ribs', form('back-ribs', 'slab'));
    const { sheet, rows } = houseWhereOpen(job(both));
    expect(rows).toHaveLength(1);
    expect(sheet.answers['center-loin']).toEqual(both.answers['center-loin']);
  });

  it('a batch that cannot be made becomes the house’s grind', () => {
    const line = { recipe: 'country', form: 'bulk', amount: { kind: 'rest' }, packWeight: 1000 } as never;
    const small = { kind: 'weight', weight: 1000 } as never;
    const seasoned = half.species.recipes.find((recipe) => recipe.seasoned)!.id;
    const lines = [
      { ...(line as object), recipe: seasoned, amount: small },
      { ...house.grind.lines[0]! },
    ] as never;
    const { sheet, rows, open } = houseWhereOpen(job({ ...house, grind: { ...house.grind, lines } }));
    expect([sheet.grind, rows, open]).toEqual([house.grind, ['grind'], []]);
  });

  it.each(allSpecies().map((species) => [species.id, species] as const))(
    'whatever stands on a sheet of %s: nothing stays open, and what was not open stays',
    (_, species) => {
      fc.assert(
        fc.property(
          anyOrderOf(species),
          fc.double({ min: 0, max: 1, noNaN: true }),
          ({ situation, sheet: full, coldSides }, kept) => {
            const all = Object.entries(full.answers);
            const answers = Object.fromEntries(all.slice(0, Math.round(all.length * kept)));
            const sheet = { ...full, answers };
            const taken = houseWhereOpen({ situation, sheet, coldSides });
            for (const [id, answer] of Object.entries(sheet.answers)) {
              if (!taken.rows.includes(id)) expect(taken.sheet.answers[id]).toEqual(answer);
            }
            const house = houseSheet(situation);
            const ofHouse = findingsOf(
              { situation, sheet: house, coldSides },
              forecast(situation, house, coldSides),
            ).filter((finding) => finding.blocks);
            if (ofHouse.length === 0) expect(taken.open).toEqual([]);
          },
        ),
        { numRuns: 25, seed: 11 },
      );
    },
  );
});

describe('what there is to ask', () => {
  const findings = (sheet: typeof house) => findingsOf(job(sheet), forecast(half, sheet, COLD));

  it('is a question with its choices, and what the house would do', () => {
    const { butt: _, ...answers } = house.answers;
    const [ask] = asksOf(half, findings({ ...house, answers }));
    expect(ask).toMatchObject({ decision: 'butt', title: 'Butt', waits: true });
    expect(ask!.words).toMatch(/^Butt: .+ or .+\?$/);
    expect(ask!.house).toBe('roast, bone-in. The favourite slow roast.');
  });

  it('of a sheet on which nothing stands is not read out row by row', () => {
    const asks = asksOf(half, findings(emptySheet(half)));
    const { asks: read, more } = readOut(asks);
    expect(read).toEqual([]);
    expect(more).toBe(`${asks.length} rows are open: go through the sheet with them.`);
  });
});
