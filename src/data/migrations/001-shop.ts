import type { Knex } from 'knex';
import { appendOnly } from './append';

/** The shop itself, its dated prices, its people, their sessions, and the audit lines. */
export async function up(db: Knex): Promise<void> {
  await db.schema.createTable('shop', (table) => {
    table.integer('id').primary().checkIn(['1']);
    table.text('name').notNullable();
    table.text('unit').notNullable().checkIn(['lb', 'kg']);
    table.text('zone').notNullable();
    table.text('establishment');
    table.text('codePrefix').notNullable();
    table.json('tools').notNullable();
    table.boolean('demo').notNullable();
  });
  await db.schema.createTable('priceLists', (table) => {
    table.text('id').primary();
    table.text('effectiveFrom').notNullable();
    table.json('list').notNullable();
  });
  await appendOnly(db, 'priceLists');
  await db.schema.createTable('users', (table) => {
    table.text('id').primary();
    table.text('name').notNullable().unique();
    table.text('role').notNullable().checkIn(['owner', 'counter', 'cutter', 'wrapper', 'smoker']);
    table.text('secret').notNullable();
  });
  await db.schema.createTable('signInAttempts', (table) => {
    table.increments('id');
    table.text('name').notNullable();
    table.text('at').notNullable();
    table.boolean('succeeded').notNullable();
    table.index(['name', 'at']);
  });
  await db.schema.createTable('sessions', (table) => {
    table.text('tokenHash').primary();
    table.text('userId').notNullable().references('id').inTable('users');
    table.text('expiresAt').notNullable();
  });
  await db.schema.createTable('audit', (table) => {
    table.increments('id');
    table.text('at').notNullable();
    table.text('actor').notNullable();
    table.text('role').notNullable();
    table.text('action').notNullable();
    table.text('outcome').notNullable();
    table.text('subject');
  });
  await appendOnly(db, 'audit');
}
