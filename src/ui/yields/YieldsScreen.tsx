'use client';

import { Button } from 'antd';
import dynamic from 'next/dynamic';
import { useRouter } from 'next/navigation';
import { useCallback, useMemo, useState } from 'react';
import { counted } from '@/core/quantity/counted';
import type { YieldsView } from '@/server/yields';
import { DestinationMark, destinationClass } from '../kit/DestinationMark';
import { useKey, useScope } from '../kit/keys/useKey';
import { Nothing } from '../kit/States';
import { addressOf, FilterSentence } from './FilterSentence';
import { rowsOf, type Row } from './rows';
import { SeasonSoFar } from './SeasonSoFar';
import { ByFarm } from './ByFarm';
import { WhoTrims } from './WhoTrims';
import { WhyThisOne } from './WhyThisOne';
import { CutsTable, YieldsTable } from './YieldsTable';
import styles from './Yields.module.css';

/** The picture is large, and its figures stand behind it: it comes when the page is there. */
const Strokes = dynamic(() => import('./Strokes').then((module) => module.Strokes), { ssr: false });

/** Fewer shares than these say nothing of the next one. */
const FEWEST = 8;

/** What an animal gives in this shop: where a hundred pounds go, share by share, with the figures behind. */
export function YieldsScreen({ view }: { view: YieldsView }) {
  const [asTable, setAsTable] = useState(false);
  const [copied, setCopied] = useState(false);
  const router = useRouter();
  const rows = useMemo(() => rowsOf(view), [view]);
  const { filter } = view;
  const ask = useCallback(
    (shareId: string) => router.push(addressOf({ ...filter, shareId }), { scroll: false }),
    [filter, router],
  );
  const copy = () => void navigator.clipboard?.writeText(window.location.href).then(() => setCopied(true));
  useScope('yields');
  useKey('yields', 'table', () => setAsTable(!asTable));
  useKey('yields', 'print', () => window.print());
  useKey('yields', 'link', copy);
  return (
    <div className={styles.page}>
      <div className={styles.top}>
        <FilterSentence view={view} />
        <span className={styles.acts}>
          <Button onClick={() => setAsTable(!asTable)}>
            {asTable ? 'Picture' : 'Table'} <kbd>T</kbd>
          </Button>
          <Button href={addressOf(filter).replace('/yields', '/api/yields')} download>
            CSV
          </Button>
          <Button href={`/yields/learnt?species=${filter.species}`}>What is learnt</Button>
          <Button href="/yields/report">The year</Button>
          <Button onClick={copy}>
            {copied ? 'Copied' : 'Link'} <kbd>L</kbd>
          </Button>
        </span>
      </div>
      <div className={styles.columns}>
        <section>
          <h1>Where does a {view.animal} go in this shop?</h1>
          <Answer view={view} />
          {view.shares > 0 &&
            (asTable ? (
              <YieldsTable view={view} rows={rows} />
            ) : (
              <div className={styles.picture} role="img" aria-label={inWords(view, rows)}>
                <Labels view={view} rows={rows} />
                <Strokes view={view} rows={rows} onOpen={ask} />
              </div>
            ))}
          {view.shares > 0 && <Hundred view={view} rows={rows} />}
          <SeasonSoFar view={view} onOpen={ask} />
        </section>
        <section>
          <WhyThisOne view={view} onAsk={ask} />
          <ByFarm view={view} />
          <WhoTrims cutters={view.cutters} />
          <h2 className={styles.cuts}>Cut by cut</h2>
          <CutsTable view={view} />
        </section>
      </div>
    </div>
  );
}

/** The answer in a sentence; of few shares only how many there are. */
function Answer({ view }: { view: YieldsView }) {
  const { shares, unit, spreads, pooled } = view;
  const whole = spreads['packed-hot'];
  const { leftOut } = pooled['packed-hot'];
  if (shares === 0) {
    return (
      <Nothing>Nothing of this choice is finished yet. A share counts when its balance is closed.</Nothing>
    );
  }
  return (
    <p>
      {whole && (
        <>
          Of 100 {unit} hanging hot, <b>{whole.mean.toFixed(1)}</b> go home in packs
          {whole.of >= FEWEST
            ? `; eight shares in ten give ${whole.low.toFixed(0)} to ${whole.high.toFixed(0)}.`
            : `. ${counted(whole.of, 'share')} so far: too few to say what the next one gives.`}
        </>
      )}{' '}
      <span className="quiet">
        A stroke is one share; press one to ask why it gave what it did.
        {leftOut > 0 &&
          ` ${counted(leftOut, 'share')} without a hot weight ${leftOut === 1 ? 'is' : 'are'} left out.`}
      </span>
    </p>
  );
}

/** The names of the lines, with their mark and mean: they stand beside the picture and take the same height. */
function Labels({ view, rows }: { view: YieldsView; rows: readonly Row[] }) {
  return (
    <ol className={styles.labels}>
      {rows.map(({ part, label, mark, isWhole }) => (
        <li key={part} data-whole={isWhole || undefined}>
          {mark ? <DestinationMark destination={mark} /> : <i className={styles.box} data-whole={isWhole} />}
          <span>{label}</span>
          <b>{view.spreads[part]?.mean.toFixed(1) ?? '–'}</b>
        </li>
      ))}
    </ol>
  );
}

/** A hundred pounds of the mean share as one bar that adds up. */
function Hundred({ view, rows }: { view: YieldsView; rows: readonly Row[] }) {
  const parts = rows.filter(({ isWhole }) => !isWhole);
  return (
    <>
      <h2 className={styles.hundred}>100 {view.unit} hot, the mean share</h2>
      <ol className={styles.bar} aria-label="The mean share">
        {parts.map(({ part, label, mark }) => {
          const mean = view.spreads[part]?.mean ?? 0;
          return (
            <li
              key={part}
              className={mark ? destinationClass(mark) : styles.open}
              style={{ flexGrow: Math.max(0, mean) }}
              title={`${label} ${mean.toFixed(1)}`}
            >
              {mean >= 4 && (
                <span>
                  <b>{mean.toFixed(1)}</b> {label}
                </span>
              )}
            </li>
          );
        })}
      </ol>
    </>
  );
}

function inWords({ spreads }: YieldsView, rows: readonly Row[]): string {
  return rows
    .flatMap(({ part, label }) => {
      const spread = spreads[part];
      return spread
        ? [
            `${label} ${spread.mean.toFixed(1)} %, eight in ten ${spread.low.toFixed(1)} to ${spread.high.toFixed(1)}`,
          ]
        : [];
    })
    .join('; ');
}
