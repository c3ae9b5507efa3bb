import { STAGES, type Place, type Stage } from '@/core/order/stage';
import type { ShareFile } from '@/core/order/shareFile';
import { dayIn, dayWords, momentWords } from '@/core/time/shopTime';
import type { NameOf } from './names';

/** One stage of a share's own line: when it was done and by whom, or that it is waited for. */
export type Step = {
  readonly stage: Stage;
  readonly state: 'done' | 'now' | 'to come';
  readonly at: string;
  readonly who: string;
};

type Event = { readonly at: string; readonly actorId?: string };

/** The last of what happened at each stage. */
function eventsOf(file: ShareFile): Readonly<Record<Stage, readonly (Event | undefined)[]>> {
  const { animal, sides, sheet, start, weighings, closing, pickUp } = file;
  return {
    book: [{ at: animal.bookedAt }],
    hang: sides.map(({ hot, cold }) => cold ?? hot),
    sheet: [sheet],
    wrap: [start, weighings.at(-1)],
    reconcile: [closing],
    settle: [pickUp],
  };
}

/** The share's own way along the rail; what happened at a stage stands there, whatever the order it happened in. */
export function lineOf(file: ShareFile, place: Place, nameOf: NameOf): Step[] {
  const events = eventsOf(file);
  const here = STAGES.indexOf(place as Stage);
  const { zone } = file.shop;
  return STAGES.map((stage, index) => {
    const last = events[stage].flatMap((event) => (event ? [event] : [])).at(-1);
    const isDone = place === 'gone' || (here >= 0 && index < here);
    const state = isDone ? 'done' : index === here ? 'now' : 'to come';
    const at = !last
      ? ''
      : stage === 'book'
        ? dayWords(dayIn(zone, new Date(last.at)))
        : momentWords(zone, last.at);
    return { stage, state, at, who: nameOf(last?.actorId) };
  });
}
