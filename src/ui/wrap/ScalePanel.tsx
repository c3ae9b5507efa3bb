'use client';

import { gradeWords, type Grade } from '@/core/grindroom/tubs';
import { displayDecimals, formatWeight, type Weight } from '@/core/quantity/weight';
import type { ScaleReading } from '@/core/scale/reading';
import type { WrapView } from '@/server/wrap';
import type { Target } from './targets';
import type { ScaleState } from './useScale';
import type { Notice } from './useNotice';
import styles from './ScalePanel.module.css';

type Props = {
  scale: ScaleState;
  target: Target | undefined;
  pieces: number | null;
  view: WrapView;
  notice: Notice | null;
  /** What of the shop lies under the meat. */
  tray: WrapView['trays'][number] | undefined;
  onTray: () => void;
  onCombine: () => void;
  onPieces: (by: 1 | -1) => void;
  onTake: () => void;
  onBack: () => void;
  onLabel: () => void;
  onTare: () => void;
  onNothingMore: () => void;
  onPart: () => void;
  /** Into which of the tubs trim goes. */
  grade: Grade;
};

const LAST_SHOWN = 4;

const STATE_WORDS: Record<ScaleReading['state'], string> = {
  steady: 'steady',
  moving: 'moving',
  overload: 'too heavy',
  empty: 'empty',
};

/** The live weight, the largest thing in the room; the one action; the last packs. */
export function ScalePanel(props: Props) {
  const { scale, target, pieces, view, notice, tray } = props;
  const reading = scale.reading && lessTray(scale.reading, tray?.weight ?? 0);
  const state = scale.away ? 'away' : (reading?.state ?? 'away');
  const decimals = displayDecimals(view.unit);
  const shown =
    !reading || reading.state === 'overload' ? '– –' : formatWeight(reading.net as Weight, decimals);
  const isPack = target?.purpose.kind === 'package';
  return (
    <section className={styles.scale} aria-label="Scale">
      <div className={styles.scaleHead}>
        <span>
          {target ? (
            <>
              {target.purpose.kind === 'tub' && props.grade !== '' ? gradeWords(props.grade) : target.title}
              {target.due > 1 &&
                `, ${isPack ? 'pack' : 'load'} ${target.made + 1} of ${Math.max(target.due, target.made + 1)}`}
            </>
          ) : (
            'Nothing is due here'
          )}
        </span>
        <b data-state={state}>{state === 'away' ? 'scale away' : STATE_WORDS[state]}</b>
      </div>
      <div className={styles.weight} data-state={state} aria-live="off">
        {shown}
        <small>{view.unit}</small>
      </div>
      <Band target={target} reading={reading} decimals={decimals} />
      <div className={styles.underBand}>
        <span>
          {target?.band
            ? `expected ${formatWeight(target.band.low, decimals)} to ${formatWeight(target.band.high, decimals)}`
            : ''}
        </span>
        {pieces !== null && isPack && (
          <span className={styles.pieces}>
            <button
              type="button"
              aria-label="One piece less"
              onClick={() => props.onPieces(-1)}
              tabIndex={-1}
            >
              −
            </button>
            <b>{pieces}</b> {pieces === 1 ? 'piece' : 'pieces'}
            <button type="button" aria-label="One piece more" onClick={() => props.onPieces(1)} tabIndex={-1}>
              +
            </button>
          </span>
        )}
        <span>
          {reading && reading.tare > 0
            ? `${formatWeight(reading.tare as Weight, decimals)} taken off`
            : 'no tare'}
          {tray && `, on a ${tray.name.toLowerCase()}`}
        </span>
      </div>
      <button type="button" className={styles.act} onClick={props.onTake} tabIndex={-1}>
        {isPack ? 'Wrap and print' : 'Take the weight'} <kbd>Enter</kbd>
      </button>
      <p className={styles.notice} data-kind={notice?.kind} role="status">
        {notice?.words ?? ''}
      </p>
      <ol className={styles.last} aria-label="Last weighings">
        {view.weighings
          .slice(-LAST_SHOWN)
          .reverse()
          .map((weighing) => (
            <li key={weighing.id}>
              <span>{weighing.cut}</span>
              <span className={styles.lastKind}>
                {weighing.kind === 'package' ? (
                  <a href={`/api/label/${weighing.id}`} target="_blank" rel="noreferrer" tabIndex={-1}>
                    label {weighing.serial}
                  </a>
                ) : (
                  weighing.kind
                )}
              </span>
              <b>{formatWeight(weighing.net, decimals)}</b>
            </li>
          ))}
      </ol>
      <div className={styles.keys}>
        <FloorKey name="⌫" words="take back the last" onPress={props.onBack} />
        <FloorKey name="L" words="label again" onPress={props.onLabel} />
        <FloorKey name="Z" words="tare" onPress={props.onTare} />
        {view.trays.length > 0 && <FloorKey name="T" words="tray or bag" onPress={props.onTray} />}
        {target?.section === 'barrels' && <FloorKey name="K" words="how lean it is" onPress={props.onPart} />}
        <FloorKey name="C" words="two cuts, one pack" onPress={props.onCombine} />
        <FloorKey name="N" words="nothing more of this" onPress={props.onNothingMore} />
      </div>
    </section>
  );
}

/** What the scale shows less a tray of the shop; an empty platform stays empty. */
function lessTray(reading: ScaleReading, tray: number): ScaleReading {
  if (tray === 0 || reading.state === 'empty') return reading;
  return { ...reading, tare: reading.tare + tray, net: reading.net - tray };
}

function FloorKey({ name, words, onPress }: { name: string; words: string; onPress: () => void }) {
  return (
    <button type="button" onClick={onPress} tabIndex={-1}>
      <kbd>{name}</kbd> {words}
    </button>
  );
}

/** Where the live weight lies against what one pack should weigh. */
function Band({
  target,
  reading,
  decimals,
}: {
  target: Target | undefined;
  reading: ScaleReading | null;
  decimals: number;
}) {
  if (!target?.band) return <div className={styles.band} />;
  const { low, high } = target.band;
  const most = high + (high - low) * 0.7;
  const least = Math.max(0, low - (high - low) * 0.7);
  const place = (w: number) => `${Math.max(0, Math.min(100, (100 * (w - least)) / (most - least)))}%`;
  const net = reading && reading.state !== 'empty' ? reading.net : null;
  return (
    <div
      className={styles.band}
      role="img"
      aria-label={`Expected ${formatWeight(low, decimals)} to ${formatWeight(high, decimals)}`}
    >
      <i style={{ left: place(low), width: `calc(${place(high)} - ${place(low)})` }} />
      {net !== null && <b style={{ left: place(net) }} />}
    </div>
  );
}
