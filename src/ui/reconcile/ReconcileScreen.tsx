'use client';

import { Button } from 'antd';
import Link from 'next/link';
import { useState } from 'react';
import { STEP_LABELS, type LineComparison, type Verdict } from '@/core/reconcile/reconcile';
import type { TapePart } from '@/core/reconcile/tape';
import { formatWeight, type Weight } from '@/core/quantity/weight';
import type { BalanceView } from '@/server/settle';
import { useLive } from '../kit/live/useLive';
import { WorkingOf } from '../kit/WorkingOf';
import { ShareHeader } from '../kit/ShareHeader';
import { onDemand } from '../kit/onDemand';
import { BridgeTable } from './BridgeTable';
import { Tape } from './Tape';
import { LineTable } from './LineTable';
import styles from './ReconcileScreen.module.css';

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

/** Which reasons stand over which part of the tape: a line over its packs, a barrel or a tub over itself, else over the hole. */
function pinsOf({ reasons, expectedLines }: BalanceView): ReadonlyMap<TapePart['kind'], readonly number[]> {
  const pins = new Map<TapePart['kind'], number[]>();
  reasons.forEach((reason, index) => {
    const line = expectedLines.find(({ key }) => key === reason.lineKey);
    const part = line?.destination ?? reason.part ?? 'unaccounted';
    pins.set(part, [...(pins.get(part) ?? []), index + 1]);
  });
  return pins;
}

/** What left and reached no box, with where each barrel goes. */
function Barrels({ view: { barrels, unit } }: { view: BalanceView }) {
  if (barrels.length === 0) return null;
  return (
    <>
      <h2 className={styles.sub}>In the barrels</h2>
      <table>
        <tbody>
          {barrels.map(({ barrel, weight, to }) => (
            <tr key={barrel}>
              <td>{STEP_LABELS[barrel]}</td>
              <td className="quiet">to {to}</td>
              <td className="num">
                {formatWeight(weight, unit)} {unit}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}

/** What was asked and what was done instead, and why. */
function Otherwise({ view: { otherwise, unit } }: { view: BalanceView }) {
  if (otherwise.length === 0) return null;
  return (
    <ul className={styles.otherwise} aria-label="Asked and done">
      {otherwise.map(({ asked, done, why, who, weight }, index) => (
        <li key={index}>
          asked <b>{asked}</b>, done <b>{done}</b>
          {weight !== null && ` (${formatWeight(weight, 1)} ${unit})`}: {why}{' '}
          <span className="quiet">{who}</span>
        </li>
      ))}
    </ul>
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
      <section className={styles.whole}>
        <h2>
          Where did {formatWeight(balance.cold, unit)} {unit} go?
        </h2>
        <Tape view={view} pins={pinsOf(view)} />
      </section>
      <div className={styles.columns}>
        <section>
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
          <Barrels view={view} />
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
          <Otherwise view={view} />
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
