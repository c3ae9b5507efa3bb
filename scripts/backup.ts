import { resolve } from 'node:path';
import { backUp } from '@/data/backup';
import { databaseFile } from '@/data/database';

/** `npm run backup -- FILE`: a copy of the shop's database, whole at one moment, while the shop works on. */
const [file] = process.argv.slice(2);
if (!file) {
  process.stderr.write('Say where to: npm run backup -- FILE\n');
  process.exitCode = 2;
} else {
  const copy = resolve(file);
  const result = await backUp(databaseFile(), copy);
  if (result.ok) process.stdout.write(`The shop is copied to ${copy}.\n`);
  else {
    process.stderr.write(`${result.message}\n`);
    process.exitCode = 1;
  }
}
