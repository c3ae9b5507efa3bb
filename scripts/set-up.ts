import { confirm, input, password, select } from '@inquirer/prompts';
import { parseArgs } from 'node:util';
import { readCatalogue } from '@/data/catalogue';
import { SetUps } from '@/data/setUp';
import { dataFolder, openDatabase } from '@/data/database';
import { lockFolder } from '@/data/folderLock';
import { hasShop, readShop } from '@/data/setUp';
import { signReading } from '@/devices/scale/signature';
import { addSample } from '@/server/demo/sample';
import { demoPriceLists } from '@/server/demo/setUpDemo';
import { devices } from '@/server/house/devices';
import { Events } from '@/server/house/events';
import { ShareFiles } from '@/server/house/shareFiles';
import { prepareShop, setUpShop } from '@/server/setUp';

/**
 * Sets up the shop of FRACTUM_DATA when there is none, and brings its data to this version. Asks for what no option
 * says; the secret may come from FRACTUM_OWNER_SECRET.
 */
const { values } = parseArgs({
  options: {
    shop: { type: 'string' },
    phone: { type: 'string' },
    unit: { type: 'string' },
    currency: { type: 'string' },
    zone: { type: 'string' },
    owner: { type: 'string' },
    sample: { type: 'boolean' },
    empty: { type: 'boolean' },
  },
});

async function asked() {
  return {
    name: values.shop ?? (await input({ message: 'What is the shop called?' })),
    unit:
      values.unit ??
      (await select({ message: 'What does it weigh in? This is set once.', choices: ['lb', 'kg'] })),
    currency: values.currency ?? (await input({ message: 'What stands before an amount?', default: '$' })),
    zone:
      values.zone ??
      (await input({
        message: 'Which time zone is it in?',
        default: Intl.DateTimeFormat().resolvedOptions().timeZone,
      })),
    owner: values.owner ?? (await input({ message: 'Who is the owner? This is the name to sign in with.' })),
    secret:
      process.env.FRACTUM_OWNER_SECRET ??
      (await password({ message: "The owner's secret, ten letters or more:", mask: true })),
    phone: values.phone ?? null,
    establishment: null,
    codePrefix: '200',
  };
}

async function wantsSample(): Promise<boolean> {
  if (values.sample !== undefined || values.empty !== undefined) return values.sample === true;
  return confirm({
    message: 'Put a sample week in, to look around? It can be taken out later.',
    default: false,
  });
}

async function main(): Promise<void> {
  const lock = lockFolder(dataFolder());
  if (!lock) throw new Error(`Another Fractum works on ${dataFolder()}. Stop it first.`);
  const db = openDatabase();
  try {
    const setUps = new SetUps(readCatalogue());
    await prepareShop(db, setUps);
    if (await hasShop(db)) return;
    const said = await asked();
    const now = new Date();
    const prices = demoPriceLists(said.unit === 'kg' ? 'kg' : 'lb').slice(-1);
    const done = await setUpShop(db, said, { prices, now });
    if (!done.ok) {
      const problems = done.problems ?? [{ field: '', message: done.message }];
      throw new Error(problems.map((problem) => problem.message).join('\n'));
    }
    if (await wantsSample()) {
      const key = process.env.FRACTUM_SCALE_KEY ?? '';
      const around = {
        db,
        now,
        devices: devices(),
        setUps,
        events: new Events(),
        files: new ShareFiles(setUps),
      };
      const owner = { kind: 'staff', id: done.value.ownerId, name: said.owner, role: 'owner' } as const;
      await addSample(around, owner, (reading, at) => signReading(reading, at, key));
    }
    process.stdout.write(`${(await readShop(db)).name} is set up. Its prices are examples: load your own.\n`);
  } finally {
    await db.destroy();
    lock.release();
  }
}

await main().catch((error: Error) => {
  process.stderr.write(`${error.message}\n`);
  process.exitCode = 1;
});
