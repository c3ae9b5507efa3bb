import { displayDecimals, formatWeight } from '@/core/quantity/weight';
import { openDatabase } from '@/data/database';
import { bookProblems, trialBalanceAt } from '@/data/ledger';
import { readShop } from '@/data/setUp';

/**
 * `npm run audit-book [-- MOMENT]`: the trial balance of the shop at a moment (now when none is said), proved from the
 * postings: every transaction adds up to nothing, every package holds what was weighed, every side what came in. Exit
 * code 1 when anything does not. The app may go on meanwhile.
 */
const said = process.argv[2];
const at = said === undefined ? new Date() : new Date(said);
if (Number.isNaN(at.getTime())) {
  process.stderr.write(`"${said}" is no moment. Say one such as 2026-11-24T12:00.\n`);
  process.exit(2);
}
const db = openDatabase();
const { unit } = await readShop(db);
const { kinds, sum, transactions } = await trialBalanceAt(db, at.toISOString());
const show = (weight: (typeof kinds)[number]['weight']) =>
  formatWeight(weight, displayDecimals(unit)).padStart(14);
process.stdout.write(`${transactions} transactions until ${at.toISOString()}, ${unit}\n\n`);
for (const { kind, weight } of kinds) process.stdout.write(`${kind.padEnd(14)}${show(weight)}\n`);
process.stdout.write(`${'together'.padEnd(14)}${show(sum)}\n\n`);
const problems = await bookProblems(db, at.toISOString());
for (const problem of problems) process.stderr.write(`${problem}\n`);
process.stdout.write(
  problems.length === 0 ? 'The book proves itself.\n' : `${problems.length} things do not.\n`,
);
await db.destroy();
process.exitCode = problems.length === 0 && sum === 0 ? 0 : 1;
