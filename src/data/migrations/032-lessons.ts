import type { Knex } from 'knex';
import { appendOnly } from './append';

/**
 * What each finished share taught, worked out once when it is closed: a projection, like its yields. Which shares are left
 * out of the learning, and why, is said by people and stands.
 */
export async function up(db: Knex): Promise<void> {
  await db.schema.createTable('lessons', (table) => {
    table.text('shareId').primary().references('id').inTable('shares');
    table.text('species').notNullable();
    table.text('closedOn').notNullable();
    table.integer('version').notNullable();
    table.json('row').notNullable();
    table.index(['species', 'closedOn']);
  });
  await db.schema.createTable('learningChoices', (table) => {
    table.increments('number');
    table.text('clientId').notNullable();
    table.text('shareId').notNullable().references('id').inTable('shares').index();
    table.boolean('leftOut').notNullable();
    table.text('reason').notNullable();
    table.text('at').notNullable();
    table.text('actorId').notNullable();
  });
  await appendOnly(db, 'learningChoices');
}
