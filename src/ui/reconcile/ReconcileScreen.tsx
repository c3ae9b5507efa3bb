'use client';

import { Button } from 'antd';
import dynamic from 'next/dynamic';
import Link from 'next/link';
import { useState } from 'react';
import type { LineComparison, Verdict } from '@/core/reconcile/reconcile';
import { formatWeight, type Weight } from '@/core/quantity/weight';
import type { BalanceView } from '@/server/settle';
import { useLive } from '../kit/live/useLive';
import { WorkingOf } from '../kit/WorkingOf';
import { ShareHeader } from '../kit/ShareHeader';
import { onDemand } from '../kit/onDemand';
import { BridgeTable } from './BridgeTable';
import { LineTable } from './LineTable';
import styles from './ReconcileScreen.module.css';

/** The picture is large and its figures stand in a table below it: it comes when the page is there. */
const BridgeChart = dynamic(() => import('./BridgeChart').then((module) => module.BridgeChart), {
  ssr: false,
  loading: () => <div style={{ height: 300 }} />,
});
const CloseDialog = onDemand(() => import('./CloseDialog').then((module) => module.CloseDialog));
const ExplainDialog = onDemand(() => import('./ExplainDialog').then((module) => module.ExplainDialog));

const VERDICT_WORDS: Record<Verdict, string> = {
  open: 'not all is weighed yet',
  usual: 'usual: drip, saw dust and evaporation take 1 to 3 %',
  ask: 'more than usual: look for a pack or a barrel that was not weighed',
  investigate: 'investigate: something was weighed twice, or is missing',
};

/** What may explain it, found in the entries, each with the way to them. */
function Reasons({ view: { reasons, unit, shareId } }: { view: BalanceView }) {
  if (reasons.length === 0) return null;
  return (
    <ol className={styles.reasons} aria-label="Likely reasons">
      {reasons.map(({ words, weight, weighingId, kind }) => (
        <li key={words}>
          <b>
            {formatWeight(Math.round(Math.abs(weight)) as Weight, 1)} {unit}
          </b>{' '}
          {words}.{' '}
          <Link href={`/wrap/${shareId}`}>
            {kind === 'barrel' || kind === 'tub' || kind === 'packs' ? 'weigh it' : 'weigh again'}
          </Link>
          {weighingId && kind !== 'twice' && (
            <>
              {' '}
              <a href={`/api/label/${weighingId}`} target="_blank" rel="noreferrer">
                its label
              </a>
            </>
          )}
        </li>
      ))}
    </ol>
  );
}

/** Where the weight went, and the packs against the sheet. */
export function ReconcileScreen({ view: first }: { view: BalanceView }) {
  const { value: view } = useLive('balanceView', { shareId: first.shareId }, first);
  const { reconciliation: balance, unit } = view;
  const [closing, setClosing] = useState(false);
  const [explaining, setExplaining] = useState<LineComparison | null>(null);
  return (
    <div className={styles.page}>
      <ShareHeader name={view.name} about={view.about}>
        <Link href={`/wrap/${view.shareId}`}>to the wrap table</Link>
        {view.closing ? (
          <Link href={`/settle/${view.shareId}`}>closed; to the bill</Link>
        ) : (
          <Button type="primary" onClick={() => setClosing(true)}>
            Close the balance
          </Button>
        )}
      </ShareHeader>
      <div className={styles.columns}>
        <section>
          <h2>
            Where did {formatWeight(balance.cold, unit)} {unit} go?
          </h2>
          <BridgeChart steps={balance.bridge} unit={unit} />
          <p className={styles.unaccounted} data-verdict={balance.verdict}>
            <WorkingOf working={balance.working}>
              <span className={styles.big}>{formatWeight(balance.unaccounted, unit)}</span>
              <span className="unit">{unit}</span>
            </WorkingOf>{' '}
            <span>
              <b>{(balance.unaccountedBp / 100).toFixed(2)} % unaccounted</b>
              <br />
              {VERDICT_WORDS[balance.verdict]}
            </span>
          </p>
          <Reasons view={view} />
          <BridgeTable view={view} />
          {view.voids.length > 0 && (
            <>
              <h2 className={styles.sub}>Taken back</h2>
              <table>
                <tbody>
                  {view.voids.map((each) => (
                    <tr key={each.id}>
                      <td>{each.cut}</td>
                      <td className="quiet">{each.reason}</td>
                      <td className="num">{formatWeight(each.net, unit)}</td>
                    </tr>
                  ))}
                </tbody>
              </table>
            </>
          )}
        </section>
        <section>
          <h2>Asked against packed</h2>
          <LineTable view={view} onExplain={setExplaining} />
          <p className="quiet">
            Cured cuts count green in the balance and finished in the boxes. A line more than 8 % beside its
            forecast wants a word of why.
          </p>
        </section>
      </div>
      {closing && <CloseDialog view={view} onClose={() => setClosing(false)} />}
      {explaining && <ExplainDialog view={view} line={explaining} onClose={() => setExplaining(null)} />}
    </div>
  );
}
