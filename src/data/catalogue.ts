import { createHash } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { assembleCatalogue, type Catalogue, type CatalogueFiles } from '@/core/catalogue/catalogue';

/** Where species are data: `species/<id>/*.json`, `variants.json`, `items.json`, `ingredients.json`, `curing.json`; FRACTUM_SPECIES. */
export function catalogueFolder(): string {
  return resolve(/* turbopackIgnore: true */ process.env.FRACTUM_SPECIES ?? 'species');
}

/**
 * Reads the catalogue of a folder. A new species is a new folder; the code knows none of their names.
 *
 * @throws Error when a file is missing or is not JSON
 */
export function readCatalogue(folder: string = catalogueFolder()): Catalogue {
  const hash = createHash('sha256');
  const json = (...path: string[]): unknown => {
    const text = readFileSync(join(folder, ...path), 'utf8');
    hash.update(path.join('/')).update(text);
    return JSON.parse(text);
  };
  const ids = readdirSync(folder, { withFileTypes: true })
    .filter((entry) => entry.isDirectory())
    .map((entry) => entry.name)
    .sort();
  const files: CatalogueFiles = {
    species: ids.map((id) =>
      readdirSync(join(folder, id))
        .filter((file) => file.endsWith('.json'))
        .sort()
        .map((file) => fieldsOf(file, json(id, file))),
    ),
    variants: json('variants.json') as CatalogueFiles['variants'],
    ingredients: json('ingredients.json') as CatalogueFiles['ingredients'],
    curing: json('curing.json') as CatalogueFiles['curing'],
    items: json('items.json') as CatalogueFiles['items'],
  };
  return assembleCatalogue(hash.digest('hex').slice(0, 12), files);
}

/** A file of its own for the two large fields; every other file holds fields of the species side by side. */
function fieldsOf(file: string, content: unknown): object {
  if (file === 'atlas.json') return { atlas: content };
  if (file === 'side-map.json') return { sideMap: content };
  return content as object;
}
