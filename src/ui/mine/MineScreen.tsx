'use client';

import { useEffect, useState } from 'react';
import type { Species } from '@/core/species/types';
import type { HouseholdSheet } from '@/server/links';
import { Coming, Failed } from '../kit/States';
import styles from './Mine.module.css';
import { MineSheet } from './MineSheet';

type Props = { token: string; mine: HouseholdSheet };

/** A household's page, as soon as the species of its sheet has come. */
export function MineScreen({ token, mine }: Props) {
  const [species, setSpecies] = useState<Species>();
  const [failed, setFailed] = useState(false);
  const { version } = mine.sheet.species;
  useEffect(() => {
    let isHere = true;
    fetch(`/api/mine/${token}/species/${encodeURIComponent(version)}`)
      .then(async (response) => {
        if (!response.ok) throw new Error(String(response.status));
        const found = (await response.json()) as Species;
        if (isHere) setSpecies(found);
      })
      .catch(() => isHere && setFailed(true));
    return () => {
      isHere = false;
    };
  }, [token, version]);
  if (species) return <MineSheet token={token} mine={mine} species={species} />;
  return (
    <main className={styles.page}>
      <div className={styles.body}>
        {failed ? (
          <Failed
            words="Your sheet could not be fetched. What you chose before is safe."
            onAgain={() => window.location.reload()}
          />
        ) : (
          <Coming words="Fetching your sheet" rows={8} />
        )}
      </div>
    </main>
  );
}
