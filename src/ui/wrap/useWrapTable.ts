'use client';

import { useCallback, useEffect, useState } from 'react';
import { formatWeight, type Weight } from '@/core/quantity/weight';
import type { WrapView } from '@/server/wrap';
import { act, newClientId } from '../kit/act';
import { targetsOf } from './targets';
import { useChosenTarget } from './useChosenTarget';
import { useNotice } from './useNotice';
import { useScale } from './useScale';
import { useWeighingQueue, type WeighInput } from './useWeighingQueue';
import { whyNotTaken } from './whyNotTaken';

/** Other stations weigh too: the counts are loaded again this often. */
const REFRESH_MS = 8000;

/** The share on the table as the house has it; loaded again after each weighing, in between, and on return. */
function useView(first: WrapView) {
  const [view, setView] = useState(first);
  const reload = useCallback(async () => {
    const result = await act('wrapView', { shareId: first.shareId });
    if (result.ok) setView(result.value);
  }, [first.shareId]);
  useEffect(() => {
    const timer = setInterval(() => void reload(), REFRESH_MS);
    window.addEventListener('focus', reload);
    return () => {
      clearInterval(timer);
      window.removeEventListener('focus', reload);
    };
  }, [reload]);
  return { view, reload };
}

/** How a weighing that is on its way counts among those that are done. */
function counted(input: WeighInput) {
  const { purpose } = input;
  const net = 'reading' in input ? input.reading.net : input.typed.gross - input.typed.tare;
  return {
    net: net as Weight,
    kind: purpose.kind,
    source: purpose.kind === 'package' ? purpose.from : purpose.kind === 'barrel' ? purpose.barrel : '',
    lineKey: 'lineKey' in purpose ? purpose.lineKey : '',
  };
}

/** Names what lies on the scale and what it is to be taken for. */
function loadKey(input: WeighInput): string {
  const load = 'reading' in input ? `${input.reading.scaleId} ${input.reading.loadId}` : input.clientId;
  return `${load} ${JSON.stringify(input.purpose)}`;
}

/** Everything that can be done at the wrap table, and what it shows. */
export function useWrapTable(first: WrapView) {
  const { view, reload } = useView(first);
  const { notice, flash, say, clear } = useNotice();
  const [read, setRead] = useState(false);
  /** What was said to be out of the ordinary: the same load for the same target is a second yes. */
  const [odd, setOdd] = useState('');
  const scale = useScale();
  const queue = useWeighingQueue(first.shareId, {
    onTaken: ({ cut, net }) => {
      say('done', `${cut} ${formatWeight(net)} ${view.unit}`);
      void reload();
    },
    onRefused: (failure, input) => {
      const isOdd = failure.reason === 'unusual';
      setOdd(isOdd ? loadKey(input) : '');
      say('refused', isOdd ? `${failure.message} Press Enter again if it is right.` : failure.message);
      void reload();
    },
  });
  const targets = targetsOf(view, queue.pending.map(counted));
  const chosen = useChosenTarget(targets);
  const { target } = chosen;

  function take() {
    if (view.instructions !== '' && !read) {
      setRead(true);
      return say('refused', `Read first: ${view.instructions} Press Enter again to weigh.`);
    }
    const why = whyNotTaken(target, scale.reading);
    if (why) return say('refused', why);
    const { purpose } = target!;
    const input = {
      clientId: newClientId(),
      shareId: view.shareId,
      purpose,
      pieces: purpose.kind === 'package' ? chosen.pieces : null,
      reading: scale.reading!,
    };
    queue.add({ ...input, sure: loadKey(input) === odd });
    chosen.usualPieces();
  }

  async function takeBack() {
    const last = view.weighings.at(-1);
    if (!last) return say('refused', 'Nothing has been weighed yet.');
    const input = { clientId: newClientId(), weighingId: last.id, reason: '' };
    const result = await act('voidWeighing', input);
    if (!result.ok) return say('refused', result.message);
    say('done', `Taken back: ${last.cut} ${formatWeight(last.net)} ${view.unit}. Weigh it again.`);
    await reload();
  }

  async function printAgain() {
    const last = view.weighings.findLast((each) => each.kind === 'package');
    if (!last) return say('refused', 'No pack has a label yet.');
    const result = await act('reprintLabel', { clientId: newClientId(), weighingId: last.id });
    say(result.ok ? 'done' : 'refused', result.ok ? `Label of ${last.cut} printed again.` : result.message);
  }

  async function tare() {
    const result = await act('tareScale', {});
    say(result.ok ? 'done' : 'refused', result.ok ? 'Tare taken.' : result.message);
  }

  /** Says why nothing more of the chosen target is to come. */
  async function explain(note: string) {
    if (!target || !('lineKey' in target.purpose)) return;
    const { lineKey } = target.purpose;
    const result = await act('noteLine', { clientId: newClientId(), shareId: view.shareId, lineKey, note });
    if (!result.ok) return say('refused', result.message);
    say('done', `${target.title}: ${note}.`);
    chosen.choose(undefined);
    await reload();
  }

  return {
    view,
    reload,
    scale,
    queue,
    targets,
    notice,
    flash,
    read,
    chosen: {
      ...chosen,
      choose: (key: string | undefined) => {
        if (key === undefined) return;
        chosen.choose(key);
        clear();
      },
    },
    acknowledge: () => setRead(true),
    take,
    takeBack,
    printAgain,
    tare,
    explain,
  };
}
