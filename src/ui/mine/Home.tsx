'use client';

import { useState } from 'react';
import { counted } from '@/core/quantity/counted';
import { formatMoney } from '@/core/quantity/money';
import { formatWeight, sumWeights, type Weight } from '@/core/quantity/weight';
import { DESTINATIONS, DESTINATION_WORDS } from '@/core/species/types';
import type { HouseholdSheet } from '@/server/links';
import { newClientId } from '../kit/act';
import { DestinationMark } from '../kit/DestinationMark';
import type { SheetState } from '../sheet/useSheet';
import { askByLink } from './byLink';
import styles from './Mine.module.css';

type Props = {
  token: string;
  mine: HouseholdSheet;
  state: SheetState;
  onChange: () => void;
  onRow: (decision: string) => void;
};

/** What comes home: pack by pack, how much freezer it takes, what it costs; and the way to the shop. */
export function Home({ token, mine, state, onChange, onRow }: Props) {
  const { now, situation, ground, findings } = state;
  const { forecast, bill } = now;
  const [sent, setSent] = useState(mine.sheet.sent?.at ?? '');
  const [problem, setProblem] = useState('');
  const [busy, setBusy] = useState(false);
  const open = findings.filter((finding) => finding.blocks);
  const packs = forecast.lines.reduce((sum, line) => sum + line.packs, 0);
  const [low, high] = [forecast.takeHomeLow, forecast.takeHomeHigh].map((w) => formatWeight(w, 0));
  async function send() {
    setBusy(true);
    setProblem('');
    await state.saver.flush();
    const answer = await askByLink(token, 'sendSheet', {
      clientId: newClientId(),
      shareId: mine.sheet.shareId,
      version: state.saver.version.get(),
    });
    setBusy(false);
    if (answer.ok) setSent(answer.value.at);
    else setProblem(answer.message);
  }
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
          {mine.prices && (
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
        {!mine.sheet.locked && (
          <>
            <label className={styles.words}>
              Anything the cutter must know
              <textarea
                rows={3}
                maxLength={500}
                value={state.sheet.instructions}
                onChange={(event) => state.change({ ...state.sheet, instructions: event.target.value })}
              />
            </label>
            <p className="quiet">
              You can change it until {mine.days.sheetBy}. If something cannot be done, we ring you first.
            </p>
          </>
        )}
        {problem !== '' && (
          <p className="alarm" role="alert">
            {problem}
          </p>
        )}
        {sent !== '' && (
          <p role="status">Sent to the shop {sent}. We read it over and ring you if we must.</p>
        )}
      </div>
      {!mine.sheet.locked && (
        <footer className={styles.bar}>
          <button type="button" className={styles.main} disabled={busy} onClick={() => void send()}>
            {sent === '' ? 'Send it to the shop' : 'Send it again'}
          </button>
          <button type="button" className={styles.second} onClick={onChange}>
            Change something first
          </button>
        </footer>
      )}
    </>
  );
}
