'use client';

import type { HouseholdSheet } from '@/server/links';
import { useSpeciesAt } from '../sheet/useSpecies';
import { FetchingSheet } from './FetchingSheet';
import { MineSheet } from './MineSheet';

type Props = { token: string; mine: HouseholdSheet };

/** A household's page, as soon as the species of its sheet has come. */
export function MineScreen({ token, mine }: Props) {
  const { version } = mine.sheet.species;
  const { species, failed } = useSpeciesAt(
    `/api/mine/${token}/species/${encodeURIComponent(version)}?share=${mine.shareId}`,
  );
  if (!species) return <FetchingSheet failed={failed} />;
  return <MineSheet token={token} mine={mine} species={species} />;
}
