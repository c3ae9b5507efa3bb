import type { Knex } from 'knex';
import * as shop from './001-shop';
import * as orders from './002-orders';
import * as ledger from './003-ledger';
import * as work from './004-work';
import * as settlement from './005-settlement';
import * as calls from './006-calls';
import * as carcass from './007-carcass';
import * as ground from './008-ground';
import * as ticket from './009-ticket';
import * as prices from './010-prices';
import * as people from './011-people';
import * as setUp from './012-set-up';
import * as divisions from './013-divisions';
import * as messages from './014-messages';
import * as households from './015-households';
import * as contacts from './016-contacts';
import * as links from './017-links';
import * as reopenings from './018-reopenings';
import * as doubts from './019-doubts';
import * as templates from './020-templates';
import * as triedSheets from './021-tried-sheets';
import * as farmLinks from './022-farm-links';
import * as block from './023-block';
import * as found from './024-found';
import * as rail from './025-rail';
import * as packs from './026-packs';
import * as deepTemperatures from './027-deep-temperatures';
import * as remadePlans from './028-remade-plans';
import * as hands from './029-hands';
import * as quarters from './030-quarters';
import * as yields from './031-yields';
import * as lessons from './032-lessons';
import * as farmNotes from './033-farm-notes';
import * as grindBatches from './034-grind-batches';
import * as smokehouse from './035-smokehouse';
import * as dayBook from './036-day-book';
import * as pools from './037-pools';
import * as week from './038-week';

/** One step forward. There is no way back: a wrong step is mended by a later one. */
export type Step = { readonly up: (db: Knex) => Promise<void> };

const STEPS: readonly (readonly [name: string, step: Step])[] = [
  ['001-shop', shop],
  ['002-orders', orders],
  ['003-ledger', ledger],
  ['004-work', work],
  ['005-settlement', settlement],
  ['006-calls', calls],
  ['007-carcass', carcass],
  ['008-ground', ground],
  ['009-ticket', ticket],
  ['010-prices', prices],
  ['011-people', people],
  ['012-set-up', setUp],
  ['013-divisions', divisions],
  ['014-messages', messages],
  ['015-households', households],
  ['016-contacts', contacts],
  ['017-links', links],
  ['018-reopenings', reopenings],
  ['019-doubts', doubts],
  ['020-templates', templates],
  ['021-tried-sheets', triedSheets],
  ['022-farm-links', farmLinks],
  ['023-block', block],
  ['024-found', found],
  ['025-rail', rail],
  ['026-packs', packs],
  ['027-deep-temperatures', deepTemperatures],
  ['028-remade-plans', remadePlans],
  ['029-hands', hands],
  ['030-quarters', quarters],
  ['031-yields', yields],
  ['032-lessons', lessons],
  ['033-farm-notes', farmNotes],
  ['034-grind-batches', grindBatches],
  ['035-smokehouse', smokehouse],
  ['036-day-book', dayBook],
  ['037-pools', pools],
  ['038-week', week],
];

async function noWayBack(): Promise<void> {
  throw new Error('Migrations only go forward. Restore a backup instead.');
}

/** The steps as Knex runs them; named here, so that a bundled server needs no folder of files. */
export const migrationSource: Knex.MigrationSource<string> = {
  getMigrations: async () => STEPS.map(([name]) => name),
  getMigrationName: (name) => name,
  getMigration: async (name) => ({ up: STEPS.find((step) => step[0] === name)![1].up, down: noWayBack }),
};

/** The newest shape that this version knows. */
export const NEWEST_STEP = STEPS.at(-1)![0];

/** Every shape that this version can bring forward, the oldest first. */
export const KNOWN_STEPS: readonly string[] = STEPS.map(([name]) => name);
