import { allSpecies } from '../tests/catalogue';
import { caseFile, caseFindings, caseForecast, caseLines, caseShop } from '../tests/caseOrder';
import { houseSheet } from '../sheet/houseSheet';
import type { Situation } from '../sheet/situation';
import type { OrderDocument } from './document';
import { forecastDocument, workOut } from './forecastDocument';
import { readOrder } from './readOrder';

const kinds = (each: Parameters<typeof caseFindings>[0]) => caseFindings(each).map((finding) => finding.kind);

describe('what is known of a carcass', () => {
  it('kidneys and their fat that stayed at the kill floor are not on the side', () => {
    const left = caseForecast({ species: 'beef', carcass: { condition: { flags: ['kidney-fat-out'] } } });
    const missing = { kidney: 1, 'kidney-pelvic-fat': 1 };
    expect(left.takeHome).toBe(
      caseForecast({ species: 'beef', carcass: { condition: { missing } } }).takeHome,
    );
    expect(left.takeHome).toBeGreaterThan(caseForecast({ species: 'beef' }).takeHome + 5);
  });

  it('a thin ewe is boned by the house and yields least of all sheep', () => {
    const yieldOf = (type?: string) =>
      caseForecast({ species: 'lamb', ...(type ? { carcass: { condition: { type } } } : {}) }).yieldPct;
    expect(yieldOf('cull-ewe')).toBeLessThan(yieldOf('mutton'));
    expect(yieldOf('mutton')).toBeLessThan(yieldOf());
  });

  it('types that differ from mate to mate have wider ranges, a measured fatness a narrower one', () => {
    const width = (condition: object) => {
      const { takeHome, takeHomeLow, takeHomeHigh } = caseForecast({
        species: 'hog',
        carcass: { condition },
      });
      return (takeHomeHigh - takeHomeLow) / takeHome;
    };
    expect(width({ type: 'heritage' })).toBeGreaterThan(1.4 * width({ type: 'lean-commercial' }));
    expect(width({ fatness: 0.95 })).toBeLessThan(width({}));
  });

  it('hangs as long as its species does where nobody says, for the face as for the shrink', () => {
    const usual = caseForecast({ species: 'beef' });
    expect(usual).toEqual(caseForecast({ species: 'beef', carcass: { condition: { daysHung: 14 } } }));
    expect(usual.losses.inedible).toBeGreaterThan(
      caseForecast({ species: 'beef', carcass: { condition: { daysHung: 0 } } }).losses.inedible,
    );
  });

  it('a break moved by a rib moves a slice and a steak or two, and loses none', () => {
    const steaks = (quarter: string) => {
      const moved = { species: 'beef' as const, carcass: { breaks: { quarter } } };
      return [caseLines(moved, 'rib')[0]!.pieces!, caseLines(moved, 'short-loin')[0]!.pieces!];
    };
    const [rib, loin] = steaks('12-13');
    const [ribMoved, loinMoved] = steaks('11-12');
    expect(rib! - ribMoved!).toBeLessThanOrEqual(2);
    expect(loinMoved! - loin!).toBeLessThanOrEqual(2);
    const uk = caseLines({ species: 'beef', carcass: { school: 'uk' } }, 'short-loin')[0]!;
    expect(uk.lb / uk.pieces!).toBeGreaterThan(0.8);
  });
});

describe('nothing prized is lost in silence', () => {
  it.each([
    ['cattle of 30 months', { carcass: { condition: { flags: ['over-30-months'] } } }],
    ['a shop without a band saw', { tools: [] }],
  ])('the house keeps the tenderloin of %s', (_, more) => {
    expect(caseLines({ species: 'beef', ...more }, 'tenderloin')[0]).toMatchObject({ pieces: 1 });
    expect(kinds({ species: 'beef', ...more })).not.toContain('watch');
  });

  it('without a band saw the small steaks of chuck and arm are kept as well', () => {
    for (const decision of ['flat-iron', 'mock-tender', 'petite-tender']) {
      expect(caseLines({ species: 'beef', tools: [] }, decision)).not.toHaveLength(0);
    }
  });

  it.each([40, 50, 70])('the tenderloin of the boned part is asked for, %d %% being T-bones', (sharePct) => {
    const answers = { 'short-loin': [{ option: 't-bone', amount: { sharePct } }, { option: 'strip' }] };
    expect(kinds({ species: 'beef', answers })).toContain('watch');
  });

  it('a hock left on a ham that does not take it is asked for', () => {
    const answers = { ham: [{ option: 'whole' }], 'hind-hock': [{ option: 'on-ham' }] };
    expect(kinds({ species: 'hog', answers })).toContain('watch');
  });

  it('a grind fatter than asked is said, with whose fat it is', () => {
    const fat = {
      species: 'beef' as const,
      carcass: { condition: { fatness: 1.2 } },
      sheet: { grind: { fatPct: 10 } },
    };
    const found = caseFindings(fat).find((finding) => finding.kind === 'fat-over');
    expect(found?.sentence).toMatch(/29 % fat, not 10 %.*plate.*keep that as cuts/);
    expect(kinds({ species: 'beef' })).not.toContain('fat-over');
  });
});

describe('packs as people make them', () => {
  it('seven hundredths of a pound over are no pack of their own', () => {
    expect(caseLines({ species: 'hog' }, 'neck-bones')[0]).toMatchObject({ packs: 1 });
  });

  it.each(allSpecies().map((species) => [species.id, species] as const))(
    'no pack of dust in a house order of %s',
    (_, species) => {
      const situation: Situation = { species, unit: 'lb', sides: 1, addOns: [], tools: ['band-saw'] };
      expect(houseSheet(situation).answers).not.toEqual({});
      const { shares } = forecastDocument(caseShop, {
        ...(caseFile({ species: 'hog' }) as OrderDocument),
        animal: { tag: 'T1', species: species.id, killDate: '2026-11-11', inspection: 'custom-exempt' },
        weights: {},
      });
      const byWeight = shares[0]!.lines.filter((line) => line.pieces === null);
      for (const { packaged, packs } of byWeight) expect(packaged - (packs - 1)).toBeGreaterThanOrEqual(0.49);
    },
  );
});

describe('what cannot be right, or is not said', () => {
  it.each([
    ['lamb' as const, 302],
    ['beef' as const, 20],
  ])('a side of %s of %d lb is asked about', (species, sideLb) => {
    const found = caseFindings({ species, sideLb }).find((finding) => finding.kind === 'weight');
    expect(found).toMatchObject({ blocks: true });
    expect(kinds({ species })).not.toContain('weight');
  });

  it('so are veal of a grown side, an eye of no animal, and a cold weight far from the hot one', () => {
    const said = (each: Parameters<typeof caseFindings>[0]) =>
      caseFindings(each).flatMap(({ kind, sentence }) => (kind === 'weight' ? [sentence] : []));
    expect(said({ species: 'beef', carcass: { condition: { type: 'veal' } } })[0]).toContain(
      'weigh 40 to 150 lb',
    );
    expect(said({ species: 'beef', sideLb: 120, carcass: { condition: { type: 'veal' } } })).toEqual([]);
    expect(said({ species: 'beef', carcass: { condition: { eyeSqIn: 40 } } })[0]).toContain(
      'An eye of 40 sq in',
    );
    expect(said({ species: 'beef', carcass: { condition: { eyeSqIn: 15 } } })).toEqual([]);
    const file = caseFile({ species: 'hog' }) as OrderDocument;
    const [worked] = workOut(caseShop, { ...file, weights: { left: { hot: 92, cold: 30 } } });
    expect(worked!.findings.map(({ sentence }) => sentence).join(' ')).toContain(
      'Cold is 67 % less than hot',
    );
  });

  it('a share without a sheet is not answered, and not all ground', () => {
    const file = caseFile({ species: 'hog' }) as OrderDocument;
    const shares = file.shares.map(({ sheet: _sheet, ...share }) => share);
    const [share] = forecastDocument(caseShop, { ...file, shares }).shares;
    expect(share).toMatchObject({ answered: false, lines: [], takeHome: 0, cold: 92 });
    expect(share!.openQuestions).toBeGreaterThan(10);
  });

  it('households that share a part have between them what the part has', () => {
    const file = caseFile({ species: 'hog' }) as OrderDocument;
    const [one] = file.shares;
    const shares = [33.4, 33.3, 33.3].map((sharePct) => ({ ...one!, sharePct }));
    const parts = forecastDocument(caseShop, { ...file, shares }).shares;
    const whole = forecastDocument(caseShop, file).shares[0]!;
    const sum = (of: (share: typeof whole) => number) => parts.reduce((total, part) => total + of(part), 0);
    expect(sum((share) => share.takeHome)).toBeCloseTo(whole.takeHome, 6);
    expect(sum((share) => share.cold)).toBeCloseTo(92, 6);
    expect(sum((share) => share.lines[1]!.packs)).toBe(whole.lines[1]!.packs);
  });

  it.each([
    [
      'a second side of a half',
      { sheet: { secondSide: { butt: [{ option: 'grind' }] } } },
      'it has no second one',
    ],
    [
      'a pack out of range',
      { answers: { 'neck-bones': [{ option: 'kept', params: { packWeight: 0.5 } }] } },
      'in a pack: 1 to 3 lb, not 0.5 lb',
    ],
    [
      'an add-on that is not there',
      { answers: { head: [{ option: 'kept' }] } },
      'unless "head-half" is named among its add-ons',
    ],
    ['a bone that nobody keeps', { sheet: { keeps: { 'keep-blood': true } } }, 'is nothing that is kept'],
    [
      'a carcass that is gone',
      {
        carcass: {
          condition: {
            missing: Object.fromEntries(
              allSpecies()
                .find((each) => each.id === 'hog')!
                .atlas.atoms.map((atom) => [atom.id, 1]),
            ),
          },
        },
      },
      'nothing is left to cut',
    ],
  ])('%s is refused in a sentence', (_, change, words) => {
    const read = readOrder(caseFile({ species: 'hog', ...change }), caseShop);
    expect(read.ok ? '' : read.problems!.map(({ message }) => message).join(' ')).toContain(words);
  });

  it('a number in quotes is no number', () => {
    const file = caseFile({ species: 'hog' }) as OrderDocument;
    const read = readOrder({ ...file, weights: { left: { hot: '92' } } }, caseShop);
    expect(read).toMatchObject({ ok: false, field: 'weights.left.hot' });
  });
});

describe('a weight said as people say it', () => {
  const roasts = (roastWeight: string) =>
    caseLines(
      { species: 'hog', answers: { butt: [{ option: 'roast', params: { roastWeight } }] } },
      'butt',
    )[0]!;

  it.each(['3-4 lb', '3 to 4', '3.5 lb', '3.5', '3–4'])(
    '%s are roasts of about three and a half pounds',
    (said) => {
      const { lb, pieces } = roasts(said);
      expect(lb / pieces!).toBeGreaterThan(3);
      expect(lb / pieces!).toBeLessThan(4.2);
    },
  );

  it('that is none is refused with what to write', () => {
    const file = caseFile({
      species: 'hog',
      answers: { butt: [{ option: 'roast', params: { roastWeight: 'big' } }] },
    });
    expect(readOrder(file, caseShop)).toMatchObject({
      ok: false,
      problems: [
        {
          field: 'shares.0.sheet.answers.butt[0].params.roastWeight',
          message: '"big" is no weight: write 3.5, 3.5 lb or 3 to 4 lb.',
        },
      ],
    });
  });

  it('and a split far off the middle of the spine is asked about', () => {
    const said = (spinePct: number) =>
      caseFindings({ species: 'hog', carcass: { condition: { spinePct } } }).map(({ sentence }) => sentence);
    expect(said(72)).toContainEqual(expect.stringContaining('72 % of the spine'));
    expect(said(55)).not.toContainEqual(expect.stringContaining('of the spine'));
  });
});
