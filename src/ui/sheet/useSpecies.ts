'use client';

import { useEffect, useState } from 'react';
import type { Species } from '@/core/species/types';
import type { SheetView } from '@/server/sheet';

const known = new Map<string, Promise<Species>>();

function load(address: string): Promise<Species> {
  const loading =
    known.get(address) ??
    fetch(address).then((response) => {
      if (!response.ok) throw new Error(`The catalogue answered ${response.status}.`);
      return response.json() as Promise<Species>;
    });
  known.set(address, loading);
  loading.catch(() => known.delete(address));
  return loading;
}

export type LoadedSpecies = { readonly species: Species | null; readonly failed: boolean };

/** The one species that a sheet at the counter is worked out with: fetched once, and kept by the browser for ever. */
export function useSpecies({ id, version }: SheetView['species']): LoadedSpecies {
  return useSpeciesAt(`/api/catalogue/${version}/${id}`);
}

/** The species that an address gives. */
export function useSpeciesAt(address: string): LoadedSpecies {
  const [state, setState] = useState<LoadedSpecies & { address: string }>({
    address,
    species: null,
    failed: false,
  });
  useEffect(() => {
    let stale = false;
    load(address).then(
      (species) => !stale && setState({ address, species, failed: false }),
      () => !stale && setState({ address, species: null, failed: true }),
    );
    return () => {
      stale = true;
    };
  }, [address]);
  return state.address === address ? state : { species: null, failed: false };
}
