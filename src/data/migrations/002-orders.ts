import type { Knex } from 'knex';

/** Animals, the people around them, their sides, and the shares that households bought. */
export async function up(db: Knex): Promise<void> {
  await db.schema.createTable('people', (table) => {
    table.text('id').primary();
    table.text('name').notNullable();
    table.text('phone');
    table.text('email');
  });
  await db.schema.createTable('animals', (table) => {
    table.text('id').primary();
    table.text('clientId').notNullable().unique();
    table.text('tag').notNullable().unique();
    table.text('species').notNullable();
    table.text('sex');
    table.text('killDate').notNullable();
    table.text('inspection').notNullable().checkIn(['custom-exempt', 'inspected']);
    table.json('addOns').notNullable();
    table.text('farmId').notNullable().references('id').inTable('people');
    table.text('priceListId').notNullable().references('id').inTable('priceLists');
    table.text('bookedAt').notNullable();
  });
  await db.schema.createTable('sides', (table) => {
    table.text('id').primary();
    table.text('animalId').notNullable().references('id').inTable('animals');
    table.text('position').notNullable().checkIn(['left', 'right']);
    table.unique(['animalId', 'position']);
  });
  await db.schema.createTable('shares', (table) => {
    table.text('id').primary();
    table.text('animalId').notNullable().references('id').inTable('animals');
    table.integer('position').notNullable();
    table.text('part').notNullable().checkIn(['left', 'right', 'whole']);
    table.text('ownerId').notNullable().references('id').inTable('people');
    table.text('payerId').notNullable().references('id').inTable('people');
    table.text('contactId').notNullable().references('id').inTable('people');
    table.integer('deposit').notNullable();
    table.unique(['animalId', 'position']);
    table.unique(['animalId', 'part']);
  });
}
