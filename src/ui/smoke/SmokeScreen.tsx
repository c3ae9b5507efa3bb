'use client';

import { Button } from 'antd';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { LoadAtSmoke, PieceAtSmoke, SmokeView } from '@/server/smoke';
import { useKey, useScope } from '../kit/keys/useKey';
import { useLive } from '../kit/live/useLive';
import { Note } from '../kit/Note';
import { Nothing } from '../kit/States';
import { useAsk } from '../kit/useAsk';
import { useWho } from '../kit/Who';
import type { Intended } from './BeginCureDialog';
import { Brines } from './Brines';
import { CureRail } from './CureRail';
import { InHand } from './InHand';
import { LoadPanel } from './LoadPanel';
import { MixPanel } from './MixPanel';
import { Overlays, type Over } from './Overlays';
import styles from './SmokeScreen.module.css';
import { useMix } from './useMix';
import { isDue, titleWords } from './words';

/** The smokehouse and the cures: what comes out when, what is in it, and whether each load kept its plan. */
export function SmokeScreen({ first }: { first: SmokeView }) {
  const { value: view } = useLive('smokeView', {}, first);
  const router = useRouter();
  const { role } = useWho();
  const mayDo = role === 'owner' || role === 'cutter' || role === 'smoker';
  const isOwner = role === 'owner';
  const [pickedId, setPicked] = useState('');
  const [openId, setOpen] = useState('');
  const [mixId, setMix] = useState(() => first.mixes.find(({ standing }) => !standing.isMixed)?.id ?? '');
  const [intended, setIntended] = useState<Readonly<Record<string, Intended>>>({});
  const [over, setOver] = useState<Over>();
  const close = () => setOver(undefined);

  const pieces = inOrder(view.pieces);
  const piece = pieces.find(({ id }) => id === pickedId) ?? pieces[0];
  const load = view.loads.find(({ id }) => id === openId) ?? loadInSight(view, piece);
  const mix = view.mixes.find(({ id, standing }) => id === mixId && !standing.isMixed);
  const cure = useAsk('doCure');
  const fire = useAsk('doLoad');
  const into = useAsk('beginCure');
  const atMix = useMix({
    ...{ view, mix },
    onType: () => setOver('typed'),
    onLeave: () => setMix(''),
    onMixed: (id) => {
      const meant = intended[id];
      setMix('');
      if (!meant) return;
      const { piece: of, thicknessIn, skinOn, place } = meant;
      setPicked(of.id);
      void into.ask({ shareId: of.shareId, weighingId: of.id, mixId: id, thicknessIn, skinOn, place });
    },
  });

  const step = (by: 1 | -1) => {
    const at = pieces.findIndex(({ id }) => id === piece?.id);
    const next = pieces[(at + by + pieces.length) % pieces.length];
    if (next) setPicked(next.id);
  };
  const stepLoad = (by: 1 | -1) => {
    const at = view.loads.findIndex(({ id }) => id === load?.id);
    const next = view.loads[(at + by + view.loads.length) % view.loads.length];
    if (next) setOpen(next.id);
  };
  const act = () => {
    if (mix) return atMix.toLook ? setOver('look') : void atMix.forward();
    if (!piece) return undefined;
    switch (piece.next) {
      case 'begin':
        return setOver('begin');
      case 'pump':
      case 'drain':
      case 'weigh':
        return setOver('weigh');
      case 'out':
        return void cure.ask({ cureId: piece.cure!.id, said: { kind: 'out' } });
      case 'load':
        return setOver('load');
      case 'held':
        return isOwner ? setOver(piece.cure?.held ? 'hold' : 'holdLoad') : undefined;
      case 'pack':
        return router.push(`/wrap/${piece.shareId}`);
      default:
        return undefined;
    }
  };
  const turned = () =>
    piece?.cure && !piece.cure.out && void cure.ask({ cureId: piece.cure.id, said: { kind: 'turned' } });
  const light = (byHand: boolean) =>
    load &&
    void fire.ask({ loadId: load.id, said: load.standing.lit ? { kind: 'ended' } : { kind: 'lit', byHand } });

  const isFree = over === undefined;
  useScope('smoke');
  useKey('smoke', 'next', () => step(1), isFree && pieces.length > 0);
  useKey('smoke', 'before', () => step(-1), isFree && pieces.length > 0);
  useKey('smoke', 'act', act, isFree && mayDo);
  useKey('smoke', 'turned', turned, isFree && mayDo);
  useKey('smoke', 'move', () => piece?.cure && setOver('move'), isFree && mayDo);
  useKey('smoke', 'note', () => piece?.cure && setOver('note'), isFree && mayDo);
  useKey(
    'smoke',
    'hold',
    () => piece?.cure && (!piece.cure.held || isOwner) && setOver('hold'),
    isFree && mayDo,
  );
  useKey('smoke', 'loadAfter', () => stepLoad(1), isFree && view.loads.length > 0);
  useKey('smoke', 'loadBefore', () => stepLoad(-1), isFree && view.loads.length > 0);
  useKey('smoke', 'load', () => piece?.next === 'load' && setOver('load'), isFree && mayDo);
  useKey('smoke', 'fire', () => load && !load.standing.ended && light(false), isFree && mayDo);
  useKey('smoke', 'holdLoad', () => load && setOver('holdLoad'), isFree && mayDo);
  useKey('smoke', 'brine', () => setOver('brine'), isFree && mayDo);
  useKey(
    'smoke',
    'ingredient',
    ({ key }) => atMix.choose(mix?.standing.ingredients[Number(key) - 1]?.name ?? ''),
    isFree && mix !== undefined,
  );
  useKey(
    'smoke',
    'typed',
    () => setOver('typed'),
    isFree && mayDo && atMix.due !== undefined && !atMix.due.cures,
  );
  useKey('smoke', 'print', () => load?.standing.lit && window.open(`/api/smoke/${load.id}`), isFree);

  return (
    <div className={styles.page}>
      <header className={styles.head}>
        <h1>{titleWords(view)}</h1>
        <p className="quiet">A piece hangs under the day it comes out; its cure soaks in from the edge.</p>
        {mayDo && (
          <Button onClick={() => setOver('brine')}>
            Make a brine <kbd>B</kbd>
          </Button>
        )}
        {view.mixes
          .filter(({ standing, id }) => !standing.isMixed && id !== mix?.id)
          .map(({ id, lot }) => (
            <Button key={id} onClick={() => setMix(id)}>
              Go on with {lot}
            </Button>
          ))}
      </header>
      {!mix && (
        <>
          {pieces.length === 0 ? (
            <Nothing>
              Nothing is cured or smoked now. A piece comes here when it is weighed green at the wrap table, a
              batch when it is stuffed.
            </Nothing>
          ) : (
            <CureRail
              view={view}
              inHand={piece}
              onPick={({ id }) => setPicked(id)}
              onAct={() => mayDo && void act()}
            />
          )}
          {piece && (
            <InHand
              piece={piece}
              view={view}
              mayDo={mayDo}
              isOwner={isOwner}
              busy={cure.busy || into.busy}
              onAct={act}
              onTurned={() => void turned()}
              onMove={() => setOver('move')}
              onNote={() => setOver('note')}
              onHold={() => setOver('hold')}
            />
          )}
        </>
      )}
      <Note failure={cure.refusal ?? into.refusal ?? fire.refusal} />
      {!mix && <Brines view={view} isOwner={isOwner} mayDo={mayDo} />}
      {mix ? (
        <MixPanel mix={mix} view={view} atMix={atMix} mayDo={mayDo} onLook={() => setOver('look')} />
      ) : (
        load && (
          <LoadPanel
            load={load}
            view={view}
            mayDo={mayDo}
            isOwner={isOwner}
            busy={fire.busy}
            onFire={() => light(false)}
            onByHand={() => light(true)}
            onReading={() => setOver('reading')}
            onHold={() => setOver('holdLoad')}
            onNote={() => setOver('noteLoad')}
            onOut={({ id }) => void fire.ask({ loadId: load.id, said: { kind: 'out', weighingId: id } })}
            onPick={({ id }) => setPicked(id)}
          />
        )
      )}
      <Overlays
        {...{ over, view, piece, load, mix, atMix }}
        onClose={close}
        onMix={(id, meant) => {
          setMix(id);
          if (meant) setIntended({ ...intended, [id]: meant });
          close();
        }}
        onLoad={(id) => {
          setOpen(id);
          close();
        }}
      />
    </div>
  );
}

/** What is due first, then by the day it comes out. */
function inOrder(pieces: readonly PieceAtSmoke[]): PieceAtSmoke[] {
  const dueOf = (piece: PieceAtSmoke) => (isDue(piece) ? '' : (piece.cure?.due ?? '~'));
  return [...pieces].sort((a, b) => (dueOf(a) < dueOf(b) ? -1 : dueOf(a) > dueOf(b) ? 1 : 0));
}

/** The load that is looked at first: that of the piece in hand, a held one, one that is not out, else the last. */
function loadInSight({ loads }: SmokeView, piece: PieceAtSmoke | undefined): LoadAtSmoke | undefined {
  return (
    loads.find(({ id }) => id === piece?.load?.id) ??
    loads.findLast(({ standing }) => standing.held.length > 0) ??
    loads.findLast(({ standing }) => standing.ended === null) ??
    loads.at(-1)
  );
}
