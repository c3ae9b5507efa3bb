import { resolve } from 'node:path';
import { restore } from '@/data/backup';
import { databaseFile } from '@/data/database';

/** `npm run restore -- FILE`: puts a backup in place of the shop's database; what was there is kept beside it. */
const [file] = process.argv.slice(2);
if (!file) {
  process.stderr.write('Say what from: npm run restore -- FILE\n');
  process.exitCode = 2;
} else {
  const result = await restore(resolve(file), databaseFile(), new Date());
  if (result.ok) {
    const kept = result.value.kept ? ` What was there is kept as ${result.value.kept}.` : '';
    process.stdout.write(`The shop stands as in ${file}.${kept}\n`);
  } else {
    process.stderr.write(`${result.message}\n`);
    process.exitCode = 1;
  }
}
