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

describe('what is not an order', () => {
  it.each([
    ['no file', join('nowhere', 'x.json'), undefined, 'cannot be read'],
    ['not JSON', 'broken.json', '{ "format": ', 'is not JSON'],
    ['not an order', 'list.json', '[]', 'must be of type object'],
    ['null', 'null.json', 'null', 'must be of type object'],
    [
      'a wrong field',
      'wrong.json',
      '{"format":"fractum.order","version":2}',
      'version: "version" must be [1]',
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
  it.each([[[]], [['slice', clear]], [['check']], [['check', clear, clear]], [['check', clear, '--fast']]])(
    '%j ends with 2 and the usage',
    async (args) => {
      const { code, err } = await fractum(args);
      expect(code).toBe(EXIT.usage);
      expect(err).toContain('fractum forecast FILE.json');
    },
  );

  it('--help ends with 0', async () => {
    expect(await fractum(['--help'])).toMatchObject({ code: EXIT.done, err: '' });
  });
});
