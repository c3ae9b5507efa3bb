'use client';

import type { ReactNode } from 'react';
import { counted } from '@/core/quantity/counted';
import { formatMoney } from '@/core/quantity/money';
import { formatWeight, sumWeights, type Weight } from '@/core/quantity/weight';
import { DESTINATIONS, DESTINATION_WORDS } from '@/core/species/types';
import { DestinationMark } from '../kit/DestinationMark';
import type { SheetState } from '../sheet/useSheet';
import styles from './Mine.module.css';
import type { MinePage } from './minePage';

type Props = {
  page: MinePage;
  state: SheetState;
  onRow: (decision: string) => void;
  /** What is done with it now. */
  children: ReactNode;
};

/** What comes home: pack by pack, how much freezer it takes, what it costs; and what is done with it. */
export function Home({ page, state, onRow, children }: Props) {
  const { now, situation, ground, findings } = state;
  const { forecast, bill } = now;
  const open = findings.filter((finding) => finding.blocks);
  const packs = forecast.lines.reduce((sum, line) => sum + line.packs, 0);
  const [low, high] = [forecast.takeHomeLow, forecast.takeHomeHigh].map((w) => formatWeight(w, 0));
  return (
    <>
      <div className={styles.body}>
        <h1>This comes home with you.</h1>
        <p>
          {counted(packs, 'pack')}, somewhere between {low} and {high} {situation.unit}.
        </p>
        <ul className={styles.home}>
          {DESTINATIONS.filter((destination) => destination !== 'lost').map((destination) => {
            const lines = forecast.lines.filter((line) => line.destination === destination);
            if (lines.length === 0) return null;
            return (
              <li key={destination}>
                <h2>
                  <DestinationMark destination={destination} /> {DESTINATION_WORDS[destination]}{' '}
                  <span className="quiet">
                    {formatWeight(sumWeights(lines.map((line) => line.packaged)) as Weight, 1)}{' '}
                    {situation.unit}
                  </span>
                </h2>
                {lines.map((line) => (
                  <button key={line.key} type="button" onClick={() => onRow(line.decision)}>
                    <span>{line.cut}</span>
                    <span className="quiet">{counted(line.packs, 'pack')}</span>
                    <b>{formatWeight(line.packaged, 1)}</b>
                  </button>
                ))}
              </li>
            );
          })}
        </ul>
        <p className={styles.figures}>
          <span>
            <b className={styles.figure}>{forecast.freezerCuFt.toFixed(1)}</b> cu ft of freezer
          </span>
          {page.prices && (
            <span>
              <b className={styles.figure}>{formatMoney(bill.due, ground.priceList.sign)}</b> about, to pay on
              the day
            </span>
          )}
        </p>
        {open.length > 0 && (
          <>
            <h2>Still to say</h2>
            <ul className={styles.home}>
              {open.map(({ decision, sentence }) => (
                <li key={sentence}>
                  <button type="button" onClick={() => onRow(decision)}>
                    <span>{sentence}</span>
                  </button>
                </li>
              ))}
            </ul>
          </>
        )}
        {!page.sheet.locked && (
          <label className={styles.words}>
            Anything the cutter must know
            <textarea
              rows={3}
              maxLength={500}
              value={state.sheet.instructions}
              onChange={(event) => state.change({ ...state.sheet, instructions: event.target.value })}
            />
          </label>
        )}
      </div>
      {children}
    </>
  );
}
