'use client';

import { Button } from 'antd';
import type { TicketView } from '@/server/ticket';
import { Note } from '../kit/Note';
import { useAsk } from '../kit/useAsk';

/** Under which step of the shop's set-up the sheet was begun, and the way to put it under today's. */
export function MadeUnder({ view }: { view: TicketView }) {
  const { ask, busy, refusal } = useAsk('renewSetUp');
  const { sheet, setUp, shareId, office, balance } = view;
  if (sheet.version === 0 || sheet.setUp === setUp) return null;
  return (
    <p className="quiet">
      Begun under step {sheet.setUp} of the shop’s set-up, which is at {setUp} now.{' '}
      {office && balance === null && !sheet.approved && (
        <Button size="small" loading={busy} onClick={() => void ask({ shareId })}>
          Put it under today’s
        </Button>
      )}
      <Note failure={refusal} />
    </p>
  );
}
