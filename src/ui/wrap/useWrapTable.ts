'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import { ELSEWHERE, gradeWords, NEVER_GROUND, type Grade, type NeverGround } from '@/core/grindroom/tubs';
import { inSentence } from '@/core/quantity/inSentence';
import { formatWeight, type Weight } from '@/core/quantity/weight';
import type { WrapView } from '@/server/wrap';
import type { InputOf } from '@/server/useCases';
import { act, newClientId } from '../kit/act';
import { useDoor } from '../kit/door';
import { useFloorView } from '../offline/useFloorView';
import { useSignal } from '../kit/useSignal';
import { useWho } from '../kit/Who';
import type { Result } from '@/core/quantity/result';
import { isOnItsWay, type Taken, type WeighInput } from '../outbox/outbox';
import { outbox } from '../outbox/useOutbox';
import { lastOwn, type Own } from './lastOwn';
import { runningAccount } from './runningAccount';
import { isDue, targetsOf } from './targets';
import type { Typed } from './TypedWeight';
import { useChosenTarget } from './useChosenTarget';
import { useNotice } from './useNotice';
import { useScale } from './useScale';
import { whyNotTaken } from './whyNotTaken';

type VoidInput = InputOf<'voidWeighing'>;

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

/** What is still on the block when what is on its way has arrived. */
function onBlockNow({ onBlock }: WrapView, pending: readonly { input: WeighInput }[]): Weight {
  const leaving = pending
    .map(({ input }) => ({
      ...counted(input),
      from: input.purpose.kind === 'green' ? input.purpose.from : '',
    }))
    .filter(({ kind, source, from }) => (kind === 'package' ? source === 'share' : from !== 'tub'));
  return (onBlock - leaving.reduce((sum, { net }) => sum + net, 0)) as Weight;
}

/** Names what lies on the scale and what it is to be taken for. */
function loadKey(input: WeighInput): string {
  const load =
    'reading' in input
      ? `${input.reading.scaleId} ${input.reading.loadId}`
      : `typed ${input.typed.gross} ${input.typed.tare}`;
  return `${load} ${JSON.stringify(input.purpose)}`;
}

/** How one says that something out of the ordinary is right. */
function againWords(input: WeighInput): string {
  return 'reading' in input ? 'Press Enter again if it is right.' : 'Type it again if it is right.';
}

type Say = ReturnType<typeof useNotice>['say'];

/** The weighings of this table on their way, what the house said of them, and what was taken on this page. */
function useSent({ shareId, unit }: WrapView, say: Say, reload: () => Promise<void>) {
  const who = useWho();
  const everything = useSignal(outbox.waiting);
  const away = useSignal(outbox.away);
  /** What was said to be out of the ordinary: the same load for the same target is a second yes. */
  const [odd, setOdd] = useState('');
  const taken = useRef<Own[]>([]);
  useEffect(
    () =>
      outbox.onAnswer(({ name, input }, said) => {
        if (name !== 'weigh' || input.shareId !== shareId) return false;
        const answer = said as Result<Taken, string>;
        const isOdd = !answer.ok && answer.reason === 'unusual';
        setOdd(isOdd ? loadKey(input) : '');
        if (answer.ok) {
          taken.current.push(answer.value);
          const both = input.onto ? '. The label says both cuts: throw the first one away' : '';
          say('done', `${answer.value.cut} ${formatWeight(answer.value.net, unit)} ${unit}${both}`);
        } else say('refused', isOdd ? `${answer.message} ${againWords(input)}` : answer.message);
        void reload();
        return true;
      }),
    [shareId, unit, say, reload],
  );
  const onItsWay = everything.filter(({ setAside }) => setAside === '');
  const takenBack = new Set(
    onItsWay.flatMap(({ name, input }) =>
      name === 'voidWeighing' ? ['weighedAs' in input ? input.weighedAs : input.weighingId] : [],
    ),
  );
  const settled = onItsWay.flatMap(({ name, input }) =>
    name === 'noteLine' && input.shareId === shareId ? [input.lineKey] : [],
  );
  const pending = onItsWay.flatMap((each) =>
    each.name === 'weigh' && each.input.shareId === shareId && !takenBack.has(each.input.clientId)
      ? [each]
      : [],
  );
  const send = useCallback(
    (input: WeighInput) => {
      if (isOnItsWay(outbox.waiting.get(), input)) return;
      outbox.add({ name: 'weigh', input }, who);
      void outbox.flush(who.id);
    },
    [who],
  );
  return { pending, takenBack, settled, unsent: onItsWay.length, away, odd, taken, send };
}

/** Everything that can be done at the wrap table, and what it shows. */
export function useWrapTable(first: WrapView) {
  const { value: known, reload } = useFloorView('wrapView', { shareId: first.shareId }, first);
  const { notice, flash, say, clear } = useNotice();
  const [readHere, setReadHere] = useState(false);
  /** The finished target and the load of which somebody has been asked whether it is one more. */
  const [again, setAgain] = useState('');
  const takenBack = useRef(new Set<string>());
  const [trayAt, setTray] = useState(-1);
  const [grade, setGrade] = useState<Grade>('');
  const scale = useScale();
  const door = useDoor();
  const { pending, away, odd, taken, send, ...sent } = useSent(known, say, reload);
  // What is on its way is done for whoever did it.
  const view: WrapView = {
    ...known,
    weighings: known.weighings.filter(({ id }) => !sent.takenBack.has(id)),
    settledLines: [...known.settledLines, ...sent.settled],
  };
  const targets = targetsOf(
    view,
    pending.map(({ input }) => counted(input)),
  );
  const chosen = useChosenTarget(targets);
  const { target } = chosen;
  const { unit, shareId } = view;
  const tray = view.trays[trayAt];

  const read = readHere || view.noteRead;
  /** Said once: the house remembers who has read them, and the table goes on without waiting for it. */
  function acknowledge() {
    setReadHere(true);
    void door('readNote', { clientId: newClientId(), shareId });
  }

  /** Why nothing is taken now, in words that are said; undefined when it is. */
  function whyNotNow(): string | undefined {
    if (view.instructions !== '' && !read) {
      acknowledge();
      return `Read first: ${view.instructions} Press Enter again to weigh.`;
    }
    const why = whyNotTaken(target, scale.reading);
    if (why) return why;
    const oneMore = `${target!.key} ${scale.reading!.loadId}`;
    // Parted trim comes in as many loads as it has grades.
    const isParted = target!.purpose.kind === 'tub' && grade !== '';
    if (isDue(target!) || isParted || again === oneMore) return undefined;
    setAgain(oneMore);
    return `${target!.title}: ${target!.made} of ${target!.due} are made. Press Enter again if this is one more.`;
  }

  /** What every weight that is taken for the chosen target says, however it was weighed. */
  function asked() {
    const purpose = target!.purpose.kind === 'tub' ? { ...target!.purpose, grade } : target!.purpose;
    const pieces = purpose.kind === 'package' ? chosen.pieces : null;
    return { clientId: newClientId(), shareId, purpose, pieces, ...(tray ? { tray: tray.name } : {}) };
  }

  function sendOff(input: WeighInput) {
    send({ ...input, sure: loadKey(input) === odd });
    chosen.usualPieces();
  }

  /** Trim is parted by what it is; what is never ground goes to its barrel instead. */
  function part(what: Grade | NeverGround) {
    const elsewhere = NEVER_GROUND.find((each) => each === what);
    if (!elsewhere) {
      setGrade(what as Grade);
      chosen.choose('tub');
      return say('done', `Into the tub: ${inSentence(gradeWords(what as Grade))}`);
    }
    const { why, barrel } = ELSEWHERE[elsewhere];
    chosen.choose(barrel);
    return say('refused', `${why} It is weighed out here.`);
  }

  function take() {
    const why = whyNotNow();
    if (why) return say('refused', why);
    return sendOff({ ...asked(), reading: scale.reading! });
  }

  /** What was put on top of the last pack is of another cut: both are in one pack. */
  function combine() {
    const last = lastOwn(view.weighings, taken.current, takenBack.current);
    if (!last || pending.length > 0) {
      return say('refused', 'Weigh the first cut of the pack, then put the other on top of it.');
    }
    const why = whyNotNow();
    if (why) return say('refused', why);
    return sendOff({ ...asked(), onto: last.id, reading: scale.reading! });
  }

  /** A weight typed by hand, while the scale is away. */
  function takeTyped(typed: Typed) {
    if (target) sendOff({ ...asked(), typed });
  }

  /** Takes back the last of one's own, also while it is on its way: what takes it back follows it. */
  async function takeBack() {
    const onItsWay = pending.at(-1);
    const last = onItsWay
      ? { id: onItsWay.input.clientId, cut: 'the last', net: counted(onItsWay.input).net }
      : lastOwn(view.weighings, taken.current, takenBack.current);
    if (!last) return say('refused', 'You have weighed nothing here that could be taken back.');
    const which = onItsWay ? { weighedAs: last.id } : { weighingId: last.id };
    const result = await door('voidWeighing', { clientId: newClientId(), ...which, reason: '' } as VoidInput);
    if (!result.ok && result.reason !== 'kept') return say('refused', result.message);
    takenBack.current.add(last.id);
    const words = `${last.cut} ${formatWeight(last.net, unit)} ${unit}`;
    say('done', `Taken back: ${words}. ${result.ok ? 'Weigh it again.' : result.message}`);
    await reload();
  }

  async function printAgain() {
    const last = view.weighings.findLast(
      ({ kind, source }) => kind === 'package' || (kind === 'tub' && source !== ''),
    );
    if (!last) return say('refused', 'Nothing here has a label yet.');
    const result = await door('reprintLabel', { clientId: newClientId(), weighingId: last.id });
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
    const result = await door('noteLine', { clientId: newClientId(), shareId, lineKey, note });
    if (!result.ok && result.reason !== 'kept') return say('refused', result.message);
    say('done', `${target.title}: ${note}. ${result.ok ? '' : result.message}`.trim());
    chosen.choose(undefined);
    await reload();
  }

  return {
    view,
    grade,
    part,
    reload,
    scale,
    pending: sent.unsent,
    away,
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
    account: runningAccount(targets, onBlockNow(view, pending)),
    tray,
    nextTray: () => setTray(trayAt + 1 >= view.trays.length ? -1 : trayAt + 1),
    combine,
    say,
    acknowledge,
    take,
    takeTyped,
    takeBack,
    printAgain,
    tare,
    explain,
  };
}
