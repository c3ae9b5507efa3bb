import type { DueIngredient } from '@/core/curing/ingredients';
import { wholeDegrees } from '@/core/quantity/degrees';
import { inUnits, formatWeight, type Weight, type WeighingUnit } from '@/core/quantity/weight';
import { gradeWords } from '@/core/grindroom/tubs';
import type { BatchOfDay, GrindOfDay } from '@/server/grind';
import type { ScaleState } from '../wrap/useScale';
import styles from './OnScale.module.css';

/** What lies on the scale for an ingredient, against what is due: a band to be met, and the limit that is never passed. */
export function IngredientOnScale({
  due,
  scale,
  batch,
  lot,
}: {
  due: DueIngredient;
  scale: ScaleState;
  batch: BatchOfDay;
  lot: string;
}) {
  const { ppmLimit } = batch.standing;
  const onIt = scale.reading ? scale.reading.net / 1000 : 0;
  const [low, high, most] = [due.low / 10, due.high / 10, due.most === null ? null : due.most / 10];
  const [from, to] = [Math.max(0, low - (high - low) * 2), (most ?? high) + (high - low) * 2];
  const at = (value: number) => `${Math.min(100, Math.max(0, (100 * (value - from)) / (to - from)))}%`;
  const state = stateOf(onIt, { low, high, most });
  return (
    <section className={styles.onScale} aria-label="Scale" data-state={state}>
      <h2>{due.name}</h2>
      <ScaleWords scale={scale} />
      <p className={styles.figure}>
        {onIt.toFixed(1)} <small>g</small>
      </p>
      <div className={styles.band} aria-hidden>
        <i className={styles.good} style={{ left: at(low), right: `calc(100% - ${at(high)})` }} />
        {most !== null && <i className={styles.never} style={{ left: at(most) }} />}
        {onIt > 0 && <i className={styles.needle} style={{ left: at(onIt) }} />}
      </div>
      <p>
        {low.toFixed(1)} to {high.toFixed(1)} g are due
      </p>
      {most !== null && (
        <p className={styles.ppm}>
          <b>{Math.round(onIt * 10 * due.ppmEach)}</b> ppm in the meat, <em>limit {ppmLimit}</em>
        </p>
      )}
      <p role="status">{TOLD[state](onIt, { low, high, most })}</p>
      <p>{lot === '' ? 'lot not said: L' : `lot ${lot}`}</p>
      {due.cures && (
        <p className={styles.caution}>
          From the locked tin, to the gram; a second person looks. Follow your plan and local code.
        </p>
      )}
    </section>
  );
}

type Band = { readonly low: number; readonly high: number; readonly most: number | null };
type State = 'empty' | 'under' | 'good' | 'over' | 'never';

function stateOf(onIt: number, { low, high, most }: Band): State {
  if (onIt <= 0) return 'empty';
  if (most !== null && onIt > most) return 'never';
  if (onIt > high) return 'over';
  return onIt < low ? 'under' : 'good';
}

const TOLD: Readonly<Record<State, (onIt: number, band: Band) => string>> = {
  empty: () => 'Put the bowl on, tare it, pour.',
  under: (onIt, { low }) => `Put in ${(low - onIt).toFixed(1)} g more.`,
  good: () => 'It is right.',
  over: (onIt, { high }) => `Take out ${(onIt - high).toFixed(1)} g.`,
  never: (onIt, { high }) => `Over the limit. Take out ${(onIt - high).toFixed(1)} g.`,
};

/** Meat on the bench scale, out of one of the owner's own tubs. */
export function MeatOnScale({
  scale,
  unit,
  job: { tubs, fromTubs, planned, batch },
  at,
}: {
  scale: ScaleState;
  unit: WeighingUnit;
  job: Pick<GrindOfDay, 'tubs' | 'fromTubs' | 'planned' | 'batch'>;
  /** Which of the tubs. */
  at: number;
}) {
  const net = (scale.reading?.net ?? 0) as Weight;
  const tub = tubs[at];
  const inTub = Math.max(0, tub?.left ?? 0) as Weight;
  const take = fromTubs?.use[at]?.take;
  const isPooled = (batch?.owners.length ?? 0) > 0;
  const tooMuch = inUnits(net) > inUnits(inTub) * 1.005;
  return (
    <section className={styles.onScale} aria-label="Scale" data-state={tooMuch ? 'never' : 'good'}>
      <h2>
        {isPooled && `${tub?.of.split(',')[0]}: `}
        {gradeWords(tub?.grade ?? '')}
      </h2>
      <ScaleWords scale={scale} />
      <p className={styles.figure}>
        {formatWeight(net, unit)} <small>{unit}</small>
      </p>
      <p>
        {take === undefined
          ? `about ${formatWeight(planned, unit)} ${unit} are planned for it`
          : `take ${formatWeight(take, unit)} ${unit} of this tub`}
        , {formatWeight(inTub, unit)} {unit} are in it
      </p>
      <p role="status">{tooMuch ? 'More than lies in this tub. Is it of another?' : ''}</p>
      <p className={styles.caution}>
        Under {wholeDegrees(40, unit)}. Push with the stomper only; lock out before you clean.
      </p>
    </section>
  );
}

function ScaleWords({ scale: { away, reading } }: { scale: ScaleState }) {
  const words = away ? 'scale away: Y types the weight' : (reading?.state ?? 'waiting for the scale');
  return (
    <p className={styles.scaleWords} data-away={away || undefined}>
      {words} {reading && <span>{reading.scaleId}</span>}
    </p>
  );
}
