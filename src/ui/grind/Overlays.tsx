'use client';

import { gramsShown } from '@/core/curing/ingredients';
import { formatWeight } from '@/core/quantity/weight';
import { Choose } from '../wrap/Choose';
import { TypedWeight } from '../wrap/TypedWeight';
import { LotDialog } from './LotDialog';
import { SecondLook } from './SecondLook';
import type { AtGrinder } from './useGrind';
import { orderWords, ppmWords } from './words';

/** What lies over the station for a moment. */
export type Over = 'together' | 'look' | 'typed' | 'order' | 'hold' | 'lot' | 'otherwise' | undefined;

const HOLDS = ['Too warm', 'Something fell in', 'Wrong meat, perhaps', 'The weight is doubted'] as const;
const RELEASES = ['Looked at, and sound', 'It was the scale', 'It was cold again in time'] as const;
const OTHERWISE = [
  'They asked for more of it',
  'They asked for less of it',
  'No more of it is here',
  'Tried, and better so',
] as const;

/** Whether it is in already, or why it cannot be. */
function togetherWords({ joined }: AtGrinder, shareId: string, why: string): string {
  if (why !== '') return `: ${why}`;
  return joined.some((each) => each.shareId === shareId) ? ': is in, take it out' : '';
}

type Props = { grinder: AtGrinder; over: Over; onClose: () => void };

/** Choices and dialogs of the grind room: each does its one thing and is gone. */
export function Overlays({ grinder, over, onClose: close }: Props) {
  const { view, job, act } = grinder;
  if (!job || !act) return null;
  const { batch } = job;
  const waiting = view.day.order.flatMap(({ id }) => view.jobs.find((each) => each.id === id) ?? []);
  return (
    <>
      {over === 'order' && (
        <Choose
          label="The order of the day"
          title="Which comes next? The order above washes least."
          choices={waiting.map((each) => ({ id: each.id, words: orderWords(each) }))}
          onChoose={(id) => {
            grinder.pick(id);
            close();
          }}
          onClose={close}
        />
      )}
      {over === 'together' && (
        <Choose
          label="Together with another owner"
          title="Whose meat is ground with it? Each gets whole packs back by the weight that went in."
          choices={job.mayPool.map(({ shareId, name, planned, why }) => ({
            id: shareId,
            words: `${name}, ${formatWeight(planned, 1)} ${view.unit}${togetherWords(grinder, shareId, why)}`,
          }))}
          onChoose={(shareId) => {
            grinder.join(shareId);
            close();
          }}
          onClose={close}
        />
      )}
      {over === 'otherwise' && act.does === 'weigh' && (
        <Choose
          label="Otherwise than the recipe says"
          title={`Why another weight of ${act.due.name}? What lies on the scale is taken.`}
          choices={OTHERWISE.map((words) => ({ id: words, words }))}
          onChoose={(reason) => {
            close();
            void grinder.weighOtherwise(reason);
          }}
          onClose={close}
        />
      )}
      {over === 'hold' && batch && (
        <Choose
          label="Hold or release"
          title={
            batch.standing.held ? `Held: ${batch.standing.held}. Why is it released?` : 'Why is it held?'
          }
          choices={(batch.standing.held ? RELEASES : HOLDS).map((words) => ({ id: words, words }))}
          onChoose={(reason) => {
            close();
            void grinder.holdOrRelease(batch.standing.held ? 'released' : 'held', reason);
          }}
          onClose={close}
        />
      )}
      {over === 'typed' && (
        <TypedWeight
          title={act.does === 'weigh' ? act.due.name : 'Meat'}
          unit={act.does === 'weigh' ? 'g' : view.unit}
          onTyped={(typed) => {
            close();
            void grinder.weighTyped(typed);
          }}
          onClose={close}
        />
      )}
      {over === 'lot' && act.does === 'weigh' && (
        <LotDialog
          ingredient={act.due.name}
          lot={grinder.lotOf(act.due.name)}
          onSaid={(lot) => {
            grinder.sayLot(act.due.name, lot);
            close();
          }}
          onClose={close}
        />
      )}
      {over === 'look' && act.does === 'look' && batch && (
        <SecondLook
          of={{ batchId: batch.id }}
          ingredient={act.due.name}
          about={`${gramsShown(act.due.weighed ?? 0)} g of ${act.due.name} for ${formatWeight(batch.standing.meat, view.unit)} ${view.unit} of meat: ${ppmWords(batch)}.`}
          onClose={close}
          onLooked={() => {
            close();
            grinder.say('done', 'Looked at by two');
          }}
        />
      )}
    </>
  );
}
