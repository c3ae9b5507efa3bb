import { readFile } from 'node:fs/promises';
import { parseArgs } from 'node:util';
import type { OrderDocument } from '@/core/order/document';
import { forecastDocument, workOut } from '@/core/order/forecastDocument';
import { readOrder, type ReadingShop } from '@/core/order/readOrder';
import { failure, success, type Failure, type Result } from '@/core/quantity/result';

/** What the command line ends with; docs/formats.md lists them. */
export const EXIT = { done: 0, open: 1, usage: 2, unreadable: 3 } as const;

export const USAGE = `fractum forecast FILE.json   what each share of an order file becomes, as JSON
fractum check FILE.json      clashes and open questions of its sheets

FILE.json is an order file (docs/formats.md); - reads it from standard input.
  --json            check: the findings as JSON
  --no-band-saw     the shop has none: chops at the disc

Exit codes: 0 done, nothing open; 1 check found clashes or questions; 2 wrong usage; 3 the file cannot be read
or is not an order file.
`;

/** Where the command line writes and reads. */
export type Console = {
  readonly out: (text: string) => void;
  readonly err: (text: string) => void;
  readonly stdin: AsyncIterable<Buffer | string>;
};

type Asked = { command: 'forecast' | 'check'; file: string; json: boolean; tools: string[] };

/** Runs one command. @returns its exit code */
export async function run(args: readonly string[], at: Console): Promise<number> {
  const asked = parse(args);
  if (!asked.ok) {
    at.err(`${asked.message}\n\n${USAGE}`);
    return EXIT.usage;
  }
  if (asked.value === 'help') {
    at.out(USAGE);
    return EXIT.done;
  }
  const { command, file, json, tools } = asked.value;
  const raw = await readJson(file, at.stdin);
  const unit = raw.ok && (raw.value as Partial<OrderDocument> | null)?.unit === 'kg' ? 'kg' : 'lb';
  const shop: ReadingShop = { unit, tools };
  const order = raw.ok ? readOrder(raw.value, shop) : raw;
  if (!order.ok) {
    at.err(problemsText(file, order));
    return EXIT.unreadable;
  }
  if (command === 'check') return check(shop, order.value, json, at);
  at.out(`${JSON.stringify(forecastDocument(shop, order.value), null, 2)}\n`);
  return EXIT.done;
}

function parse(args: readonly string[]): Result<Asked | 'help', 'usage'> {
  try {
    const { values, positionals } = parseArgs({
      args: [...args],
      allowPositionals: true,
      options: {
        help: { type: 'boolean', short: 'h' },
        json: { type: 'boolean' },
        'no-band-saw': { type: 'boolean' },
      },
    });
    const [command, file, ...more] = positionals;
    if (values.help) return success('help');
    if (command !== 'forecast' && command !== 'check') {
      return failure('usage', command ? `There is no command "${command}".` : 'Say what to do.');
    }
    if (!file || more.length > 0) return failure('usage', `${command} takes one file.`);
    const tools = values['no-band-saw'] ? [] : ['band-saw'];
    return success({ command, file, json: values.json === true, tools });
  } catch (error) {
    return failure('usage', (error as Error).message);
  }
}

async function readJson(file: string, stdin: Console['stdin']): Promise<Result<unknown, 'unreadable'>> {
  let text = '';
  try {
    if (file === '-') for await (const chunk of stdin) text += chunk;
    else text = await readFile(file, 'utf8');
  } catch {
    return failure('unreadable', 'The file cannot be read. Check its name.');
  }
  try {
    return success(JSON.parse(text));
  } catch (error) {
    return failure('unreadable', `It is not JSON: ${(error as Error).message}`);
  }
}

function problemsText(file: string, refused: Failure): string {
  const problems = refused.problems ?? [{ field: '', message: refused.message }];
  return problems.map(({ field, message }) => `${file}: ${field ? `${field}: ` : ''}${message}\n`).join('');
}

function check(shop: ReadingShop, order: OrderDocument, json: boolean, at: Console): number {
  const found = workOut(shop, order).flatMap(({ share, findings }) =>
    findings.map(({ kind, decision, blocks, sentence }) => ({
      part: share.part,
      owner: share.owner.name,
      kind,
      decision,
      blocks,
      sentence,
    })),
  );
  if (json) at.out(`${JSON.stringify(found, null, 2)}\n`);
  else {
    for (const each of found) {
      const mark = each.blocks ? each.kind : `remark, ${each.kind}`;
      at.out(`${each.owner}, ${each.part}: ${each.decision}: ${mark}: ${each.sentence}\n`);
    }
    if (found.length === 0) at.out('Nothing is open.\n');
  }
  return found.some((each) => each.blocks) ? EXIT.open : EXIT.done;
}
