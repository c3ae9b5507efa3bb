import { execFileSync } from 'node:child_process';

type Case = readonly [file: string, code: string, rule: string | null];

/** What each floor may not say, with the rule that refuses it; null for what it may. */
const CASES: readonly Case[] = [
  ['src/core/x.ts', "import '@/data/database';", 'no-restricted-imports'],
  ['src/core/x.ts', "import '../server/doorway';", 'no-restricted-imports'],
  ['src/core/x.ts', "import 'react';", 'no-restricted-imports'],
  ['src/core/x.ts', "import 'knex';", 'no-restricted-imports'],
  ['src/core/x.ts', "import 'node:fs';", 'no-restricted-imports'],
  ['src/core/x.ts', 'export const now = Date.now();', 'no-restricted-properties'],
  ['src/core/x.ts', 'export const now = new Date();', 'no-restricted-syntax'],
  ['src/core/x.ts', 'export const chance = Math.random();', 'no-restricted-properties'],
  ['src/core/x.ts', 'export const word = (1).toLocaleString();', 'no-restricted-syntax'],
  ['src/data/x.ts', "import '@/server/doorway';", 'no-restricted-imports'],
  ['src/devices/x.ts', "import '@/data/database';", 'no-restricted-imports'],
  ['src/server/x.ts', "import '@/ui/act';", 'no-restricted-imports'],
  ['src/app/x.ts', "import '@/data/database';", 'no-restricted-imports'],
  ['src/ui/x.ts', "import { log } from '@/server/log'; log();", 'no-restricted-imports'],
  ['src/ui/x.ts', "import '@/devices/scale/scale';", 'no-restricted-imports'],
  ['src/cli/x.ts', "import '@/server/doorway';", 'no-restricted-imports'],
  ['src/data/x.ts', "import '@/core/ledger/ledger';", null],
  ['src/server/x.ts', "import '@/data/database'; import '@/core/ledger/ledger';", null],
  ['src/ui/x.ts', "import type { Actor } from '@/server/doorway'; export type X = Actor;", null],
];

/** Lints all cases with the project's own configuration, in a process of their own. */
const LINT = `
  import { ESLint } from 'eslint';
  const eslint = new ESLint();
  const cases = JSON.parse(process.argv[1]);
  const found = [];
  for (const [filePath, code] of cases) {
    const [result] = await eslint.lintText(code, { filePath });
    found.push(result.messages.filter((message) => message.severity === 2).map((message) => message.ruleId));
  }
  process.stdout.write(JSON.stringify(found));
`;

let found: string[][];

beforeAll(() => {
  const args = ['--input-type=module', '-e', LINT, JSON.stringify(CASES)];
  found = JSON.parse(execFileSync(process.execPath, args, { encoding: 'utf8' }));
}, 120_000);

describe('imports only go down, and the core is pure', () => {
  it.each(CASES.map((each, index) => [...each, index] as const))('%s: %s', (_file, _code, rule, index) => {
    expect(found[index]).toEqual(rule === null ? [] : [rule]);
  });
});
