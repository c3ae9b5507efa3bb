import { RateLimiterMemory } from 'rate-limiter-flexible';
import { success, type Result } from '@/core/quantity/result';
import { refuse, type Reason } from '../house/reasons';

const holder = globalThis as { fractumKeptByAnybody?: RateLimiterMemory };

/** What one place may have kept in an hour, by people who are nobody in the shop. */
function keptByAnybody(): RateLimiterMemory {
  holder.fractumKeptByAnybody ??= new RateLimiterMemory({ points: 20, duration: 60 * 60 });
  return holder.fractumKeptByAnybody;
}

/** Whether somebody whom the shop does not know may have something kept here, from a place; each time counts. */
export async function admitAnybody(address: string): Promise<Result<true, Reason>> {
  return keptByAnybody()
    .consume(address)
    .then(
      () => success<true>(true),
      () => refuse('locked', 'Many sheets were kept from here within the hour. Wait a while, or ring us.'),
    );
}
