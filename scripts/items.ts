import { readFileSync, writeFileSync } from 'node:fs';
import { itemsOf } from '@/core/species/items';
import { catalogueFolder, readCatalogue } from '@/data/catalogue';

/** `npm run items`: gives a number to everything in the catalogue that has none yet. A number given stays for ever. */
const file = `${catalogueFolder()}/items.json`;
const numbers = JSON.parse(readFileSync(file, 'utf8')) as Record<string, Record<string, number>>;
let last = Math.max(1000, ...Object.values(numbers).flatMap((items) => Object.values(items)));
let added = 0;
for (const species of readCatalogue().species) {
  const own = (numbers[species.id] ??= {});
  for (const item of itemsOf(species)) {
    if (Object.hasOwn(own, item)) continue;
    own[item] = last += 1;
    added += 1;
  }
}
writeFileSync(file, `${JSON.stringify(numbers, null, 2)}\n`);
process.stdout.write(`${added} new items; the last number is ${last}.\n`);
