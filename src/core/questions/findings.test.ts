import { forecast } from '../forecast/forecast';
import { weight, type Weight } from '../quantity/weight';
import { answered, COLD, form, half, house, whole } from '../tests/halfHog';
import { findingsOf, isComplete, titleOf, type Finding } from './findings';
import { emptySheet, houseSheet } from '../sheet/houseSheet';
import { decisionsAsked, type Situation } from '../sheet/situation';
import type { GrindLine, Sheet } from '../sheet/types';

function findings(sheet: Sheet, situation: Situation = half, cold: readonly Weight[] = COLD): Finding[] {
  return findingsOf({ situation, sheet, coldSides: cold }, forecast(situation, sheet, cold));
}

const kinds = (found: readonly Finding[]) => found.map((finding) => finding.kind);

describe('the house standard', () => {
  it('leaves nothing open on a half', () => {
    expect(findings(house)).toEqual([]);
    expect(isComplete(findings(house))).toBe(true);
  });

  it('leaves nothing open in a shop without a band saw, which cuts chops at the disc', () => {
    const noSaw = { ...half, tools: [] };
    const sheet = houseSheet(noSaw);
    expect(sheet.answers['center-loin']!.forms[0]!.option).toBe('discs');
    expect(findings(sheet, noSaw)).toEqual([]);
  });

  it('answers for add-ons where they were left on', () => {
    const situation = { ...half, addOns: ['kidney', 'leaf-fat'] };
    expect(decisionsAsked(situation).length).toBe(decisionsAsked(half).length + 2);
    expect(findings(houseSheet(situation), situation)).toEqual([]);
  });
});

describe('holes are questions', () => {
  it('every zone of an empty sheet asks, and says what the house would do and why', () => {
    const found = findings(emptySheet(half));
    expect(found).toHaveLength(decisionsAsked(half).length);
    expect(found.every((finding) => finding.kind === 'unanswered' && finding.blocks)).toBe(true);
    expect(found.find((finding) => finding.decision === 'butt')!.sentence).toBe(
      'Butt is not answered. The house would say: Butt roast, bone-in. The favourite slow roast.',
    );
  });

  it('on a whole hog the same question is asked once', () => {
    const found = findings(emptySheet(whole), whole, [weight(91), weight(90)]);
    expect(found).toHaveLength(decisionsAsked(whole).length);
  });

  it('forms that never say what becomes of the rest ask for it', () => {
    const some = form('butt', 'roast', { amount: { kind: 'share', pct: 40 } });
    expect(findings(answered(house, 'butt', some))).toMatchObject([
      { kind: 'rest-missing', decision: 'butt', blocks: true },
    ]);
  });
});

describe('wishes beyond what there is', () => {
  it('are said in percent of what there is', () => {
    const much = form('butt', 'roast', { amount: { kind: 'weight', weight: weight(16) } });
    const found = findings(answered(house, 'butt', much, form('butt', 'grind')));
    expect(kinds(found)).toEqual(['too-much']);
    expect(found[0]!.sentence).toMatch(/asks for 2\d\d % of what there is/);
  });

  it('leave nothing for the form that takes the rest', () => {
    const all = form('butt', 'roast', { amount: { kind: 'share', pct: 100 } });
    expect(kinds(findings(answered(house, 'butt', all, form('butt', 'steaks'))))).toEqual(['nothing-left']);
  });

  it('that the shop or the share cannot do are refused with the reason', () => {
    expect(findings(answered(house, 'center-loin', form('center-loin', 'crown')))[0]!.sentence).toBe(
      'Crown roast takes both sides of the animal, and this share is one side.',
    );
    const noSaw = { ...half, tools: [] };
    expect(findings(house, noSaw)[0]!.sentence).toBe(
      'Chops, bone-in needs a band saw, which this shop does not have.',
    );
  });
});

describe('no cut is promised twice', () => {
  it('a slab of back ribs beside bone-in chops is a clash with what holds the ribs', () => {
    const [clash] = findings(answered(house, 'back-ribs', form('back-ribs', 'slab')));
    expect(clash).toMatchObject({
      kind: 'clash',
      decision: 'back-ribs',
      holder: 'center-loin',
      blocks: true,
    });
    expect(clash!.sentence).toContain('one of them');
  });

  it('a long slab clashes with both zones whose ribs it wants', () => {
    const found = findings(answered(house, 'back-ribs', form('back-ribs', 'long')));
    expect(found.map((finding) => finding.holder)).toEqual(['blade-end', 'center-loin']);
  });

  it('the tenderloin leaves the chops without a word of clash: it yields by its nature', () => {
    expect(findings(answered(house, 'tenderloin', form('tenderloin', 'whole')))).toEqual([]);
  });

  it('may differ by side: ribs in the chops left, a slab right', () => {
    const secondSide = {
      'back-ribs': { forms: [form('back-ribs', 'slab')] },
      'center-loin': { forms: [form('center-loin', 'boneless')] },
      tenderloin: { forms: [form('tenderloin', 'whole')] },
    };
    expect(findings({ ...house, secondSide }, whole, [weight(91), weight(90)])).toEqual([]);
  });
});

describe('sausage', () => {
  const line = (change: Partial<GrindLine>): GrindLine => ({ ...house.grind.lines[0]!, ...change });
  const grind = (...lines: GrindLine[]): Sheet => ({ ...house, grind: { fatPct: 25, lines } });

  it('below the smallest batch is a question with both figures', () => {
    const found = findings(grind(line({ recipe: 'breakfast' })));
    expect(kinds(found)).toEqual(['batch']);
    expect(found[0]!.sentence).toMatch(
      /^Breakfast sausage: 9\.\d lb is less than the smallest batch, 15\.0 lb\.$/,
    );
  });

  it('more than the grind gives says how much it gives', () => {
    const asked = line({ recipe: 'breakfast', amount: { kind: 'weight', weight: weight(20) } });
    const found = findings(grind(asked, line({})));
    expect(found[0]!.sentence).toMatch(/^Breakfast sausage: 20\.0 lb asked, the grind gives 9\.\d lb\.$/);
  });

  it('in more kinds than a half carries is a question', () => {
    const five = { kind: 'weight' as const, weight: weight(4) };
    const found = findings(grind(line({ recipe: 'breakfast', amount: five }), line({ recipe: 'fennel' })));
    expect(found.map((finding) => finding.sentence).join()).toContain('2 kinds of sausage are more than');
  });

  it('fatter than the fat there is, is a remark that does not stop the sheet', () => {
    const lean = { ...house, grind: { ...house.grind, fatPct: 35 } };
    const ground = ['ham', 'butt', 'center-loin', 'sirloin', 'blade-end'].reduce(
      (sheet, decision) => answered(sheet, decision, form(decision, 'grind')),
      lean,
    );
    const found = findings(ground).filter((finding) => finding.kind === 'fat-short');
    expect(found).toMatchObject([{ blocks: false }]);
    expect(found[0]!.sentence).toMatch(/reaches \d+ % fat, not 35 %/);
  });
});

describe('headings', () => {
  it('name a decision, or the grind', () => {
    expect(titleOf(half.species, 'butt')).toBe('Butt');
    expect(titleOf(half.species, 'grind')).toBe('Grind and sausage');
  });
});
