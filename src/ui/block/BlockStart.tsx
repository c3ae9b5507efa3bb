'use client';

import { sumWeights } from '@/core/quantity/weight';
import type { BlockView } from '@/server/block';
import { BeforeTheBlock } from '../wrap/BeforeTheBlock';

/** A share that is not on the block yet, as the cutter takes it there. */
export function BlockStart({ view, onStarted }: { view: BlockView; onStarted: () => Promise<void> }) {
  const { shareId, name, about, unit, chilling, whyNotReady, cautions, words } = view;
  const cold = sumWeights(view.hands.map((hand) => hand.cold));
  return (
    <BeforeTheBlock
      view={{ shareId, name, about, unit, chilling, whyNotReady, cautions, cold, instructions: words }}
      back="/block"
      onStarted={onStarted}
    />
  );
}
