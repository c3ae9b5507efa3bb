'use client';

import { Button, Input, Modal } from 'antd';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { LineComparison, Verdict } from '@/core/reconcile/reconcile';
import { formatWeight } from '@/core/quantity/weight';
import type { BalanceView } from '@/server/settle';
import { act, newClientId } from '../kit/act';
import { BridgeChart } from './BridgeChart';
import { DestinationMark } from '../kit/DestinationMark';
import { WorkingOf } from '../kit/WorkingOf';
import { ShareHeader } from '../kit/ShareHeader';
import styles from './ReconcileScreen.module.css';

const VERDICT_WORDS: Record<Verdict, string> = {
  open: 'not all is weighed yet',
  usual: 'usual: drip, saw dust and evaporation take 1 to 3 %',
  ask: 'more than usual: look for a pack or a barrel that was not weighed',
  investigate: 'investigate: something was weighed twice, or is missing',
};

/** Where the weight went, and the packs against the sheet. */
export function ReconcileScreen({ view }: { view: BalanceView }) {
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
            Where did {formatWeight(balance.cold)} {unit} go?
          </h2>
          <BridgeChart steps={balance.bridge} unit={unit} />
          <p className={styles.unaccounted} data-verdict={balance.verdict}>
            <WorkingOf working={balance.working}>
              <span className={styles.big}>{formatWeight(balance.unaccounted)}</span>
              <span className="unit">{unit}</span>
            </WorkingOf>{' '}
            <span>
              <b>{(balance.unaccountedBp / 100).toFixed(2)} % unaccounted</b>
              <br />
              {VERDICT_WORDS[balance.verdict]}
            </span>
          </p>
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
                      <td className="num">{formatWeight(each.net)}</td>
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

function BridgeTable({ view }: { view: BalanceView }) {
  const { reconciliation: balance, unit } = view;
  return (
    <table className={styles.bridge}>
      <tbody>
        {view.hot > balance.cold && (
          <tr className="quiet">
            <td>hot weight, before the rail took its part</td>
            <td className="num">{formatWeight(view.hot, 3)}</td>
          </tr>
        )}
        {balance.bridge.map((step) => (
          <tr key={step.label}>
            <td>{step.lost ? step.label : <b>{step.label}</b>}</td>
            <td className="num">
              {step.lost ? (
                `− ${formatWeight(step.weight, 3)}`.replace('− -', '+ ')
              ) : (
                <b>
                  {formatWeight(step.weight, 3)} {unit}
                </b>
              )}
            </td>
          </tr>
        ))}
        <tr>
          <td>yield, boxes on cold weight</td>
          <td className="num">{(balance.yieldBp / 100).toFixed(2)} %</td>
        </tr>
      </tbody>
    </table>
  );
}

const STATE_WORDS: Record<LineComparison['state'], string> = {
  'to come': 'to come',
  short: 'packs short',
  'in cure': 'in cure',
  packed: '',
  over: 'more packs',
  'not asked': 'not asked for',
};

function LineTable({ view, onExplain }: { view: BalanceView; onExplain: (line: LineComparison) => void }) {
  const { reconciliation: balance, unit } = view;
  const noteOf = (key: string) => view.notes.findLast((note) => note.lineKey === key)?.note;
  return (
    <table className={styles.lines}>
      <thead>
        <tr>
          <th>cut</th>
          <th className="num">forecast</th>
          <th className="num">green</th>
          <th className="num">packed, {unit}</th>
          <th className="num">off</th>
          <th className="num">packs</th>
          <th />
        </tr>
      </thead>
      <tbody>
        {balance.lines.map((line) => {
          const note = noteOf(line.lineKey);
          const wants = !note && (line.unusual || (line.state !== 'packed' && line.state !== 'in cure'));
          return (
            <tr key={line.lineKey}>
              <td>
                <DestinationMark destination={line.destination} /> {line.cut}
                {note && <div className={styles.note}>{note}</div>}
              </td>
              <td className="num quiet">{formatWeight(line.expected)}</td>
              <td className="num quiet">{line.green > 0 ? formatWeight(line.green) : ''}</td>
              <td className="num">
                <b>{line.packsMade > 0 ? formatWeight(line.actual) : '–'}</b>
              </td>
              <td className={line.unusual ? 'num alarm' : 'num'}>{offWords(line)}</td>
              <td className="num">
                {line.packsMade} of {line.packsAsked}
              </td>
              <td className="num">
                <span className={wants ? 'alarm' : 'quiet'}>{STATE_WORDS[line.state]}</span>
                {wants && !view.closing && (
                  <Button type="link" size="small" onClick={() => onExplain(line)}>
                    say why
                  </Button>
                )}
              </td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}

function offWords(line: LineComparison): string {
  if (line.offBp === null) return '';
  const percent = (Math.abs(line.offBp) / 100).toFixed(1);
  return `${line.offBp < 0 ? '−' : '+'}${percent} %`;
}

function CloseDialog({ view, onClose }: { view: BalanceView; onClose: () => void }) {
  const router = useRouter();
  const [clientId] = useState(newClientId);
  const [note, setNote] = useState('');
  const [problem, setProblem] = useState('');
  const [busy, setBusy] = useState(false);
  const { reconciliation: balance, unit } = view;
  async function close() {
    setBusy(true);
    const result = await act('closeShare', { clientId, shareId: view.shareId, note });
    setBusy(false);
    if (!result.ok) return setProblem(result.message);
    router.push(`/settle/${view.shareId}`);
    router.refresh();
  }
  return (
    <Modal
      open
      title="Close the balance"
      onCancel={onClose}
      onOk={() => void close()}
      okText="Close and make the bill final"
      confirmLoading={busy}
    >
      <p>
        {formatWeight(balance.unaccounted)} {unit} ({(balance.unaccountedBp / 100).toFixed(2)} %) will stand
        as unaccounted. After this nothing more is weighed to {view.name}.
      </p>
      <label htmlFor="closing-note">What was found{balance.verdict === 'usual' ? ', if anything' : ''}</label>
      <Input.TextArea
        id="closing-note"
        rows={2}
        value={note}
        onChange={(event) => setNote(event.target.value)}
      />
      <p role="alert" className="alarm">
        {problem}
      </p>
    </Modal>
  );
}

function ExplainDialog({
  view,
  line,
  onClose,
}: {
  view: BalanceView;
  line: LineComparison;
  onClose: () => void;
}) {
  const router = useRouter();
  const [clientId] = useState(newClientId);
  const [note, setNote] = useState('');
  const [problem, setProblem] = useState('');
  async function write() {
    const result = await act('noteLine', { clientId, shareId: view.shareId, lineKey: line.lineKey, note });
    if (!result.ok) return setProblem(result.message);
    onClose();
    router.refresh();
  }
  return (
    <Modal
      open
      title={`${line.cut}: say why`}
      onCancel={onClose}
      onOk={() => void write()}
      okText="Write it down"
    >
      <p className="quiet">The household reads this on its statement.</p>
      <Input
        aria-label="Why"
        autoFocus
        value={note}
        onChange={(event) => setNote(event.target.value)}
        onPressEnter={() => void write()}
      />
      <p role="alert" className="alarm">
        {problem}
      </p>
    </Modal>
  );
}
