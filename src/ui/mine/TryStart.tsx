'use client';

import { formatWeight, sumWeights } from '@/core/quantity/weight';
import type { TrySheet } from '@/server/links';
import { Begin } from './Begin';
import styles from './Mine.module.css';
import { RingUs } from './RingUs';
import type { FirstPage } from './SheetPages';
import { Side } from './Side';

type Props = { tried: TrySheet; page: FirstPage };

/** A usual animal, what of it would come home, and that nothing is booked by trying. */
export function TryStart({ tried: { species, shop, sheet }, page }: Props) {
  const { now, situation } = page.state;
  const isWhole = sheet.sides === 2;
  return (
    <div className={styles.body}>
      <div className={styles.twoParts}>
        <div>
          <h1>How would you like a {species} cut?</h1>
          <p>Try it on a usual one. Nothing is booked by it, and nobody is told.</p>
          <p className={styles.sizesOf}>
            <a href={`/try/${sheet.species.id}`} aria-current={isWhole ? undefined : 'page'}>
              half of one
            </a>
            <a href={`/try/${sheet.species.id}?whole`} aria-current={isWhole ? 'page' : undefined}>
              a whole one
            </a>
          </p>
          <p className={styles.large}>
            <span className="unit">about </span>
            {formatWeight(sumWeights(sheet.coldSides), 0)}
            <span className="unit">{situation.unit}</span>
          </p>
          <p className="quiet">
            on the rail, as such animals weigh.{' '}
            {page.open < page.asked && (
              <>
                About <b>{formatWeight(now.forecast.takeHome, 0)}</b> {situation.unit} of it would go home
                with you.
              </>
            )}
          </p>
        </div>
        <Side state={page.state} onZone={page.onZone} />
      </div>
      <Begin page={page} />
      <p className="quiet">
        What you choose stays on this telephone until you take it along. <RingUs shop={shop} />
      </p>
      <p className={styles.papers}>
        <a href={`/blank/${sheet.species.id}`}>All choices on one page, with what they cost</a>
      </p>
    </div>
  );
}
