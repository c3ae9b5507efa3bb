'use client';

import { Button } from 'antd';
import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import type { ShareId } from '@/core/order/animal';
import { counted } from '@/core/quantity/counted';
import { momentWords } from '@/core/time/shopTime';
import type { TraceView } from '@/server/trace';
import { Note } from '../kit/Note';
import { useAsk } from '../kit/useAsk';

const MINUTE_MS = 60_000;

/** A drill of a recall: begun in one press, the minutes run until everybody was reached, and stand in the book of the day. */
export function Drill({ view }: { view: TraceView }) {
  const begin = useAsk('beginDrill');
  const end = useAsk('endDrill');
  const router = useRouter();
  const { drill, found, words } = view;
  const minutes = useMinutes(drill?.at ?? null);
  const again = async (asked: Promise<{ ok: boolean }>) => (await asked).ok && router.refresh();
  if (!found) return null;
  if (!drill) {
    return (
      <>
        <Button loading={begin.busy} onClick={() => void again(begin.ask({ words }))}>
          Begin a drill
        </Button>
        <Note failure={begin.refusal} />
      </>
    );
  }
  return (
    <p role="status">
      <b>
        Drill since {momentWords(view.zone, drill.at)}: {minutes} min, {drill.reached.length} of{' '}
        {counted(found.reached.length, 'household')} reached.
      </b>{' '}
      <Button loading={end.busy} onClick={() => void again(end.ask({ drillId: drill.id }))}>
        End the drill
      </Button>
      <Note failure={end.refusal} />
    </p>
  );
}

/** Marks a household as reached, while a drill is going on. */
export function ReachedButton({ drillId, shareId }: { drillId: string; shareId: ShareId }) {
  const { ask, busy } = useAsk('reachInDrill');
  const router = useRouter();
  const reach = async () => {
    const answer = await ask({ drillId, shareId });
    if (answer.ok) router.refresh();
  };
  return (
    <Button size="small" loading={busy} onClick={() => void reach()}>
      Reached
    </Button>
  );
}

function useMinutes(since: string | null): number {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    if (since === null) return undefined;
    const clock = setInterval(() => setNow(Date.now()), MINUTE_MS / 6);
    return () => clearInterval(clock);
  }, [since]);
  return since === null ? 0 : Math.max(0, Math.floor((now - Date.parse(since)) / MINUTE_MS));
}
