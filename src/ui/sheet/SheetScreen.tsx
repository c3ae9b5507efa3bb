'use client';

import dynamic from 'next/dynamic';
import type { SheetView } from '@/server/sheet';
import { Coming, Failed } from '../kit/States';
import styles from './SheetScreen.module.css';
import { useSpecies } from './useSpecies';

/** The sheet and the arithmetic behind it come with the species they work on. */
const SheetWorkedOn = dynamic(() => import('./SheetWorkedOn').then((module) => module.SheetWorkedOn), {
  ssr: false,
});

/** The sheet, as soon as its species has come. */
export function SheetScreen({ view }: { view: SheetView }) {
  const { species, failed } = useSpecies(view.species);
  if (species) return <SheetWorkedOn view={view} species={species} />;
  return (
    <div className={styles.coming}>
      {failed ? (
        <Failed
          words="The catalogue did not come. What was answered is safe."
          onAgain={() => window.location.reload()}
        />
      ) : (
        <Coming words={`Loading the sheet of ${view.name}`} rows={12} />
      )}
    </div>
  );
}
