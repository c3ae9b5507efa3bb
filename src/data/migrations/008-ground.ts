import type { Knex } from 'knex';
import { USUAL_RULES } from '@/core/shop/houseRules';
import { appendOnly } from './append';

/**
 * Ground for a long history: house rules as versions, plans frozen at the block, drafts apart from versions of a
 * sheet, answers kept by the id of what was asked, a projection of where each share stands, and the indexes that keep
 * reading at a flat cost.
 */
export async function up(db: Knex): Promise<void> {
  await houseRules(db);
  await orders(db);
  await work(db);
  await projections(db);
  await people(db);
}

async function houseRules(db: Knex): Promise<void> {
  await db.schema.createTable('houseRules', (table) => {
    table.integer('version').primary();
    table.json('rules').notNullable();
    table.text('at').notNullable();
    table.text('actorId').notNullable();
  });
  const shop = await db('shop').first('tools');
  if (shop) {
    const rules = { ...USUAL_RULES, tools: JSON.parse(shop.tools) };
    const at = new Date(0).toISOString();
    await db('houseRules').insert({ version: 1, rules: JSON.stringify(rules), at, actorId: 'system' });
  }
  await appendOnly(db, 'houseRules');
  await db.raw('ALTER TABLE shop DROP COLUMN tools');
  await db.raw("ALTER TABLE shop ADD COLUMN currency TEXT NOT NULL DEFAULT '$'");
}

async function orders(db: Knex): Promise<void> {
  // A tag comes back every season: it is one animal's only as long as that animal is in the shop.
  await db.raw('DROP INDEX animals_tag_unique');
  await db.raw('CREATE INDEX animals_tag ON animals(tag)');
  await db.raw('DROP INDEX animals_clientid_unique');
  await db.raw('ALTER TABLE animals DROP COLUMN clientId');
  await db.raw('ALTER TABLE animals ADD COLUMN sample INTEGER NOT NULL DEFAULT 0');
  await db.raw('ALTER TABLE shares ADD COLUMN number INTEGER');
  await db.raw(
    `UPDATE shares SET number = (
       SELECT COUNT(*) FROM shares other JOIN animals theirs ON theirs.id = other.animalId
         JOIN animals own ON own.id = shares.animalId
        WHERE (theirs.bookedAt, theirs.id, other.position) <= (own.bookedAt, own.id, shares.position))`,
  );
  await db.raw('CREATE UNIQUE INDEX shares_number ON shares(number)');
  for (const person of ['ownerId', 'payerId', 'contactId']) {
    await db.raw(`CREATE INDEX shares_${person} ON shares(${person})`);
  }
  await db.raw('CREATE INDEX animals_farm ON animals(farmId)');
  await db.raw('CREATE INDEX people_name ON people(name COLLATE NOCASE)');
}

async function work(db: Knex): Promise<void> {
  await db.raw("ALTER TABLE sideWeights ADD COLUMN origin TEXT NOT NULL DEFAULT 'typed'");
  await db.raw("ALTER TABLE sideWeights ADD COLUMN remark TEXT NOT NULL DEFAULT ''");
  await db.raw("ALTER TABLE weighings ADD COLUMN origin TEXT NOT NULL DEFAULT 'scale'");
  await db.raw("ALTER TABLE weighings ADD COLUMN remark TEXT NOT NULL DEFAULT ''");
  await db.raw("ALTER TABLE blockStarts ADD COLUMN reason TEXT NOT NULL DEFAULT ''");
  await db.raw('CREATE INDEX sideWeights_side ON sideWeights(sideId)');
  await db.schema.createTable('plans', (table) => {
    table.text('shareId').primary().references('id').inTable('shares');
    table.json('plan').notNullable();
  });
  await appendOnly(db, 'plans');
  await db.schema.createTable('sheetDrafts', (table) => {
    table.text('shareId').primary().references('id').inTable('shares');
    table.integer('version').notNullable();
    table.json('sheet').notNullable();
    table.text('at').notNullable();
    table.text('actorId').notNullable();
  });
  for (const column of [
    'attempts INTEGER NOT NULL DEFAULT 0',
    "problem TEXT NOT NULL DEFAULT ''",
    'setAsideAt TEXT',
  ]) {
    await db.raw(`ALTER TABLE labelJobs ADD COLUMN ${column}`);
  }
  await db.raw('CREATE INDEX labelJobs_waiting ON labelJobs(at) WHERE file IS NULL AND setAsideAt IS NULL');
  await db.raw(
    'CREATE INDEX labelJobs_setAside ON labelJobs(at) WHERE file IS NULL AND setAsideAt IS NOT NULL',
  );
}

async function projections(db: Knex): Promise<void> {
  await db.schema.createTable('heartbeat', (table) => {
    table.integer('id').primary();
    table.text('at').notNullable();
  });
  await db.schema.createTable('shareStages', (table) => {
    table.integer('number').primary();
    table.text('shareId').notNullable().unique().references('id').inTable('shares');
    table.text('animalId').notNullable().index();
    table.text('stage').notNullable();
    table.text('since').notNullable();
    for (const words of [
      'name',
      'tag',
      'species',
      'farm',
      'killDate',
      'words',
      'verdict',
      'takenBy',
      'broken',
    ]) {
      table.text(words).notNullable();
    }
    for (const fact of ['hasSheet', 'hasNote', 'onBlock', 'inCure']) table.boolean(fact).notNullable();
    for (const count of ['openQuestions', 'coldWeight', 'packsMade', 'packsAsked', 'unaccountedBp', 'due']) {
      table.integer(count).notNullable();
    }
    table.index(['stage', 'since']);
    table.index(['tag']);
  });
  // The stage of a live share is counted on every page; what has gone home grows for ever and is not.
  await db.raw("CREATE INDEX shareStages_live ON shareStages(stage) WHERE stage <> 'gone'");
  await db.raw(
    "CREATE VIRTUAL TABLE stageWords USING fts5(words, tokenize = 'unicode61 remove_diacritics 2', prefix = '1 2 3')",
  );
}

async function people(db: Knex): Promise<void> {
  await db.schema.createTable('answers', (table) => {
    table.text('clientId').primary();
    table.text('asked').notNullable();
    table.text('actorId').notNullable();
    table.text('inputHash').notNullable();
    table.json('output').notNullable();
    table.text('at').notNullable();
  });
  // Sessions and tries are of the day; everybody signs in once more.
  await db.schema.dropTable('sessions');
  await db.schema.createTable('sessions', (table) => {
    table.text('tokenHash').primary();
    table.text('id').notNullable().unique();
    table.text('userId').notNullable().references('id').inTable('users').index();
    table.text('address').notNullable();
    table.text('startedAt').notNullable();
    table.text('expiresAt').notNullable().index();
  });
  await db.schema.dropTable('signInAttempts');
  await db.schema.createTable('signInAttempts', (table) => {
    table.increments('id');
    table.text('name').notNullable();
    table.text('address').notNullable();
    table.text('at').notNullable().index();
    table.index(['name', 'at']);
    table.index(['address', 'at']);
  });
  await db.raw('CREATE INDEX audit_at ON audit(at)');
}
