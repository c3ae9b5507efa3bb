import { counted } from '@/core/quantity/counted';
import { formatWeight, sumWeights, type Weight } from '@/core/quantity/weight';
import { STEP_LABELS } from '@/core/reconcile/reconcile';
import { placed, type Placed, type TapePart } from '@/core/reconcile/tape';
import type { BalanceView } from '@/server/settle';
import { destinationClass } from '../kit/DestinationMark';
import styles from './Tape.module.css';

/** From which length on a part has room for its words, and for its figure; percent of the tape. */
const ROOM = { words: 9, figure: 4 } as const;
/** Teeth nearer than this cannot be told apart. */
const LEAST_TOOTH = 0.35;

type Pins = ReadonlyMap<TapePart['kind'], readonly number[]>;

/** One weight at one scale: what hung, what was asked, what was done. A tooth is a pack; what nothing explains is a torn hole. */
export function Tape({ view, pins }: { view: BalanceView; pins: Pins }) {
  const { tape, reconciliation: balance, unit, hot, packed } = view;
  const rail = Math.max(0, hot - balance.cold) as Weight;
  const whole = Math.max(hot, balance.cold, lengthOf(tape.asked), lengthOf(tape.done)) as Weight;
  const of = (weight: Weight) => `${(100 * weight) / whole}%`;
  return (
    <div className={styles.tape} role="img" aria-label={inWords(view)}>
      <span className={styles.head}>hot</span>
      <div className={styles.bar} data-row="hot">
        <span style={{ width: of(balance.cold) }} className={styles.hot}>
          <b>{formatWeight(hot, 1)}</b> {unit}
        </span>
        {rail > 0 && (
          <span style={{ width: of(rail) }} className={`${styles.rail} ${destinationClass('lost')}`} />
        )}
        {rail > 0 && (
          <span className={styles.railWords}>
            the rail took <b>{formatWeight(rail, 1)}</b>, {((100 * rail) / hot).toFixed(1)} %
          </span>
        )}
      </div>
      <span className={styles.head}>asked</span>
      <Bar row="asked" parts={placed(tape.asked, whole)} pins={new Map()} />
      <span className={styles.head}>
        <b>done</b>
      </span>
      <Bar row="done" parts={placed(tape.done, whole)} pins={pins} isOpen={!packed} />
      <p className={styles.sum}>{sumWords(view)}</p>
    </div>
  );
}

/** The same sum in figures: `69.31 in 38 packs + 15.73 in barrels + 1.42 unaccounted = 88.10 lb`. */
function sumWords({
  reconciliation: { bridge, boxes, cold, lines, unaccounted },
  barrels,
  unit,
}: BalanceView): string {
  const show = (weight: Weight) => formatWeight(weight, 2);
  const held = (kind: string) =>
    sumWeights(bridge.filter((step) => step.kind === kind).map(({ weight }) => weight));
  const packs = lines.reduce((sum, { packsMade }) => sum + packsMade, 0);
  const others = [
    ...(['inTub', 'inCure', 'cure', 'added', 'grinder', 'pooled'] as const).map(
      (kind) => [held(kind), STEP_LABELS[kind]] as const,
    ),
    [sumWeights(barrels.map(({ weight }) => weight)), 'in barrels'] as const,
    [unaccounted, STEP_LABELS.unaccounted] as const,
  ];
  const parts = others.flatMap(([weight, words]) =>
    weight === 0 ? [] : [`${weight < 0 ? '−' : '+'} ${show(Math.abs(weight) as Weight)} ${words}`],
  );
  return [`${show(boxes)} in ${counted(packs, 'pack')}`, ...parts, `= ${show(cold)} ${unit}`].join(' ');
}

function lengthOf(parts: readonly TapePart[]): number {
  return parts.reduce((sum, { weight }) => sum + Math.max(0, weight), 0);
}

type BarProps = { row: 'asked' | 'done'; parts: readonly Placed[]; pins: Pins; isOpen?: boolean };

function Bar({ row, parts, pins, isOpen = false }: BarProps) {
  return (
    <div className={styles.bar} data-row={row}>
      {parts.map(({ kind, label, weight, packs, long }) => {
        const isHole = kind === 'unaccounted';
        const words = isHole && isOpen ? 'still due' : label;
        return (
          <span
            key={kind}
            className={isHole ? styles.hole : `${styles.part} ${destinationClass(groundOf(kind))}`}
            style={{ width: `${long}%` }}
            title={`${words}: ${formatWeight(weight, 2)}`}
          >
            {row === 'done' && <Teeth packs={packs} whole={weight} long={long} />}
            {long >= ROOM.figure && (
              <span className={styles.words}>
                <b>{formatWeight(weight, 1)}</b> {long >= ROOM.words && words}
              </span>
            )}
            {(pins.get(kind) ?? []).map((pin) => (
              <i key={pin} className={styles.pin}>
                {pin}
              </i>
            ))}
          </span>
        );
      })}
    </div>
  );
}

/** Where one pack ends and the next begins. */
function Teeth({ packs, whole, long }: { packs: readonly Weight[]; whole: Weight; long: number }) {
  if (packs.length < 2 || long / packs.length < LEAST_TOOTH) return null;
  let at = 0;
  return packs.slice(0, -1).map((pack, index) => {
    at += pack;
    return <i key={index} className={styles.tooth} style={{ left: `${(100 * at) / whole}%` }} />;
  });
}

type Ground = Parameters<typeof destinationClass>[0];

/** What is no pack is drawn as what it came from, or as lost. */
function groundOf(kind: TapePart['kind']): Ground {
  const grounds: Partial<Record<TapePart['kind'], Ground>> = { inTub: 'grind', inCure: 'cured' };
  const packs: readonly TapePart['kind'][] = ['steaks', 'roasts', 'grind', 'cured', 'bones', 'offal'];
  return grounds[kind] ?? (packs.includes(kind) ? (kind as Ground) : 'lost');
}

function inWords({ tape, unit }: BalanceView): string {
  const say = (parts: readonly TapePart[]) =>
    parts
      .map(({ label, weight, packs }) => {
        const made = packs.length > 0 ? ` in ${counted(packs.length, 'pack')}` : '';
        return `${label} ${formatWeight(weight, 2)}${made}`;
      })
      .join(', ');
  return `In ${unit}. Asked: ${say(tape.asked)}. Done: ${say(tape.done)}.`;
}
