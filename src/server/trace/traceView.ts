import Joi from 'joi';
import { success } from '@/core/quantity/result';
import type { WeighingUnit } from '@/core/quantity/weight';
import { instant } from '@/core/time/shopTime';
import { readShop } from '@/data/setUp';
import { refuse } from '../house/reasons';
import { defineUseCase, OFFICE } from '../house/useCase';
import { drillOf, type DrillUnderWay } from './drills';
import { tracedFor, type Traced } from './traced';

/** What was asked about: a pack, an animal by its tag, a lot; nothing while nobody has asked. */
export type TraceView = {
  readonly words: string;
  readonly unit: WeighingUnit;
  /** By whose clock times are shown. */
  readonly zone: string;
  /** ISO 8601, UTC. */
  readonly readAt: string;
  readonly found: Traced | null;
  /** The drill of these words that is going on; null where none is. */
  readonly drill: DrillUnderWay | null;
};

/** From a pack back to everything it came from, and from an animal or a lot forward to everybody it reached. */
export const traceView = defineUseCase<{ words: string }, TraceView>({
  name: 'traceView',
  roles: OFFICE,
  writes: false,
  input: Joi.object({ words: Joi.string().trim().max(300).allow('').default('') }),
  run: async (house, { words }) => {
    const { unit, zone } = await readShop(house.db);
    const shown = { words, unit, zone, readAt: instant(house.now) };
    if (words === '') return success({ ...shown, found: null, drill: null });
    const found = await tracedFor(house, words);
    if (found) return success({ ...shown, found, drill: await drillOf(house, words) });
    return refuse('not-found', `No pack, no animal and no lot of this shop is called ${words}.`);
  },
});
