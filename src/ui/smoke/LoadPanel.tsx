'use client';

import { Button } from 'antd';
import Link from 'next/link';
import { formatWeight, sumWeights, type WeighingUnit } from '@/core/quantity/weight';
import { coolingWords, heatWords } from '@/core/smokehouse/plan';
import { momentWords } from '@/core/time/shopTime';
import type { LoadAtSmoke, PieceAtSmoke, SmokeView } from '@/server/smoke';
import { onDemand } from '../kit/onDemand';
import { PpmBar } from './PpmBar';
import styles from './SmokeScreen.module.css';
import { cutWords, hourAt, loadWords } from './words';

const LoadCurve = onDemand(() => import('./LoadCurve').then((module) => module.LoadCurve));

type Props = {
  load: LoadAtSmoke;
  view: SmokeView;
  mayDo: boolean;
  isOwner: boolean;
  busy: boolean;
  onFire: () => void;
  onByHand: () => void;
  onReading: () => void;
  onHold: () => void;
  onNote: () => void;
  onOut: (piece: PieceAtSmoke) => void;
  onPick: (piece: PieceAtSmoke) => void;
};

/** A load: its curve with the plan's posts in it, what hangs in it, and what comes next. */
export function LoadPanel(props: Props) {
  const { load, view } = props;
  const { asks, says } = loadWords(load, view.zone);
  const { lit, ended, held } = load.standing;
  const isHeld = held.length > 0;
  return (
    <section className={styles.load} data-held={isHeld || undefined} aria-label={`Load ${load.lot}`}>
      <div className={styles.curve}>
        <h2>
          {asks} <span className={isHeld ? 'alarm' : 'quiet'}>{says}</span>
        </h2>
        {lit ? (
          <LoadCurve load={load} zone={view.zone} unit={view.unit} />
        ) : (
          <PlanWords load={load} unit={view.unit} />
        )}
        <p className="quiet">
          {lit && load.standing.posts.map((post) => postWords(post, view.zone, lit.at)).join('; ')}
          {lit && '. '}The posts are this shop’s own plan. Follow your plan and local code.
        </p>
      </div>
      <div className={styles.inIt}>
        <PiecesInLoad {...props} />
        {load.said.map(({ at, by, words }) => (
          <p key={at + words} className="quiet">
            {momentWords(view.zone, at)}, {by}: {words}
          </p>
        ))}
        {isHeld && (
          <p className="alarm">
            <b>Held. Nothing of it leaves, no label prints.</b> {held.slice(1).join(' ')}
          </p>
        )}
        <Acts {...props} isHeld={isHeld} isOut={ended !== null} />
      </div>
    </section>
  );
}

function PlanWords({ load: { plan }, unit }: { load: LoadAtSmoke; unit: WeighingUnit }) {
  const heat = heatWords(plan.lethal, unit);
  const cools = plan.cooling.map((stretch) => coolingWords(stretch, unit));
  return (
    <ul className={styles.plan}>
      <li>{heat === '' ? 'What comes out is not cooked.' : `It gets over ${heat}.`}</li>
      {cools.map((words) => (
        <li key={words}>It comes {words}.</li>
      ))}
      <li>Labels say: {plan.label}</li>
      <li>Vent before you open: smoke is poison. Mind burns and a wet floor.</li>
    </ul>
  );
}

function postWords(
  { words, by, met, state }: LoadAtSmoke['standing']['posts'][number],
  zone: string,
  lit: string,
): string {
  const at = (minute: number) => hourAt(zone, lit, minute);
  if (met !== null && (by === null || met <= by)) return `${words}: met ${at(met)}`;
  if (state === 'missed') {
    if (met !== null && by !== null) return `${words}: by ${at(by)}, met ${at(met)}, ${met - by} min late`;
    return `${words}: missed`;
  }
  if (state === 'unknown') return `${words}: nobody knows, the probe was silent`;
  return by === null ? words : `${words}: by ${at(by)}`;
}

function PiecesInLoad({ load, view, mayDo, onOut, onPick }: Props) {
  const byId = new Map(view.pieces.map((piece) => [piece.id, piece]));
  const inIt = load.standing.pieces.map(({ weighingId, trolley, smoked }) => ({
    ...{ weighingId, trolley, smoked, piece: byId.get(weighingId) },
  }));
  const known = inIt.flatMap(({ piece }) => piece ?? []);
  return (
    <table>
      <thead>
        <tr>
          <th>in it</th>
          <th className="num">green</th>
          <th className="num">drained</th>
          <th className="num">smoked</th>
          <th>nitrite</th>
        </tr>
      </thead>
      <tbody>
        {inIt.map(({ weighingId, trolley, smoked, piece }) => (
          <tr key={weighingId}>
            <td>
              {piece ? (
                <button type="button" className={styles.asLink} onClick={() => onPick(piece)}>
                  {piece.name.split(',')[0]}, {cutWords(piece)}
                </button>
              ) : (
                'packed'
              )}
              {trolley !== '' && <span className="quiet"> trolley {trolley}</span>}
              {piece && mayDo && !load.standing.lit && (
                <Button size="small" type="text" onClick={() => onOut(piece)}>
                  out again
                </Button>
              )}
            </td>
            <td className="num">{piece ? formatWeight(piece.green, view.unit) : '–'}</td>
            <td className="num">{piece?.drained ? formatWeight(piece.drained, view.unit) : '–'}</td>
            <td className="num">
              <b>{smoked === null ? '–' : formatWeight(smoked, view.unit)}</b>
            </td>
            <td>{piece?.cure && <PpmBar ppm={piece.cure.ppm} limit={piece.cure.limit} />}</td>
          </tr>
        ))}
      </tbody>
      {known.length > 1 && (
        <tfoot>
          <tr>
            <td>all</td>
            <td className="num">{formatWeight(sumWeights(known.map(({ green }) => green)), view.unit)}</td>
            <td colSpan={3} />
          </tr>
        </tfoot>
      )}
    </table>
  );
}

function Acts(props: Props & { isHeld: boolean; isOut: boolean }) {
  const { load, mayDo, isOwner, isHeld, isOut, busy, onFire, onByHand, onReading, onHold, onNote } = props;
  const { lit } = load.standing;
  return (
    <div className={styles.acts}>
      {mayDo && !isOut && (
        <Button type={lit ? 'default' : 'primary'} loading={busy} onClick={onFire}>
          {lit ? 'It is cold: end it' : 'Light it'} <kbd>F</kbd>
        </Button>
      )}
      {mayDo && !lit && <Button onClick={onByHand}>Light it, read by hand</Button>}
      {mayDo && lit?.channel === 0 && !isOut && <Button onClick={onReading}>Read the thermometer</Button>}
      {mayDo && isHeld && isOut && isOwner && (
        <Button type="primary" onClick={onHold}>
          Release <kbd>Shift H</kbd>
        </Button>
      )}
      {mayDo && !isHeld && (
        <Button onClick={onHold}>
          Hold <kbd>Shift H</kbd>
        </Button>
      )}
      {mayDo && <Button onClick={onNote}>Note</Button>}
      {lit && (
        <Link className={styles.paper} href={`/api/smoke/${load.id}`} target="_blank">
          Record <kbd>P</kbd>
        </Link>
      )}
      {isHeld && !isOwner && <span className="quiet">The owner releases it.</span>}
    </div>
  );
}
