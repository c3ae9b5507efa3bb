'use client';

import type { LabelSample, SetUpView } from '@/server/shop';
import { ShopHeading } from './ShopHeading';
import { SetUpHistory } from './SetUpHistory';
import { ShopRules } from './ShopRules';
import { SpeciesRulesTable } from './SpeciesRulesTable';
import { useSetUp } from './useSetUp';
import styles from './SetUp.module.css';

/** How the shop works: what holds for every animal, and what for each species. */
export function RulesScreen({ view: first, label }: { view: SetUpView; label: LabelSample }) {
  const state = useSetUp(first);
  return (
    <div>
      <ShopHeading>{null}</ShopHeading>
      <div className={styles.columns}>
        <div className={styles.two}>
          <ShopRules state={state} label={label} />
          <div className={styles.scrolls}>
            <SpeciesRulesTable state={state} />
          </div>
        </div>
        <SetUpHistory view={state.view} />
      </div>
    </div>
  );
}
