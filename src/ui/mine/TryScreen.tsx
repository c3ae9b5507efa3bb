'use client';

import { useMemo, useState } from 'react';
import { groundOf } from '@/core/questions/groundOf';
import { sheetAgain } from '@/core/sheet/again';
import type { Species } from '@/core/species/types';
import type { TrySheet } from '@/server/links';
import type { SheetWay } from '../sheet/useSheet';
import { useSpeciesAt } from '../sheet/useSpecies';
import { FetchingSheet } from './FetchingSheet';
import { readTry, writeTry } from './keptTry';
import { SheetPages } from './SheetPages';
import { TakeAlong } from './TakeAlong';
import { TryStart } from './TryStart';

/** A sheet to be tried before anything is booked: on a usual animal, kept on this telephone alone. */
export function TryScreen({ first }: { first: TrySheet }) {
  const { id, version } = first.sheet.species;
  const { species, failed } = useSpeciesAt(`/api/open/species/${encodeURIComponent(version)}/${id}`);
  if (!species) return <FetchingSheet failed={failed} />;
  return <Tried first={first} species={species} />;
}

const NOT_KEPT = 'This telephone keeps nothing; take the sheet along before you leave the page.';

function Tried({ first, species }: { first: TrySheet; species: Species }) {
  const { id } = first.sheet.species;
  const [kept] = useState(() => readTry(id));
  const page = useMemo(() => {
    const { situation } = groundOf(first.sheet, species);
    const sheet = kept ? sheetAgain(kept.sheet, situation).sheet : first.sheet.sheet;
    return { shop: first.shop, prices: true, sheet: { ...first.sheet, sheet } };
  }, [first, kept, species]);
  const way = useMemo(
    (): SheetWay => ({
      reopens: false,
      save: async ({ baseVersion, sheet }) =>
        writeTry(id, { sheet, taken: readTry(id)?.taken ?? null })
          ? { ok: true, value: { version: baseVersion + 1 } }
          : { ok: false, reason: 'invalid', message: NOT_KEPT },
      fetch: async () => ({ ok: true, value: page.sheet }),
    }),
    [id, page],
  );
  return (
    <SheetPages
      page={page}
      species={species}
      way={way}
      first={(steps) => <TryStart tried={first} page={steps} />}
      ending={(state) => <TakeAlong tried={first} state={state} kept={kept?.taken ?? null} />}
    />
  );
}
