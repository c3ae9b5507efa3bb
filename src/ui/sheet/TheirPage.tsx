'use client';

import { Button, Checkbox, InputNumber } from 'antd';
import { useCallback, useEffect, useState } from 'react';
import type { LinksView } from '@/server/links';
import type { SheetView } from '@/server/sheet';
import { act } from '../kit/act';
import { Dialog } from '../kit/Dialog';
import { Note } from '../kit/Note';
import { useAsk } from '../kit/useAsk';

const NONE: LinksView = { links: [], sent: [] };
const STATE_WORDS = { holds: 'holds until', ended: 'ended; was to hold until', expired: 'ran out' } as const;
const USUAL_DAYS = 14;

/** 32 random bytes, as they stand in an address; made here, so that the house never has to say them again. */
function newToken(): string {
  const bytes = window.crypto.getRandomValues(new Uint8Array(32));
  return window
    .btoa(String.fromCharCode(...bytes))
    .replace(/\+/g, '-')
    .replace(/\//g, '_')
    .replace(/=+$/, '');
}

/** The household's own page: given by a private link, seen until when it holds, and ended. */
export function TheirPage({ view, onClose }: { view: SheetView; onClose: () => void }) {
  const { shareId } = view;
  const [value, setValue] = useState(NONE);
  const look = useCallback(
    () => act('linksView', { shareId }).then((answer) => answer.ok && setValue(answer.value)),
    [shareId],
  );
  useEffect(() => void look(), [look]);
  const give = useAsk('giveLink');
  const end = useAsk('endLink');
  const [days, setDays] = useState(USUAL_DAYS);
  const [prices, setPrices] = useState(true);
  const [given, setGiven] = useState<{ address: string; told: readonly string[] }>();
  async function giveIt() {
    const secret = newToken();
    const { origin } = window.location;
    const answer = await give.ask({
      shareId,
      days,
      prices,
      origin,
      secret,
    });
    if (!answer.ok) return;
    setGiven({ address: `${origin}/mine/${secret}`, told: answer.value.told });
    await look();
  }
  return (
    <Dialog title={`A page of their own for ${view.contact.name}`} onClose={onClose} width={600}>
      <p>
        By a private link they fill in the sheet on their telephone, one choice at a time; you see it here as
        they go. Whoever has the link can open it.
      </p>
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
        <Button type="primary" loading={give.busy} onClick={() => void giveIt()}>
          Give them a link
        </Button>
      </p>
      <Note failure={give.refusal ?? end.refusal} />
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
      <ul>
        {value.links.map((link) => (
          <li key={link.id}>
            given {link.given}, {STATE_WORDS[link.state]} {link.until}, {link.prices ? 'with' : 'without'}{' '}
            prices{' '}
            {link.state === 'holds' && (
              <button
                type="button"
                className="link"
                disabled={end.busy}
                onClick={() => void end.ask({ shareId, linkId: link.id }).then(look)}
              >
                end it
              </button>
            )}
          </li>
        ))}
      </ul>
      {value.sent.map(({ at, version }) => (
        <p key={version} className="quiet">
          They sent version {version} {at}.
        </p>
      ))}
    </Dialog>
  );
}
