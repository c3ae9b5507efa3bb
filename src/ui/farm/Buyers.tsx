'use client';

import { Button, Checkbox } from 'antd';
import { useState } from 'react';
import { formatWeight } from '@/core/quantity/weight';
import type { FarmBuyer } from '@/server/sheet';
import { newToken } from '../kit/newLink';
import { Note } from '../kit/Note';
import { useAsk } from '../kit/useAsk';
import styles from './Farm.module.css';

const DAYS = 14;

type Sent = {
  readonly shareId: string;
  readonly name: string;
  readonly address: string;
  readonly told: boolean;
};

/** Who has which part, what it comes to and costs; and the links to their own pages, sent from here. */
export function Buyers({ buyers, prices }: { buyers: readonly FarmBuyer[]; prices: boolean }) {
  const [withPrices, setWithPrices] = useState(prices);
  const [sent, setSent] = useState<readonly Sent[]>([]);
  const { ask, busy, refusal } = useAsk('giveLink');
  const waiting = buyers.filter(({ linkUntil }) => linkUntil === null);
  async function give(to: readonly FarmBuyer[]) {
    const { origin } = window.location;
    for (const { shareId, name } of to) {
      const secret = newToken();
      const answer = await ask({ shareId, days: DAYS, prices: withPrices, origin, secret });
      if (!answer.ok) return;
      const one = { shareId, name, address: `${origin}/mine/${secret}`, told: answer.value.told.length > 0 };
      setSent((before) => [...before, one]);
    }
  }
  return (
    <section className={styles.species}>
      <h2>
        Who has what <span className="quiet">each may say on a page of their own how it is cut</span>
      </h2>
      <div className={styles.wide}>
        <table className={styles.buyers}>
          <thead>
            <tr>
              <th scope="col">household</th>
              <th scope="col">part</th>
              <th scope="col" className="num">
                comes home
              </th>
              {prices && (
                <th scope="col" className="num">
                  costs about
                </th>
              )}
              <th scope="col">their page</th>
            </tr>
          </thead>
          <tbody>
            {buyers.map((buyer) => (
              <tr key={buyer.shareId}>
                <th scope="row">{buyer.name}</th>
                <td>
                  {buyer.part} of {buyer.tag}
                </td>
                <td className="num">
                  {buyer.takeHome > 0 ? `${formatWeight(buyer.takeHome, 1)} ${buyer.unit}` : 'no sheet yet'}
                </td>
                {prices && <td className="num">{buyer.cost || '–'}</td>}
                <td>
                  {buyer.sent && `they sent it ${buyer.sent}, `}
                  {buyer.linkUntil ? (
                    <span className="quiet">link until {buyer.linkUntil}</span>
                  ) : (
                    <button
                      type="button"
                      className="link"
                      disabled={busy}
                      aria-label={`send a link to ${buyer.name}`}
                      onClick={() => void give([buyer])}
                    >
                      send a link
                    </button>
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {waiting.length > 1 && (
        <p className={styles.copy}>
          <Button loading={busy} onClick={() => void give(waiting)}>
            Send all {waiting.length} a link
          </Button>
          {prices && (
            <Checkbox checked={withPrices} onChange={(event) => setWithPrices(event.target.checked)}>
              with prices
            </Checkbox>
          )}
          <span className="quiet">They hold {DAYS} days.</span>
        </p>
      )}
      <Note failure={refusal} />
      {sent.length > 0 && (
        <ul role="status" className={styles.sent}>
          {sent.map(({ shareId, name, address, told }) => (
            <li key={shareId}>
              {name}: {told ? 'sent. ' : 'no telephone and no mail are known, give it to them: '}
              <a href={address}>{address}</a>
            </li>
          ))}
          <li className="quiet">The addresses are shown only now.</li>
        </ul>
      )}
    </section>
  );
}
