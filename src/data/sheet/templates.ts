import type { Sheet } from '@/core/sheet/types';
import type { Instant } from '@/core/time/shopTime';
import type { Database } from '../database';

/** A sheet of the shop's that is taken by its name. */
export type SheetTemplate = {
  readonly id: string;
  readonly species: string;
  readonly name: string;
  readonly sheet: Sheet;
  readonly at: Instant;
  readonly actorId: string;
};

/** The templates of a species that are in use, by name. */
export async function templatesOf(db: Database, species: string): Promise<SheetTemplate[]> {
  const rows: (Omit<SheetTemplate, 'sheet'> & { sheet: string })[] = await db('sheetTemplates')
    .where({ species })
    .whereNull('endedAt')
    .orderBy('name')
    .select('id', 'species', 'name', 'sheet', 'at', 'actorId');
  return rows.map((row) => ({ ...row, sheet: JSON.parse(row.sheet) }));
}

export async function writeTemplate(db: Database, template: SheetTemplate): Promise<void> {
  await db('sheetTemplates').insert({ ...template, sheet: JSON.stringify(template.sheet) });
}

/** Ends a template. @returns whether there was one in use */
export async function endTemplateRow(db: Database, id: string, endedAt: Instant): Promise<boolean> {
  return (await db('sheetTemplates').where({ id }).whereNull('endedAt').update({ endedAt })) > 0;
}
