'use client';

import { Form, InputNumber } from 'antd';
import { gramsShown } from '@/core/curing/ingredients';
import { degreeSign, toFahrenheit } from '@/core/quantity/degrees';
import type { Weight, WeighingUnit } from '@/core/quantity/weight';
import type { LoadAtSmoke, MixAtSmoke, PieceAtSmoke, SmokeView } from '@/server/smoke';
import { SecondLook } from '../grind/SecondLook';
import { AskDialog } from '../kit/AskDialog';
import { useAsk } from '../kit/useAsk';
import { TypedWeight } from '../wrap/TypedWeight';
import { BeginCureDialog, type Intended } from './BeginCureDialog';
import { BrineDialog } from './BrineDialog';
import { LoadDialog } from './LoadDialog';
import { ReasonDialog } from './ReasonDialog';
import type { AtMix } from './useMix';
import { WeighDialog, type Weighed } from './WeighDialog';
import { shortLot } from './words';

/** What lies over the screen for a moment. */
export type Over =
  | 'begin'
  | 'weigh'
  | 'load'
  | 'brine'
  | 'hold'
  | 'move'
  | 'note'
  | 'holdLoad'
  | 'noteLoad'
  | 'reading'
  | 'look'
  | 'typed'
  | undefined;

type Props = {
  over: Over;
  view: SmokeView;
  piece: PieceAtSmoke | undefined;
  load: LoadAtSmoke | undefined;
  mix: MixAtSmoke | undefined;
  atMix: AtMix;
  onClose: () => void;
  onMix: (mixId: string, intended?: Intended) => void;
  onLoad: (loadId: string) => void;
};

/** The dialogs of the smokehouse: each does its one thing and is gone. */
export function Overlays({ over, view, piece, load, mix, atMix, onClose, onMix, onLoad }: Props) {
  switch (over) {
    case 'begin':
      return piece ? (
        <BeginCureDialog piece={piece} view={view} onBegun={onClose} onMix={onMix} onClose={onClose} />
      ) : null;
    case 'weigh':
      return piece ? <Weighing piece={piece} view={view} onClose={onClose} /> : null;
    case 'load':
      return piece ? <LoadDialog piece={piece} view={view} onHung={onLoad} onClose={onClose} /> : null;
    case 'brine':
      return <BrineDialog view={view} onMade={onMix} onClose={onClose} />;
    case 'look':
      return mix && atMix.toLook ? (
        <SecondLook
          of={{ mixId: mix.id }}
          ingredient={atMix.toLook.name}
          about={`${gramsShown(atMix.toLook.weighed ?? 0)} g of ${atMix.toLook.name} in lot ${mix.lot}: ${Math.round(mix.standing.ppm)} ppm of ${mix.standing.ppmLimit}.`}
          onClose={onClose}
          onLooked={onClose}
        />
      ) : null;
    case 'typed':
      return atMix.due ? (
        <TypedWeight
          title={atMix.due.name}
          unit="g"
          onTyped={(typed) => {
            onClose();
            void atMix.typed(typed);
          }}
          onClose={onClose}
        />
      ) : null;
    case 'hold':
    case 'move':
    case 'note':
      return piece?.cure ? <OfPiece over={over} piece={piece} onClose={onClose} /> : null;
    case 'holdLoad':
    case 'noteLoad':
    case 'reading':
      return load ? <OfLoad over={over} load={load} unit={view.unit} onClose={onClose} /> : null;
    default:
      return null;
  }
}

function OfPiece({
  over,
  piece,
  onClose,
}: {
  over: 'hold' | 'move' | 'note';
  piece: PieceAtSmoke;
  onClose: () => void;
}) {
  const { id: cureId, held } = piece.cure!;
  const kind = held ? ('released' as const) : ('held' as const);
  if (over === 'hold') {
    return (
      <ReasonDialog
        title={held ? `Held: ${held}` : `Hold ${piece.name}, ${piece.cut.toLowerCase()}`}
        label={held ? 'Why it is released' : 'Why it is held'}
        does={held ? 'Release it' : 'Hold it'}
        asks="doCure"
        question={(reason) => ({ cureId, said: { kind, reason } })}
        onClose={onClose}
      />
    );
  }
  return over === 'move' ? (
    <ReasonDialog
      title={`Where does it lie now? Until now: ${piece.cure!.place}`}
      label="Place"
      does="It lies there"
      asks="doCure"
      question={(place) => ({ cureId, said: { kind: 'moved' as const, place } })}
      onClose={onClose}
    />
  ) : (
    <ReasonDialog
      title={`A note on ${piece.name}, ${piece.cut.toLowerCase()}`}
      label="Note"
      does="Note it"
      asks="doCure"
      question={(words) => ({ cureId, said: { kind: 'noted' as const, words } })}
      onClose={onClose}
    />
  );
}

function OfLoad({
  over,
  load,
  unit,
  onClose,
}: {
  unit: WeighingUnit;
  over: 'holdLoad' | 'noteLoad' | 'reading';
  load: LoadAtSmoke;
  onClose: () => void;
}) {
  const isHeld = load.standing.held.length > 0;
  const kind = isHeld ? ('released' as const) : ('held' as const);
  const name = `load ${shortLot(load.lot)}`;
  if (over === 'reading') {
    return (
      <AskDialog
        title={`The thermometer in ${name}`}
        asks="noteReading"
        does="Write it down"
        initial={{ degreesF: undefined as number | undefined }}
        question={({ degreesF }) =>
          degreesF === undefined
            ? { field: 'degreesF', message: 'Say what it reads.' }
            : { loadId: load.id, degreesF: toFahrenheit(degreesF, unit) }
        }
        onDone={onClose}
        onClose={onClose}
      >
        <Form.Item name="degreesF" label={`Inside the thickest piece, ${degreeSign(unit)}`}>
          <InputNumber style={{ width: '100%' }} />
        </Form.Item>
      </AskDialog>
    );
  }
  return over === 'holdLoad' ? (
    <ReasonDialog
      title={isHeld ? `Release ${name}? ${load.standing.held.join(' ')}` : `Hold ${name}`}
      label={isHeld ? 'Why, and by which paper of the plan' : 'Why it is held'}
      does={isHeld ? 'Release it' : 'Hold it'}
      asks="doLoad"
      question={(reason) => ({ loadId: load.id, said: { kind, reason } })}
      onClose={onClose}
    />
  ) : (
    <ReasonDialog
      title={`A note on ${name}`}
      label="Note"
      does="Note it"
      asks="doLoad"
      question={(words) => ({ loadId: load.id, said: { kind: 'noted' as const, words } })}
      onClose={onClose}
    />
  );
}

/** A piece on the bench scale: pumped, drained, or out of the smoke, by what comes next for it. */
function Weighing({ piece, view, onClose }: { piece: PieceAtSmoke; view: SmokeView; onClose: () => void }) {
  const weighCure = useAsk('weighCure');
  const weighSmoked = useAsk('weighSmoked');
  const as = piece.next === 'pump' ? 'pumped' : 'drained';
  const isSmoked = piece.next === 'weigh';
  async function take(weighed: Weighed) {
    const answer = isSmoked
      ? await weighSmoked.ask({ loadId: piece.load!.id, weighingId: piece.id, ...weighed })
      : await weighCure.ask({ cureId: piece.cure!.id, as, ...weighed });
    if (answer.ok) onClose();
  }
  return (
    <WeighDialog
      title={`${piece.name}, ${piece.cut.toLowerCase()}: ${isSmoked ? 'out of the smoke' : as}`}
      unit={view.unit}
      about={(net) => meaningOf(piece, net)}
      busy={weighCure.busy || weighSmoked.busy}
      refusal={weighCure.refusal ?? weighSmoked.refusal}
      onTake={(weighed) => void take(weighed)}
      onClose={onClose}
    />
  );
}

/** What a weight would mean: what the pump put in against the limit, what stayed, what the smoke took. */
function meaningOf(piece: PieceAtSmoke, net: Weight): { words: string; isBad: boolean } {
  const pct = (100 * (net - piece.green)) / piece.green;
  const { cure } = piece;
  if (piece.next !== 'pump' || !cure) {
    const words = pct >= 0 ? `${pct.toFixed(1)} % more than green` : `${(-pct).toFixed(1)} % less than green`;
    return { words, isBad: net > piece.weight };
  }
  const ppm = cure.takesPct > 0 ? (cure.ppm * Math.max(0, pct)) / cure.takesPct : cure.ppm;
  const isBad = pct < 0 || Math.round(ppm) > cure.limit;
  return {
    words: `${pct.toFixed(1)} % pumped, ${Math.round(ppm)} ppm of ${cure.limit}${isBad && pct >= 0 ? ': more than may be in it' : ''}`,
    isBad,
  };
}
