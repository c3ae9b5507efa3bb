import Joi from 'joi';
import { LONGEST_FILE } from '@/core/setUp/changeSchema';
import { setUpProblem } from '@/core/setUp/setUpProblem';
import { shopCatalogue } from '@/core/setUp/shopSpecies';
import { besideEachOther, type Beside } from '@/core/setUp/speciesBeside';
import { writeSpeciesFile } from '@/core/setUp/speciesFile';
import { writeAtlas } from '@/core/formats/atlasCsv';
import { success } from '@/core/quantity/result';
import type { SideMap } from '@/core/species/types';
import { refuse, type Refusal } from '../house/reasons';
import { defineUseCase } from '../house/useCase';
import { tryChange } from './setUp';

/** What a file would bring: shown before it is taken. */
export type TriedFile = {
  readonly id: string;
  readonly name: string;
  readonly pieces: number;
  readonly decisions: number;
  readonly recipes: number;
  /** Pounds of the side that its figures are of. */
  readonly sideLb: number;
  readonly source: string;
  readonly sideMap: SideMap;
  /** What the house's sheet gives of that side, now and with the file; null of what is not there now. */
  readonly lines: readonly Beside[];
  /** Why it cannot be taken; null when it can. */
  readonly problem: Refusal | null;
};

const text = Joi.string().max(LONGEST_FILE).required();

/** What a dropped file would be: a table of pieces for a species that is there, or a species. Nothing is changed. */
export const triedFileView = defineUseCase<
  | { readonly kind: 'atlas'; readonly species: string; readonly text: string }
  | { readonly kind: 'species'; readonly text: string },
  TriedFile
>({
  name: 'triedFileView',
  roles: ['owner'],
  writes: false,
  input: Joi.alternatives().try(
    Joi.object({ kind: Joi.valid('atlas').required(), species: Joi.string().max(60).required(), text }),
    Joi.object({ kind: Joi.valid('species').required(), text }),
  ),
  run: async (house, said) => {
    const tried = await tryChange(house, said);
    if (!tried.ok) return tried;
    const { step, trial } = tried.value;
    const problem = setUpProblem(step.change, trial) ?? null;
    const id =
      step.change.kind === 'species' ? step.change.own.id : said.kind === 'atlas' ? said.species : '';
    const now = house.catalogue.species.find((each) => each.id === id);
    const then =
      problem === null
        ? shopCatalogue(trial.shipped, trial.after).species.find((each) => each.id === id)
        : step.change.kind === 'species'
          ? step.change.own
          : now;
    if (!then) return refuse('not-found', `There is no species "${id}".`, 'species');
    return success({
      id,
      name: then.name,
      pieces: then.atlas.atoms.length,
      decisions: then.decisions.length,
      recipes: then.recipes.length,
      sideLb: then.atlas.reference.sideLb,
      source: then.atlas.source,
      sideMap: then.sideMap,
      lines: problem === null ? besideEachOther(now, then) : [],
      problem,
    });
  },
});

/** A species of the shop as a file: whole, or its pieces as a table. */
export const speciesFileView = defineUseCase<
  { id: string; as: 'csv' | 'json' },
  { name: string; text: string }
>({
  name: 'speciesFileView',
  roles: ['owner'],
  writes: false,
  input: Joi.object({ id: Joi.string().max(60).required(), as: Joi.valid('csv', 'json').required() }),
  run: async ({ catalogue }, { id, as }) => {
    const species = catalogue.species.find((each) => each.id === id);
    if (!species) return refuse('not-found', 'There is no such species.', 'id');
    return success(
      as === 'csv'
        ? { name: `${id}-pieces.csv`, text: writeAtlas(species.atlas.atoms) }
        : { name: `${id}.json`, text: writeSpeciesFile(species) },
    );
  },
});
