'use client';

import { Button, Checkbox, InputNumber } from 'antd';
import { useState } from 'react';
import type { Result } from '@/core/quantity/result';
import type { ListedLink } from '@/server/links';
import { newToken, type NewLink } from './newLink';

const STATE_WORDS = { holds: 'holds until', ended: 'ended; was to hold until', expired: 'ran out' } as const;
const USUAL_DAYS = 14;

type Props = {
  /** `Give them a link` */
  words: string;
  busy: boolean;
  onGive: (link: NewLink) => Promise<Result<{ told: readonly string[] }, string>>;
};

/** Gives a private link: for how long, with prices or without; its address is shown once. */
export function GiveLink({ words, busy, onGive }: Props) {
  const [days, setDays] = useState(USUAL_DAYS);
  const [prices, setPrices] = useState(true);
  const [given, setGiven] = useState<{ address: string; told: readonly string[] }>();
  async function give() {
    const secret = newToken();
    const { origin } = window.location;
    const answer = await onGive({ days, prices, origin, secret });
    if (answer.ok) setGiven({ address: `${origin}/mine/${secret}`, told: answer.value.told });
  }
  return (
    <>
      <p>
        It holds{' '}
        <InputNumber
          aria-label="Days"
          min={1}
          max={90}
          value={days}
          onChange={(next) => setDays(next ?? 1)}
        />{' '}
        days{' '}
        <Checkbox checked={prices} onChange={(event) => setPrices(event.target.checked)}>
          with prices
        </Checkbox>{' '}
        <Button type="primary" loading={busy} onClick={() => void give()}>
          {words}
        </Button>
      </p>
      {given && (
        <p role="status">
          <a href={given.address}>{given.address}</a>
          <br />
          <span className="quiet">
            {given.told.length === 0
              ? 'Nobody was told: no telephone, no mail is known. Give them the address yourself; it is shown only now.'
              : `Sent to ${given.told.join(' and ')}. The address is shown only now.`}
          </span>
        </p>
      )}
    </>
  );
}

type ListProps = { links: readonly ListedLink[]; busy: boolean; onEnd: (linkId: string) => void };

/** The links that were given, and the way to end one at once. */
export function LinkList({ links, busy, onEnd }: ListProps) {
  return (
    <ul>
      {links.map((link) => (
        <li key={link.id}>
          given {link.given}, {STATE_WORDS[link.state]} {link.until}, {link.prices ? 'with' : 'without'}{' '}
          prices{' '}
          {link.state === 'holds' && (
            <button type="button" className="link" disabled={busy} onClick={() => onEnd(link.id)}>
              end it
            </button>
          )}
        </li>
      ))}
    </ul>
  );
}
