'use client';

import type { SetUpView } from '@/server/shop';
import { ShopHeading } from './ShopHeading';
import { SetUpHistory } from './SetUpHistory';
import { ShopRules } from './ShopRules';
import { SpeciesRulesTable } from './SpeciesRulesTable';
import { useSetUp } from './useSetUp';
import styles from './SetUp.module.css';

/** How the shop works: what holds for every animal, and what for each species. */
export function RulesScreen({ view: first }: { view: SetUpView }) {
  const state = useSetUp(first);
  return (
    <div>
      <ShopHeading>{null}</ShopHeading>
      <div className={styles.columns}>
        <div className={styles.two}>
          <ShopRules state={state} />
          <SpeciesRulesTable state={state} />
        </div>
        <SetUpHistory view={state.view} />
      </div>
    </div>
  );
}
