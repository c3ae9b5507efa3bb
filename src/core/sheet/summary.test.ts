import { forecast } from '../forecast/forecast';
import { weight } from '../quantity/weight';
import { answered, COLD, form, half, house } from '../tests/halfHog';
import { speciesById } from '../tests/catalogue';
import { decisionById } from './situation';
import { amountWords, answerSummary, extrasSummary, grindSummary } from './summary';
import { emptySheet } from './houseSheet';
import { mainDecisionOf, zoneDestination } from '../questions/zones';

const butt = decisionById(half.species, 'butt');

describe('a line for a zone', () => {
  it('says the cut and its thickness', () => {
    expect(answerSummary(butt, { forms: [form('butt', 'steaks')] }, 'lb')).toBe('Blade steaks, 3/4 in');
  });

  it('says how much of each form, and that the last takes the rest', () => {
    const forms = [form('butt', 'roast', { amount: { kind: 'share', pct: 50 } }), form('butt', 'steaks')];
    expect(answerSummary(butt, { forms }, 'lb')).toBe('50 % Butt roast, bone-in; rest Blade steaks, 3/4 in');
  });

  it('says what the cutter may do when it does not look right', () => {
    const forms = [form('butt', 'steaks', { otherwise: 'grind' })];
    expect(answerSummary(butt, { forms }, 'lb')).toBe(
      'Blade steaks, 3/4 in (if it does not look right: Butt to grind)',
    );
  });

  it('says the size of patties, and that fat is picked', () => {
    const lines = house.grind.lines.map((line) => ({ ...line, form: 'patties' as const, size: 'third' }));
    expect(grindSummary(half.species, { ...house.grind, lines, picked: true }, 'lb')).toBe(
      'Ground pork, plain in patties, three to the pound, 25 % fat, picked by hand',
    );
  });

  it('says what is asked for at the kill floor', () => {
    const words = extrasSummary(half.species, { ...house, keeps: {}, offal: ['liver', 'caul'] });
    expect(words).toBe('vacuum bag; from the kill floor: liver, caul fat');
  });

  it.each([
    [{ kind: 'rest' as const }, 'the rest'],
    [{ kind: 'packs' as const, count: 10 }, '10 packs'],
    [{ kind: 'pieces' as const, count: 4 }, '4 pieces'],
    [{ kind: 'weight' as const, weight: weight(6) }, '6.00 lb'],
    [{ kind: 'length' as const, inches: 4 }, '4 in'],
  ])('says an amount as people do', (amount, words) => {
    expect(amountWords(amount, 'lb')).toBe(words);
  });

  it('says the grind', () => {
    expect(grindSummary(half.species, house.grind, 'lb')).toBe('Ground pork, plain, 25 % fat');
    const links = { ...house.grind.lines[0]!, recipe: 'fennel', form: 'links' as const };
    const grind = {
      fatPct: 26,
      lines: [{ ...links, amount: { kind: 'weight' as const, weight: weight(6) } }, links],
    };
    expect(grindSummary(half.species, grind, 'lb')).toBe(
      '6.0 lb Fennel and garlic sausage in links; rest Fennel and garlic sausage in links, 26 % fat',
    );
  });
});

describe('the picture of the side', () => {
  const { species } = half;

  it('speaks of the decision that most of a zone hangs on', () => {
    expect(mainDecisionOf(species, 'center loin')!.id).toBe('center-loin');
    expect(mainDecisionOf(species, 'ham')!.id).toBe('ham');
    expect(mainDecisionOf(species, 'wing')).toBeUndefined();
    // The flank is its steak, not the suet that lies behind it.
    expect(mainDecisionOf(speciesById('beef'), 'flank')!.id).not.toBe('suet');
  });

  it('is coloured by where most of a zone goes', () => {
    const destination = (sheet: typeof house, zone: string) =>
      zoneDestination({ species, sheet, expected: forecast(half, sheet, COLD) }, zone);
    expect(destination(house, 'center loin')).toBe('steaks');
    expect(destination(house, 'ham')).toBe('cured');
    expect(destination(answered(house, 'ham', form('ham', 'grind')), 'ham')).toBe('grind');
    expect(destination(house, 'fore foot')).toBe('lost');
    expect(destination(emptySheet(half), 'ham')).toBeUndefined();
  });
});

describe('how it is wrapped', () => {
  it('is said with what is kept besides', () => {
    const [keep] = half.species.poolKeeps;
    const words = (keeps: Record<string, boolean>) => extrasSummary(half.species, { wrap: 'paper', keeps });
    expect(words({})).toBe('film and paper');
    expect(words({ [keep!.id]: true })).toBe(`film and paper, ${keep!.title.toLowerCase()} kept`);
  });
});
