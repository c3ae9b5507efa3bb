'use client';

import { Button } from 'antd';
import { compareSheets } from '@/core/compare/compareSheets';
import type { Proposal } from '@/core/goals/findSheets';
import { givesUp } from '@/core/goals/givesUp';
import type { Evaluation } from '@/core/questions/evaluate';
import { titleOf } from '@/core/questions/findings';
import { decisionDestination } from '@/core/questions/zones';
import { counted } from '@/core/quantity/counted';
import { formatMoney } from '@/core/quantity/money';
import { formatWeight, sumWeights, type Weight } from '@/core/quantity/weight';
import { optionById } from '@/core/sheet/situation';
import { withoutTitle } from '@/core/sheet/summary';
import type { Sheet } from '@/core/sheet/types';
import { frameOf } from '@/core/species/sideMapPath';
import { DESTINATION_WORDS, type Destination } from '@/core/species/types';
import { destinationClass } from '../kit/DestinationMark';
import { SideDrawing } from '../kit/SideDrawing';
import type { SheetState } from './useSheet';
import styles from './Wishes.module.css';

export const NONE_LEFT: ReadonlySet<string> = new Set();

const BARS: readonly Destination[] = ['steaks', 'roasts', 'cured', 'bones', 'grind'];

/** The most that any of these sheets gives of one kind: where its bars end. */
export function mostPacked(sheets: readonly Pick<Evaluation, 'forecast'>[]): number {
  return Math.max(1, ...sheets.flatMap((each) => BARS.map((of) => packedOf(each, of))));
}

function packedOf({ forecast }: Pick<Evaluation, 'forecast'>, of: Destination): Weight {
  return sumWeights(
    forecast.lines.filter(({ destination }) => destination === of).map((line) => line.packaged),
  );
}

type Props = {
  title: string;
  about: string;
  sheet: Sheet;
  made: Evaluation;
  state: SheetState;
  most: number;
  digit?: number;
  proposal?: Proposal;
  tried?: number;
  isInHand?: boolean;
  onLook?: () => void;
  onTake?: (() => void) | undefined;
  /** Rows that stay as they are, and the way to leave one or take it after all. */
  left?: ReadonlySet<string>;
  onLeave?: (row: string) => void;
};

/** One sheet: what of the side changes, what comes of it, what it gives up, and how good it is at least. */
export function WishWay({
  title,
  about,
  sheet,
  made,
  state,
  most,
  digit,
  proposal,
  tried = 0,
  isInHand,
  onLook,
  onTake,
  left = NONE_LEFT,
  onLeave,
}: Props) {
  const { situation, ground, now } = state;
  const { species, unit } = situation;
  const { sign } = ground.priceList;
  const map = species.sideMap;
  const changed = new Set(proposal?.changes.filter((row) => !left.has(row)));
  const zoneDestination = (zone: string) => {
    const own = species.decisions.filter((decision) => decision.zone === zone);
    const shown = proposal ? own.filter(({ id }) => changed.has(id)) : own;
    const answered = { species, sheet, expected: made.forecast };
    return shown
      .map((decision) => decisionDestination(answered, decision))
      .find((each) => each && each !== 'lost');
  };
  const { forecast, bill } = made;
  const packs = forecast.lines.reduce((sum, line) => sum + line.packs, 0);
  const compared = proposal && compareSheets(ground, state.sheet, sheet);
  return (
    <article className={styles.way} data-in-hand={isInHand || undefined} onClick={onLook}>
      <h3>
        {digit !== undefined && <kbd>{digit}</kbd>} {title} <span className="quiet">{about}</span>
      </h3>
      <div className={styles.picture}>
        <svg viewBox={frameOf(map).join(' ')} aria-hidden>
          <SideDrawing map={map} destinationOf={zoneDestination} />
        </svg>
        {proposal && (
          <ul className={styles.changes}>
            {proposal.changes.map((row) => (
              <li key={row}>
                <button
                  type="button"
                  aria-pressed={!left.has(row)}
                  title={left.has(row) ? 'take this row after all' : 'leave this row as it is'}
                  onClick={() => onLeave?.(row)}
                >
                  <b>{titleOf(species, row)}</b>
                  <span>{left.has(row) ? 'as it is' : answerIn(state, proposal.sheet, row)}</span>
                </button>
              </li>
            ))}
          </ul>
        )}
      </div>
      <ul className={styles.bars}>
        {BARS.map((of) => {
          const [packed, stands] = [packedOf(made, of), packedOf(now, of)];
          return (
            <li key={of}>
              <span className="quiet">{DESTINATION_WORDS[of]}</span>
              <span className={styles.track}>
                <i className={destinationClass(of)} style={{ width: `${(100 * packed) / most}%` }} />
                {proposal && <i className={styles.now} style={{ left: `${(100 * stands) / most}%` }} />}
              </span>
              <b>{packed === 0 ? 'none' : formatWeight(packed, 1)}</b>
            </li>
          );
        })}
      </ul>
      <p className={styles.figures}>
        <b>{formatWeight(forecast.takeHome, 1)}</b> {unit} home <b>{formatMoney(bill.total, sign)}</b>{' '}
        <b>{forecast.pool.fatPct.toFixed(1)}</b> % fat <b>{packs}</b> packs{' '}
        <b>{forecast.freezerCuFt.toFixed(1)}</b> cu ft
      </p>
      {compared && (
        <p>
          <span className="quiet">gives up</span> {givesUp(compared, { unit, sign })}
        </p>
      )}
      {proposal && (
        <p className={styles.bound}>
          {left.size > 0
            ? `With ${counted(left.size, 'row')} left as it is, worked out and not searched again.`
            : boundWords(proposal, tried)}
        </p>
      )}
      {onTake && (
        <Button {...(isInHand ? { type: 'primary' } : {})} onClick={onTake}>
          Take it {isInHand && <kbd>Enter</kbd>}
        </Button>
      )}
    </article>
  );
}

function answerIn({ situation }: SheetState, sheet: Sheet, row: string): string {
  const decision = situation.species.decisions.find(({ id }) => id === row)!;
  const forms = sheet.answers[row]?.forms ?? [];
  return forms
    .map(({ option }) => withoutTitle(optionById(decision, option).label, decision.title))
    .join('; ');
}

/** How far from the best possible it can be at most, where that is proved. */
function boundWords({ id, score, bound }: Proposal, tried: number): string {
  if (bound === null)
    return `The best of ${tried.toLocaleString('en-GB')} sheets tried; nothing better is excluded.`;
  if (id === 'best')
    return `At most ${Math.max(0.1, bound - score).toFixed(1)} short of the best possible: proved.`;
  const short = Math.max(0, bound - score).toFixed(1);
  if (id === 'least-change')
    return `${short} short of the best possible; no sheet so near to it changes fewer rows.`;
  return `${short} short of the best possible.`;
}
