import { counted } from '@/core/quantity/counted';
import { daysBetween, dayWords } from '@/core/time/shopTime';
import type { PricesView } from '@/server/shop';
import styles from './PricesScreen.module.css';

type Props = { view: PricesView; chosen: string; onChoose: (id: string) => void };

/** A tag needs so much of the line's breadth, percent: those that would overlap hang on a second string. */
const TAG_PCT = 25;
const ROOM_AFTER_DAYS = 60;

type Tag = {
  readonly id: string;
  readonly name: string;
  readonly from: string;
  readonly words: string;
  readonly inHand: boolean;
};

/** The price lists on a line of days: what was, what is, what is in hand. */
export function ListLine({ view, chosen, onChoose }: Props) {
  const tags = tagsOf(view);
  const days = [...tags.map((tag) => tag.from), view.today].sort();
  const first = days[0]!;
  const breadth = daysBetween(first, days.at(-1)!) + ROOM_AFTER_DAYS;
  const at = (day: string) => (100 * daysBetween(first, day)) / breadth;
  const strings = stringsOf(tags.map((tag) => at(tag.from)));
  return (
    <ol className={styles.line} aria-label="Price lists by the day they begin">
      <li className={styles.now} style={{ left: `${at(view.today)}%` }} aria-label={`Today, ${view.today}`}>
        <span>{dayWords(view.today)}</span>
      </li>
      {tags.map((tag, index) => {
        const left = at(tag.from);
        const classes = [
          styles.tag,
          tag.inHand ? styles.tagInHand : '',
          tag.id === chosen ? styles.tagChosen : '',
        ];
        return (
          <li
            key={tag.id}
            className={styles.hung}
            style={{ left: `${Math.min(left, 100 - TAG_PCT)}%`, top: strings[index] === 0 ? 22 : 70 }}
          >
            <button
              type="button"
              className={classes.filter(Boolean).join(' ')}
              aria-pressed={tag.id === chosen}
              onClick={() => onChoose(tag.id)}
            >
              <b>{tag.name}</b> <span className="quiet">from {tag.from}</span>
              <br />
              {tag.words}
            </button>
          </li>
        );
      })}
    </ol>
  );
}

/** On which string each tag hangs: the upper one where it does not overlap the one before it there. */
function stringsOf(lefts: readonly number[]): readonly number[] {
  const free = [0, 0];
  return lefts.map((left) => {
    const string = left >= free[0]! ? 0 : 1;
    free[string] = left + TAG_PCT;
    return string;
  });
}

function tagsOf({ standing, inHand }: PricesView): Tag[] {
  const hung = standing.map(({ list, shares, state }): Tag => ({
    id: list.id,
    name: list.name,
    from: list.effectiveFrom,
    words: `${counted(shares, 'share')} booked; ${state}`,
    inHand: false,
  }));
  const own = inHand.map(({ id, list }): Tag => ({
    id,
    name: list.name,
    from: list.effectiveFrom,
    words: 'in your hands; nobody booked',
    inHand: true,
  }));
  return [...hung, ...own].sort((a, b) => a.from.localeCompare(b.from));
}
