import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { cents } from '@/core/quantity/money';
import { weight } from '@/core/quantity/weight';

/** Every `@example call // => value` in the core's docstrings, run as it stands. */
const CORE = join(__dirname, '../../src/core');

const files = readdirSync(CORE, { recursive: true, encoding: 'utf8' }).filter(
  (file) => file.endsWith('.ts') && !file.endsWith('.test.ts'),
);

const examples = files.flatMap((file) => {
  const text = readFileSync(join(CORE, file), 'utf8');
  return [...text.matchAll(/@example (.+?) \/\/ => (.+)$/gm)].map(
    (match) => [file, match[1]!, match[2]!.trim()] as const,
  );
});

function evaluate(expression: string, names: Record<string, unknown>): unknown {
  const run = new Function(...Object.keys(names), `return (${expression});`);
  return run(...Object.values(names));
}

it('the core shows how it is called', () => {
  expect(examples.length).toBeGreaterThan(15);
});

it.each(examples)('%s: %s is %s', (file, call, value) => {
  const exported: Record<string, unknown> = jest.requireActual(join(CORE, file));
  expect(evaluate(call, { weight, cents, ...exported })).toEqual(evaluate(value, {}));
});
