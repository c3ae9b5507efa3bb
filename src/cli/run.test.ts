import { readFileSync } from 'node:fs';
import { mkdtemp, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { EXIT, run } from './run';

type Said = { code: number; out: string; err: string };

async function fractum(args: string[], stdin: string[] = []): Promise<Said> {
  const said = { out: '', err: '' };
  const code = await run(args, {
    out: (text) => (said.out += text),
    err: (text) => (said.err += text),
    stdin: (async function* () {
      yield* stdin;
    })(),
  });
  return { code, ...said };
}

const clear = 'examples/two-halves.json';
const beefTwoWays = 'examples/beef-two-ways.json';
const questions = 'examples/whole-with-questions.json';

let folder: string;
beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), 'fractum-cli-'));
});
afterAll(() => rm(folder, { recursive: true }));

describe('fractum forecast', () => {
  it('prints what each share becomes', async () => {
    const { code, out, err } = await fractum(['forecast', clear]);
    expect({ code, err }).toEqual({ code: EXIT.done, err: '' });
    const document = JSON.parse(out);
    expect(document).toMatchObject({ format: 'fractum.forecast', unit: 'lb', tag: 'H131' });
    expect(document.shares).toHaveLength(2);
    expect(document.shares[0].takeHome).toBeGreaterThan(65);
  });

  it('reads from standard input, in the unit of the file', async () => {
    const text = readFileSync('examples/metric-half.json', 'utf8');
    const { code, out } = await fractum(['forecast', '-'], [text.slice(0, 100), text.slice(100)]);
    expect(code).toBe(EXIT.done);
    expect(JSON.parse(out)).toMatchObject({ unit: 'kg', shares: [{ cold: 41.7 }] });
  });
});

describe('fractum check', () => {
  it('ends with 0 when nothing is open', async () => {
    expect(await fractum(['check', clear])).toMatchObject({ code: EXIT.done, err: '' });
  });

  it('ends with 1 and says each clash and question', async () => {
    const { code, out } = await fractum(['check', questions]);
    expect(code).toBe(EXIT.open);
    expect(out).toMatch(/^Corisande Wyke, whole: back-ribs: clash: The upper ribs are on the chops/);
    expect(out).toContain('batch: Fennel and garlic sausage: 40.0 lb asked');
  });

  it('as JSON says which of them block', async () => {
    const { code, out } = await fractum(['check', questions, '--json']);
    expect(code).toBe(EXIT.open);
    expect(JSON.parse(out)[0]).toMatchObject({
      part: 'whole',
      kind: 'clash',
      decision: 'back-ribs',
      blocks: true,
    });
  });

  it('for a shop without a band saw asks about the chops', async () => {
    const { out } = await fractum(['check', clear, '--no-band-saw']);
    expect(out).toContain('needs a band saw');
  });
});

describe('fractum compare', () => {
  it('says what the second sheet of a file gives and takes', async () => {
    const { code, out, err } = await fractum(['compare', beefTwoWays, '--prices', 'demo/price-lists.json']);
    expect({ code, err }).toEqual({ code: EXIT.done, err: '' });
    expect(out).toMatch(/-\d+\.\d+ lb  T-bone steaks: 5 packs, then 0/);
    expect(out).toMatch(/on the bill/);
  });

  it('takes the second sheet from another file, and answers as JSON', async () => {
    const { code, out } = await fractum(['compare', clear, clear, '--json']);
    expect(code).toBe(EXIT.done);
    expect(JSON.parse(out)).toMatchObject({
      format: 'fractum.comparison',
      cuts: [],
      takeHome: 0,
      chargesCents: 0,
    });
  });

  it('wants two sheets', async () => {
    const { code, err } = await fractum(['compare', 'examples/lamb-whole.json']);
    expect(code).toBe(EXIT.unreadable);
    expect(err).toContain('shares: Two sheets are needed');
  });

  it.each([
    ['an empty list', () => [], 'There is no price list in it.'],
    ['prices by the kilogram', (list: object) => ({ ...list, unit: 'kg' }), 'by the kg; here it is lb'],
    [
      'a key that nothing raises',
      (list: { rules: object[] }) => ({ ...list, rules: [{ ...list.rules[0], key: 'curring' }] }),
      'Nothing is ever charged for "curring"',
    ],
  ])('refuses %s', async (_, change, words) => {
    const [list] = JSON.parse(readFileSync('demo/price-lists.json', 'utf8'));
    const file = join(folder, 'prices.json');
    await writeFile(file, JSON.stringify(change(list)));
    const { code, err } = await fractum(['compare', beefTwoWays, '--prices', file]);
    expect({ code, err }).toEqual({ code: EXIT.unreadable, err: expect.stringContaining(words) });
  });

  it('refuses a second file of another species, and reads one with the mark of some editors', async () => {
    const { code, err } = await fractum(['compare', clear, beefTwoWays]);
    expect({ code, err }).toEqual({ code: EXIT.unreadable, err: expect.stringContaining('It is of beef') });
    const file = join(folder, 'marked.json');
    await writeFile(file, `\uFEFF${readFileSync(clear, 'utf8')}`);
    expect(await fractum(['check', file])).toMatchObject({ code: EXIT.done });
  });

  it('names what is wrong with the prices', async () => {
    const { code, err } = await fractum(['compare', clear, '--prices', clear]);
    expect(code).toBe(EXIT.unreadable);
    expect(err).toContain(`${clear}: `);
  });
});

describe('fractum split', () => {
  it('gives every package of a shared quarter to one household', async () => {
    const { code, out } = await fractum(['split', 'examples/beef-quarters.json']);
    expect(code).toBe(EXIT.done);
    const { splits } = JSON.parse(out);
    expect(splits).toHaveLength(1);
    expect(splits[0]).toMatchObject({ part: 'left-hind' });
    expect(splits[0].unfairnessPct).toBeLessThan(1);
    const forecast = JSON.parse((await fractum(['forecast', 'examples/beef-quarters.json'])).out);
    type Own = { part: string; takeHome: number };
    const hind = (forecast.shares as Own[]).filter((share) => share.part === 'left-hind');
    const takeHome = hind.reduce((sum, share) => sum + share.takeHome, 0);
    const weight = splits[0].parties.reduce(
      (sum: number, party: { weight: number }) => sum + party.weight,
      0,
    );
    expect(weight).toBeCloseTo(takeHome, 2);
  });

  it('says in words how fair it is, and whose sheet is not used', async () => {
    const { err } = await fractum(['split', 'examples/beef-quarters.json']);
    expect(err).toMatch(/^left-hind, \d households: nobody is off by more than 0\.\d{3} %; /);
    const order = JSON.parse(readFileSync('examples/beef-quarters.json', 'utf8'));
    const own = order.shares.filter((share: { part: string }) => share.part === 'left-hind');
    own.forEach((share: { sheet?: object }, at: number) => {
      share.sheet = { houseForTheRest: true, wrap: at > 0 ? 'paper' : 'vacuum' };
    });
    const file = join(folder, 'two-ways.json');
    await writeFile(file, JSON.stringify(order));
    const both = await fractum(['split', file]);
    expect(both.err).toContain(
      `by the sheet of ${own[0].owner.name}; that of ${own[1].owner.name} is not used`,
    );
  });

  it('says so when nothing is shared', async () => {
    const { code, out, err } = await fractum(['split', clear]);
    expect(code).toBe(EXIT.done);
    expect(JSON.parse(out).splits).toEqual([]);
    expect(err).toContain('no part of it is shared by percent');
  });
});

describe('fractum calibrate', () => {
  it('learns a habit from finished orders, which the next forecast then has', async () => {
    const learnt = await fractum(['calibrate', 'examples/season.json']);
    expect(learnt.code).toBe(EXIT.done);
    const experience = JSON.parse(learnt.out);
    expect(experience.groups[0]).toMatchObject({ species: 'hog', boneState: 'bone-in', orders: 6 });
    expect(experience.groups[0].cuts['Bacon, smoked, sliced'].logRatio).toBeLessThan(-0.03);
    const file = join(folder, 'experience.json');
    await writeFile(file, learnt.out);
    const bacon = async (...more: string[]) => {
      const { out } = await fractum(['forecast', clear, ...more]);
      return JSON.parse(out).shares[0].lines.find(
        (line: { cut: string }) => line.cut === 'Bacon, smoked, sliced',
      );
    };
    const [reference, own] = [await bacon(), await bacon('--experience', file)];
    expect(own.packaged).toBeLessThan(reference.packaged);
    expect([reference.evidence, own.evidence > 0.5]).toEqual([0, true]);
  });

  it('names the order that cannot be read', async () => {
    const file = join(folder, 'season.json');
    await writeFile(
      file,
      JSON.stringify({ format: 'fractum.season', version: 1, orders: [{ order: {}, packed: [] }] }),
    );
    const { code, err } = await fractum(['calibrate', file]);
    expect(code).toBe(EXIT.unreadable);
    expect(err).toContain('orders.0.order');
  });

  it('says in words what it learnt', async () => {
    const { err } = await fractum(['calibrate', 'examples/season.json']);
    expect(err).toMatch(/^hog, bone-in, 6 parts finished: this shop packs\n/);
    expect(err).toMatch(
      / {2}Bacon, smoked, sliced: \d+\.\d % less than the reference, \d+ % by its own orders/,
    );
  });

  it.each<[string, (packed: { part: string; cut: string; weight: number }) => void, string]>([
    [
      'a cut that the sheet does not make',
      (packed) => (packed.cut = 'Bacon'),
      'makes no "Bacon". It makes: ',
    ],
    ['a part that nobody has', (packed) => (packed.part = 'right'), 'the order has left.'],
    ['a weight that cannot be', (packed) => (packed.weight = 900), '900.00 lb packed against '],
  ])('learns nothing from %s', async (_, spoil, said) => {
    const season = JSON.parse(readFileSync('examples/season.json', 'utf8'));
    spoil(season.orders[2].packed[1]);
    const file = join(folder, 'spoilt.json');
    await writeFile(file, JSON.stringify(season));
    const { code, err } = await fractum(['calibrate', file]);
    expect(code).toBe(EXIT.unreadable);
    expect(err).toMatch(/orders\.2\.packed\.1\.(part|cut|weight): /);
    expect(err).toContain(said);
  });

  it('does not call an empty season an experience', async () => {
    const file = join(folder, 'empty.json');
    await writeFile(file, JSON.stringify({ format: 'fractum.season', version: 1, orders: [] }));
    expect(await fractum(['calibrate', file])).toMatchObject({
      code: EXIT.unreadable,
      err: expect.stringContaining('nothing to learn from'),
    });
  });
});

describe('fractum atlas and species', () => {
  it('prints an atlas that passes its own check', async () => {
    const file = join(folder, 'atlas.csv');
    const { out } = await fractum(['atlas', 'print', 'lamb']);
    await writeFile(file, out);
    expect(await fractum(['atlas', 'check', file])).toMatchObject({
      code: EXIT.done,
      out: '48 atoms, shares 100 %, every composition 100 %.\n',
    });
    await writeFile(file, out.replace(',2.95,', ',3.95,'));
    const wrong = await fractum(['atlas', 'check', file]);
    expect(wrong.code).toBe(EXIT.open);
    expect(wrong.out).toContain('shares add up to 101');
  });

  it('lists what the app knows', async () => {
    expect((await fractum(['species'])).out.split('\n')).toHaveLength(6);
    const { out } = await fractum(['species', 'beef']);
    expect(out).toContain('breaks.chuck: 4-5, 5-6, 6-7 (usual: 5-6)');
    expect(JSON.parse((await fractum(['species', 'goat', '--json'])).out)[0]).toMatchObject({ id: 'goat' });
  });

  it('prints all that a person needs to write a sheet by hand', async () => {
    const { out } = await fractum(['species', 'hog']);
    expect(out).toMatch(/center-loin: Center loin, in several forms \(house: chops\)/);
    expect(out).toMatch(
      /chops: .*; thickness: .* to .* in.*; perPack: 1 to 8; .*cure: fresh, cured, natural, none/,
    );
    expect(out).toMatch(/packWeight: 1 to 3 lb/);
    expect(out).toContain('breakfast: Breakfast sausage; bulk, patties, links');
    expect(out).toMatch(/whole-shoulder: .*; has the pieces of picnic\n/);
    expect(out).toContain('  size of patties: quarter, third, six-oz, half\n');
    expect(out).toMatch(/offal: liver \(Liver\), heart \(Heart\)/);
    expect(out).toMatch(/keeps: keep-fat \(.*keep-bones \(.*\nanimal.addOns: head-half/);
    expect(out).toMatch(/head: .*, with the add-on head-half/);
  });

  it.each([
    [['species', 'unicorn']],
    [['find', 'unicorn', 'chop']],
    [['atlas', 'print', 'unicorn']],
    [['atlas', 'polish', 'x']],
  ])('%j ends with 2', async (args) => {
    expect((await fractum(args)).code).toBe(EXIT.usage);
  });
});

describe('fractum find', () => {
  it('knows a cut by a misspelt foreign word, and asks where one word means several', async () => {
    expect((await fractum(['find', 'beef', 'pikanha'])).out).toMatch(/^Sirloin cap: sirloin, heart/);
    expect((await fractum(['find', 'beef', 'rump'])).out).toMatch(/^"rump" can be .* Which\?/);
    expect(await fractum(['find', 'lamb', 'xylophone'])).toMatchObject({
      code: EXIT.open,
      out: 'Nothing is called that.\n',
    });
  });
});

describe('the forecast as a table', () => {
  it('has a header with its units', async () => {
    const { out } = await fractum(['forecast', clear, '--csv']);
    expect(out).toMatch(/^tag,species,part,owner,share_pct,key,cut,destination,packaged_lb,/);
  });
});

describe('what is not an order', () => {
  it.each([
    ['no file', join('nowhere', 'x.json'), undefined, 'cannot be read'],
    ['not JSON', 'broken.json', '{ "format": ', 'is not JSON'],
    ['not an order', 'list.json', '[]', 'must be an object with named fields'],
    ['null', 'null.json', 'null', 'must be an object with named fields'],
    [
      'a wrong field',
      'wrong.json',
      '{"format":"fractum.order","version":2}',
      'version: Version must be one of 1.',
    ],
  ])('%s ends with 3 and the reason', async (_, name, text, reason) => {
    const file = text === undefined ? name : join(folder, name);
    if (text !== undefined) await writeFile(file, text);
    const { code, out, err } = await fractum(['check', file]);
    expect({ code, out }).toEqual({ code: EXIT.unreadable, out: '' });
    expect(err).toContain(`${file}: `);
    expect(err).toContain(reason);
  });
});

describe('wrong usage', () => {
  it.each([
    [[]],
    [['slice', clear]],
    [['check']],
    [['check', clear, clear]],
    [['check', clear, '--fast']],
    [['split']],
  ])('%j ends with 2 and the usage', async (args) => {
    const { code, err } = await fractum(args);
    expect(code).toBe(EXIT.usage);
    expect(err).toContain('fractum forecast FILE.json');
  });

  it('--help ends with 0', async () => {
    expect(await fractum(['--help'])).toMatchObject({ code: EXIT.done, err: '' });
  });
});
