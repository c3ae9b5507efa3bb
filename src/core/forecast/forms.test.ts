import fc from 'fast-check';
import { weight } from '../quantity/weight';
import { formOf, houseSheet, withAnswer } from '../sheet/houseSheet';
import { decisionById, optionById, whyNotOffered, type Situation } from '../sheet/situation';
import type { Amount, Form } from '../sheet/types';
import type { Decision, Option } from '../species/types';
import type { AmountDocument, FormDocument } from '../order/document';
import { allSpecies } from '../tests/catalogue';
import { caseFindings, caseLines } from '../tests/caseOrder';
import { forecast } from './forecast';

const tomahawks = { option: 'cowboy', amount: { pieces: 2 } };

describe('two forms of one zone', () => {
  it('half boneless, the rest chops: the bones of the boned half are not on the chops', () => {
    const halves = (first: string, second: string) =>
      caseLines(
        {
          species: 'hog',
          answers: {
            'center-loin': [{ option: first, amount: { sharePct: 50 } }, { option: second }],
          },
        },
        'center-loin',
      );
    const [boneless, chops] = halves('boneless', 'chops');
    expect(chops!.lb / chops!.pieces!).toBeCloseTo(0.68, 1);
    expect(halves('chops', 'boneless')).toEqual([chops, boneless]);
  });

  it('half strip, the rest T-bones: half the tenderloin, and porterhouses among them', () => {
    const [strip, tBones] = caseLines(
      {
        species: 'beef',
        answers: { 'short-loin': [{ option: 'strip', amount: { sharePct: 50 } }, { option: 't-bone' }] },
      },
      'short-loin',
    );
    const [all] = caseLines({ species: 'beef' }, 'short-loin');
    expect(tBones!.lb).toBeCloseTo(all!.lb / 2, 1);
    expect(strip!.pieces).toBe(7);
    expect(tBones!.names.map((each) => each.name)).toContain('Porterhouse');
  });

  it('so many cuts by the bone are whole bones', () => {
    const [cowboy, steaks] = caseLines(
      { species: 'beef', answers: { rib: [tomahawks, { option: 'steaks' }] } },
      'rib',
    );
    expect(cowboy).toMatchObject({ pieces: 2, packs: 2 });
    expect(cowboy!.lb).toBeCloseTo((19.148 * 2) / 7, 0);
    expect(steaks!.pieces).toBe(9);
  });

  it('a share of the rib as a roast is a share of its ribs', () => {
    const rib = (pct: number) =>
      caseLines(
        {
          species: 'beef',
          answers: { rib: [{ option: 'roast', amount: { sharePct: pct } }, { option: 'steaks' }] },
        },
        'rib',
      );
    const [whole] = rib(100);
    const [most, steaks] = rib(70);
    expect(most!.lb / whole!.lb).toBeCloseTo(5 / 7, 2);
    expect(most).toMatchObject({ pieces: 1, packs: 1 });
    expect(steaks!.pieces).toBe(3);
  });

  it('a roast of so many ribs leaves the others, and two roasts are twice as many', () => {
    const rib = (amount?: { pieces: number }) =>
      caseLines(
        {
          species: 'beef',
          answers: {
            rib: [
              { option: 'roast', params: { ribs: 3 }, ...(amount ? { amount } : {}) },
              { option: 'steaks' },
            ],
          },
        },
        'rib',
      );
    expect(rib({ pieces: 2 })[0]!.lb).toBeCloseTo(2 * rib()[0]!.lb, 1);
    expect(rib({ pieces: 2 })[0]!.pieces).toBe(2);
  });

  it('a roast of more ribs than another break leaves is of those that are there, and nothing is asked', () => {
    const few = {
      species: 'beef' as const,
      carcass: { breaks: { quarter: '10-11' } },
      answers: { rib: [{ option: 'roast', params: { ribs: 8 } }] },
    };
    expect(caseLines(few, 'rib')).toMatchObject([{ pieces: 1 }]);
    expect(caseFindings(few).map((finding) => finding.kind)).not.toContain('too-much');
  });

  it('the first inches of the chuck are steaks next to the rib', () => {
    const [steaks, roasts] = caseLines(
      {
        species: 'beef',
        answers: { chuck: [{ option: 'rib-end', amount: { inches: 4 } }, { option: 'blade' }] },
      },
      'chuck',
    );
    expect(steaks!.pieces).toBe(3);
    expect(steaks!.lb / steaks!.pieces!).toBeLessThan(3);
    expect(roasts!.pieces).toBeGreaterThanOrEqual(6);
  });

  it('so many pieces or packs are so many', () => {
    const steaks = { option: 't-bone', amount: { pieces: 2 }, params: { thickness: '1' } };
    const short = caseLines(
      { species: 'beef', answers: { 'short-loin': [steaks, { option: 'strip' }] } },
      'short-loin',
    );
    expect(short[0]).toMatchObject({ pieces: 2, packs: 1 });
    const packs = { option: 'chops', amount: { packs: 4 } };
    const loin = caseLines(
      { species: 'hog', answers: { 'center-loin': [packs, { option: 'boneless' }] } },
      'center-loin',
    );
    expect(loin[0]).toMatchObject({ pieces: 8, packs: 4 });
  });
});

describe('what is asked of a whole animal', () => {
  const roast = (amount: AmountDocument) => [{ option: 'roast', amount }, { option: 'grind' }];
  const butt = (amount: AmountDocument) =>
    caseLines({ species: 'hog', part: 'whole', answers: { butt: roast(amount) } }, 'butt');

  it('is asked once, over both its sides', () => {
    expect(butt({ weight: 4 })).toMatchObject([{ lb: 4, pieces: 1, packs: 1 }]);
    expect(butt({ pieces: 3 })).toMatchObject([{ pieces: 3, packs: 3 }]);
    const loin: FormDocument[] = [
      { option: 'chops', amount: { packs: 10 }, params: { thickness: '3/4', cure: 'cured' } },
      { option: 'chops', params: { thickness: '3/4' } },
    ];
    const [smoked] = caseLines(
      { species: 'hog', part: 'whole', sideLb: 120, answers: { 'center-loin': loin } },
      'center-loin',
    );
    expect(smoked).toMatchObject({ pieces: 20, packs: 10 });
  });

  it('unless each side is said', () => {
    expect(butt({ weight: 4, eachSide: true })).toMatchObject([{ lb: 8, pieces: 2 }]);
    expect(butt({ pieces: 1, eachSide: true })).toMatchObject([{ pieces: 2 }]);
  });

  it('is of the side that it is said of, when the other one has its own answer', () => {
    const both = caseLines(
      {
        species: 'hog',
        part: 'whole',
        answers: { butt: roast({ pieces: 2 }) },
        sheet: { secondSide: { butt: [{ option: 'grind' }] } },
      },
      'butt',
    );
    expect(both).toMatchObject([{ pieces: 2 }]);
  });
});

/** One side of a species as it usually is. */
function usualSide(species: Situation['species']) {
  const situation: Situation = { species, unit: 'lb', sides: 1, addOns: [], tools: ['band-saw'] };
  return { situation, cold: [weight(species.atlas.reference.sideLb)] };
}

/** Options of a zone that may stand beside each other and divide it by a share, as people divide one. */
function sharedOptions(decision: Decision, situation: Situation) {
  return decision.options.filter(
    (option) =>
      !option.aloneOnly &&
      !option.ownSharePct &&
      !option.fromHind &&
      !option.products.some((product) => product.lastRibs) &&
      !whyNotOffered(option, situation),
  );
}

const COUNTED = ['slices', 'discs', 'roasts', 'each'];

describe.each(allSpecies().map((species) => [species.id, species] as const))(
  'every pair of forms of %s',
  (_, species) => {
    const { situation, cold } = usualSide(species);
    const house = houseSheet(situation);
    const linesOf = (decision: Decision, ...forms: Form[]) =>
      forecast(situation, withAnswer(house, decision.id, { forms }), cold).lines.filter(
        (line) => line.decision === decision.id,
      );
    const pairs = species.decisions
      .filter((decision) => decision.divisible && !decision.needsAddOn)
      .flatMap((decision) => {
        const options = sharedOptions(decision, situation);
        return options.flatMap((first) =>
          options.flatMap((second) => (first === second ? [] : [`${decision.id} ${first.id} ${second.id}`])),
        );
      });

    it('gives each form the pieces to the pound that it gives alone, in either order', () => {
      fc.assert(
        fc.property(fc.constantFrom(...pairs), fc.integer({ min: 10, max: 90 }), (pair, pct) => {
          const [id, ...options] = pair.split(' ');
          const decision = decisionById(species, id!);
          const [first, second] = options.map((option) => optionById(decision, option)) as [Option, Option];
          const share: Amount = { kind: 'share', pct };
          const alone = new Map(
            [first, second].map((option) => [
              option.id,
              linesOf(decision, formOf(decision, option.id, situation)),
            ]),
          );
          const both = linesOf(
            decision,
            { ...formOf(decision, first.id, situation), amount: share },
            formOf(decision, second.id, situation),
          );
          const turned = linesOf(
            decision,
            { ...formOf(decision, second.id, situation), amount: { kind: 'share', pct: 100 - pct } },
            formOf(decision, first.id, situation),
          );
          for (const line of both) {
            const [, form, product] = line.key.split('.');
            const option = form === '0' ? first : second;
            const rule = option.products[Number(product)]!.pieces.kind;
            expect(line.packs).toBeGreaterThan(0);
            if (line.pieces !== null) expect(line.pieces).toBeGreaterThan(0);
            const whole = alone.get(option.id)!.find((each) => each.key === `${decision.id}.0.${product}`)!;
            const twin = turned.find((each) => each.cut === line.cut)!;
            // Whole bones may fall to the other form by one.
            if (rule !== 'discs' && both.every((each) => each.pieces === null || each.cut === line.cut)) {
              expect(Math.abs(twin.packaged - line.packaged)).toBeLessThanOrEqual(2);
            }
            if (!COUNTED.includes(rule)) continue;
            const usual = (whole.pieces! * line.packaged) / whole.packaged;
            expect(Math.abs(line.pieces! - usual)).toBeLessThanOrEqual(Math.max(1, usual / 10));
          }
        }),
        { numRuns: 400, seed: 20261126 },
      );
    });
  },
);
