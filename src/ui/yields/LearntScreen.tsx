import Link from 'next/link';
import { counted } from '@/core/quantity/counted';
import { dayWords } from '@/core/time/shopTime';
import type { Taught } from '@/core/learning/lessons';
import type { LearningView, ShopFigure } from '@/server/learning';
import { Nothing } from '../kit/States';
import { LeaveOut } from './LeaveOut';
import styles from './Learnt.module.css';
import yields from './Yields.module.css';

type Kind = { readonly taught: readonly Taught[]; readonly head: string; readonly against: string };

const HOME: Kind = {
  taught: ['whole', 'grind', 'cut'],
  head: 'What goes home',
  against: 'the reference, for the same sheet',
};

/** What each kind of figure is called, and what it stands beside. */
const GROUPS: readonly Kind[] = [
  { taught: ['shrink'], head: 'What the rail takes', against: 'the shrink table' },
  { taught: ['cure'], head: 'What a cure leaves', against: 'what it is counted to leave' },
  { taught: ['pieces'], head: 'Pieces of a cut', against: 'the pieces counted on' },
  { taught: ['block', 'wrap'], head: 'Minutes', against: 'the usual minutes' },
];

const ALONE: Partial<Readonly<Record<Taught, string>>> = {
  whole: 'All packs',
  grind: 'The grind',
  block: 'On the block',
  wrap: 'Wrapping and weighing',
};

/** What this shop has learnt of a species: each figure beside the reference, how sure it is, and what was not believed. */
export function LearntScreen({ view }: { view: LearningView }) {
  const { species, asked, animal, shares, figures, heldBack, leftOut, mayChoose } = view;
  const changes = figures.filter(({ change }) => change !== null);
  return (
    <div className={yields.page}>
      <nav className={yields.top} aria-label="Species">
        <p className={yields.sentence}>
          <Link href={`/yields?species=${asked}`}>Yields</Link>
          {species.map(({ id, label }) =>
            id === asked ? (
              <b key={id} aria-current="page">
                {label}
              </b>
            ) : (
              <Link key={id} href={`/yields/learnt?species=${id}`}>
                {label}
              </Link>
            ),
          )}
        </p>
      </nav>
      <h1 className={yields.year}>What has this shop learnt of a {animal}?</h1>
      {shares === 0 ? (
        <Nothing>
          Nothing yet: forecasts stand on the reference alone. Each balance that is closed teaches a little.
        </Nothing>
      ) : (
        <p>
          From <b>{counted(shares, 'finished share')}</b> and the reference. Every forecast uses these; the
          more of your own, the less the reference counts.
        </p>
      )}
      <Changes changes={changes} />
      <div className={styles.columns}>
        <Figures {...HOME} figures={figures.filter(({ taught }) => HOME.taught.includes(taught))} />
        <div>
          {GROUPS.map(({ taught, head, against }) => (
            <Figures
              key={head}
              head={head}
              against={against}
              figures={figures.filter((figure) => taught.includes(figure.taught))}
            />
          ))}
          {heldBack.length > 0 && (
            <section>
              <h2>Not believed</h2>
              <p className="quiet">
                More than four times as far off as usual: a slip rather than a habit. It teaches nothing.
              </p>
              <table className={styles.table}>
                <tbody>
                  {heldBack.map(({ taught, name, shareId, share, expected, got }) => (
                    <tr key={`${taught} ${name} ${shareId}`}>
                      <td>{ALONE[taught] ?? name}</td>
                      <td className="num">
                        <b>{(got / expected).toFixed(2)}</b> times what was expected
                      </td>
                      <td>
                        <Link href={`/ticket/${shareId}`}>{share || 'its ticket'}</Link>
                      </td>
                    </tr>
                  ))}
                </tbody>
              </table>
            </section>
          )}
          {leftOut.length > 0 && (
            <section>
              <h2>Left out</h2>
              <ul className={styles.leftOut}>
                {leftOut.map(({ shareId, share, reason }) => (
                  <li key={shareId}>
                    <Link href={`/ticket/${shareId}`}>{share}</Link>: {reason}
                    {mayChoose && <LeaveOut shareId={shareId} isLeftOut />}
                  </li>
                ))}
              </ul>
            </section>
          )}
        </div>
      </div>
    </div>
  );
}

/** Where the shop's hand has moved for good. */
function Changes({ changes }: { changes: readonly ShopFigure[] }) {
  if (changes.length === 0) return null;
  return (
    <ul className={styles.changes}>
      {changes.map(({ taught, name, change }) => (
        <li key={`${taught} ${name}`}>
          Since <time dateTime={change!.since}>{dayWords(change!.since)}</time> {ALONE[taught] ?? name}:{' '}
          <b>{signed(change!.pct)}</b>, {counted(change!.orders, 'share')}. What was before counts a tenth.
        </li>
      ))}
    </ul>
  );
}

type Group = Omit<Kind, 'taught'> & { readonly figures: readonly ShopFigure[] };

/** Each figure as a mark on a line whose middle is the reference: how far, how sure, and on how much of one's own it stands. */
function Figures({ head, against, figures }: Group) {
  if (figures.length === 0) return null;
  const most = Math.max(4, ...figures.flatMap(({ lowPct, highPct }) => [-lowPct, highPct]));
  const wide = Math.min(40, Math.ceil(most / 2) * 2);
  const sorted = [...figures].sort((a, b) => rank(a) - rank(b) || b.pct - a.pct);
  return (
    <section>
      <h2>{head}</h2>
      <table className={styles.table}>
        <thead>
          <tr>
            <th>{`beside ${against}`}</th>
            <th className={styles.scale}>
              <span>−{wide} %</span>
              <span>as the reference</span>
              <span>+{wide} %</span>
            </th>
            <th className="num">here</th>
            <th className="num">seen</th>
            <th className="num">of your own</th>
          </tr>
        </thead>
        <tbody>
          {sorted.map((figure) => (
            <tr key={`${figure.taught} ${figure.name}`} data-whole={figure.taught === 'whole' || undefined}>
              <td>{ALONE[figure.taught] ?? figure.name}</td>
              <td>
                <Mark figure={figure} wide={wide} />
              </td>
              <td className="num">
                <b>{signed(figure.pct)}</b>
              </td>
              <td className="num">{figure.orders}</td>
              <td className="num quiet">{figure.ownPct.toFixed(0)} %</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

function Mark({ figure: { pct, lowPct, highPct }, wide }: { figure: ShopFigure; wide: number }) {
  const at = (value: number) => 50 + (50 * Math.max(-wide, Math.min(wide, value))) / wide;
  return (
    <span
      className={styles.mark}
      role="img"
      aria-label={`${signed(pct)}, four in five between ${signed(lowPct)} and ${signed(highPct)}`}
    >
      <i style={{ left: `${at(lowPct)}%`, width: `${at(highPct) - at(lowPct)}%` }} />
      <b style={{ left: `${at(pct)}%` }} />
    </span>
  );
}

/** The whole stands first, then the grind, then cut by cut. */
function rank({ taught }: ShopFigure): number {
  return taught === 'whole' ? 0 : taught === 'grind' ? 1 : 2;
}

function signed(pct: number): string {
  return `${pct < 0 ? '−' : '+'}${Math.abs(pct).toFixed(1)} %`;
}
