import type { ReactNode } from 'react';
import { RATES, type RateId } from '@/core/yields/rates';
import type { Spread } from '@/core/yields/spread';
import type { YieldsView } from '@/server/yields';
import { DestinationMark } from '../kit/DestinationMark';
import type { Row } from './rows';
import styles from './Yields.module.css';

/** The figures behind the picture, and every rate of all shares together, by name with its formula. */
export function YieldsTable({ view, rows }: { view: YieldsView; rows: readonly Row[] }) {
  return (
    <>
      <Spreads>
        {rows.map(({ part, label, mark, isWhole }) => (
          <tr key={part} data-whole={isWhole || undefined}>
            <td>
              {mark && <DestinationMark destination={mark} />} {label}
            </td>
            <Figures spread={view.spreads[part]} />
          </tr>
        ))}
      </Spreads>
      <table className={styles.table}>
        <thead>
          <tr>
            <th>all shares together</th>
            <th className="num">%</th>
            <th className="num">shares</th>
            <th>how it is worked out</th>
          </tr>
        </thead>
        <tbody>
          {(Object.keys(RATES) as RateId[]).map((id) => {
            const { pct, of } = view.pooled[id];
            return (
              <tr key={id}>
                <td>{RATES[id].label}</td>
                <td className="num">{pct === null ? '–' : pct.toFixed(1)}</td>
                <td className="num">{of}</td>
                <td className="quiet">{RATES[id].formula}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </>
  );
}

/** Each cut over the shares that have it. */
export function CutsTable({ view: { cuts } }: { view: YieldsView }) {
  if (cuts.length === 0) return <p className="quiet">No cut is packed yet.</p>;
  return (
    <Spreads>
      {cuts.map(({ cut, spread }) => (
        <tr key={cut}>
          <td>{cut}</td>
          <Figures spread={spread} />
        </tr>
      ))}
    </Spreads>
  );
}

/** A table of figures, each with how it scatters. */
function Spreads({ children }: { children: ReactNode }) {
  return (
    <table className={styles.table}>
      <thead>
        <tr>
          <th>percent of the hot weight</th>
          <th className="num">mean</th>
          <th className="num">eight in ten</th>
          <th className="num">shares</th>
        </tr>
      </thead>
      <tbody>{children}</tbody>
    </table>
  );
}

function Figures({ spread }: { spread: Spread | null }) {
  return (
    <>
      <td className="num">
        <b>{spread ? spread.mean.toFixed(1) : '–'}</b>
      </td>
      <td className="num quiet">
        {spread && spread.of > 1 ? `${spread.low.toFixed(1)} to ${spread.high.toFixed(1)}` : '–'}
      </td>
      <td className="num">{spread?.of ?? 0}</td>
    </>
  );
}
