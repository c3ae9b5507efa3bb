'use client';

import { MadeUnder } from './MadeUnder';
import { partName } from '@/core/order/naming';
import { Button } from 'antd';
import Link from 'next/link';
import { useRouter, useSearchParams } from 'next/navigation';
import { useState } from 'react';
import { formatWeight } from '@/core/quantity/weight';
import type { TicketView } from '@/server/ticket';
import { useKey, useScope } from '../kit/keys/useKey';
import { useLive } from '../kit/live/useLive';
import { WholeBar } from '../kit/WholeBar';
import { useWho } from '../kit/Who';
import { BASIS_WORDS } from '../kit/words';
import { onDemand } from '../kit/onDemand';
import { Asked, MoneyBlock, OnTheRail, Papers, People } from './blocks';
import { nextAct } from './nextAct';
import { Packs } from './Packs';
import { ShareLine } from './ShareLine';
import { SideInWords } from './SideInWords';
import styles from './TicketScreen.module.css';

const CorrectDialog = onDemand(() => import('./Changes').then((module) => module.CorrectDialog));
const CancelDialog = onDemand(() => import('./Changes').then((module) => module.CancelDialog));
const PoolDialog = onDemand(() => import('./PoolDialog').then((module) => module.PoolDialog));
const SellDialog = onDemand(() => import('./Changes').then((module) => module.SellDialog));

const DIALOGS = ['correct', 'cancel', 'sell', 'pool'] as const;
type Opened = (typeof DIALOGS)[number] | null;

/** One share whole: one paper, read left to right in the order of the work, hanging from the stage where it waits. */
export function TicketScreen({ ticket: first }: { ticket: TicketView }) {
  const { value: view } = useLive('ticketView', { shareId: first.shareId }, first);
  const [opened, setOpened] = useOpened();
  const { office } = view;
  const close = () => setOpened(null);
  const started = view.balance !== null;
  return (
    <div className={styles.page}>
      <ShareLine view={view} />
      <article className={styles.ticket} aria-label={`Ticket of ${view.name}`}>
        <Head view={view} onOpen={setOpened} />
        <div className={styles.strips}>
          <section>
            {office && <People people={office.people} view={view} />}
            <OnTheRail view={view} />
            {office && <Asked said={office.said} />}
          </section>
          <section>
            <h2>
              The sheet <span>{sheetWords(view)}</span>
            </h2>
            <MadeUnder view={view} />
            <SideInWords sheet={view.sheet} />
            <p className={styles.besides}>
              <b>Grind</b> {view.sheet.grind}. <b>All of it</b> {view.sheet.wrap}.
              {view.sheet.instructions !== '' && <em> “{view.sheet.instructions}”</em>}
            </p>
            <Found view={view} />
          </section>
          <section>
            <h2>{started ? 'The packs' : 'What the boxes will hold'}</h2>
            <Packs lines={view.packs} unit={view.unit} started={started} />
            <Smoked words={view.smoked} />
            <div className={styles.two}>
              {office && <MoneyBlock money={office.money} />}
              <Papers view={view} />
            </div>
          </section>
        </div>
        <Balance view={view} />
      </article>
      {office && opened === 'correct' && <CorrectDialog view={view} office={office} onClose={close} />}
      {office && opened === 'cancel' && <CancelDialog view={view} office={office} onClose={close} />}
      {office && opened === 'pool' && <PoolDialog view={view} office={office} onClose={close} />}
      {office && opened === 'sell' && <SellDialog view={view} onClose={close} />}
    </div>
  );
}

/** What is open over the ticket: opened by a button, by a key, or by the address that the palette leads to. */
function useOpened(): [Opened, (opened: Opened) => void] {
  const asked = useSearchParams().get('do');
  const [opened, setOpened] = useState<Opened>(DIALOGS.find((each) => each === asked) ?? null);
  return [opened, setOpened];
}

function sheetWords({ sheet: { version, approved, open } }: TicketView): string {
  if (version === 0) return 'no sheet yet';
  return `version ${version}, ${approved ? 'approved' : open > 0 ? `${open} open` : 'not approved yet'}`;
}

/** What cure and smoke did, and the way to where it lies. */
function Smoked({ words }: { words: readonly string[] }) {
  if (words.length === 0) return null;
  return (
    <>
      <h2>
        Cure and smoke{' '}
        <span>
          <Link href="/smoke">the smokehouse</Link>
        </span>
      </h2>
      <ul className={styles.smoked}>
        {words.map((each) => (
          <li key={each}>{each}</li>
        ))}
      </ul>
    </>
  );
}

type HeadProps = { view: TicketView; onOpen: (opened: Opened) => void };

function Head({ view, onOpen }: HeadProps) {
  const { cancelled } = view;
  return (
    <header className={styles.head} data-cancelled={cancelled ? true : undefined}>
      <h1>{view.name}</h1>
      <span className="quiet">{view.about}</span>
      {cancelled && (
        <p className="alarm">
          Called off {cancelled.at} by {cancelled.who}: {cancelled.why}
        </p>
      )}
      <Acts view={view} onOpen={onOpen} />
    </header>
  );
}

/** What can be done with the order, by button and by key. */
function Acts({ view, onOpen }: HeadProps) {
  const router = useRouter();
  const { role } = useWho();
  const { office, unsold, cancelled, stage, shareId, balance } = view;
  const next = nextAct(stage, shareId, role);
  const mayChange = office !== null && !cancelled;
  const mayPool = mayChange && view.sheet.grind !== '' && stage !== 'settle' && stage !== 'gone';
  const mayCancel = mayChange && balance === null && stage !== 'gone';
  useTicketKeys(view, { next: next?.page, mayChange, onOpen });
  return (
    <span className={styles.acts}>
      {mayChange && unsold.length > 0 && (
        <Button onClick={() => onOpen('sell')}>
          Sell {unsold.length === 1 ? `the ${partName(unsold[0]!)}` : 'what nobody has'}
        </Button>
      )}
      {mayPool && <Button onClick={() => onOpen('pool')}>Grinding together</Button>}
      {mayCancel && <Button onClick={() => onOpen('cancel')}>Call off</Button>}
      {mayChange && (
        <Button onClick={() => onOpen('correct')}>
          Correct a fact <kbd>E</kbd>
        </Button>
      )}
      <Button onClick={() => window.print()}>
        Print <kbd>P</kbd>
      </Button>
      {next && (
        <Button type="primary" onClick={() => router.push(next.page)}>
          {next.does} <kbd>Enter</kbd>
        </Button>
      )}
    </span>
  );
}

type Able = { next: string | undefined; mayChange: boolean; onOpen: (opened: Opened) => void };

function useTicketKeys({ others }: TicketView, { next, mayChange, onOpen }: Able): void {
  const router = useRouter();
  const go = (to: string | undefined) => to && router.push(to);
  const ticketOf = (share: { shareId: string } | undefined) => share && `/ticket/${share.shareId}`;
  useScope('ticket');
  useKey('ticket', 'correct', () => onOpen('correct'), mayChange);
  useKey('ticket', 'print', () => window.print());
  useKey('ticket', 'act', () => go(next), next !== undefined);
  useKey('ticket', 'before', () => go(ticketOf(others[0])));
  useKey('ticket', 'after', () => go(ticketOf(others.at(-1))));
}

function Found({ view: { found, takenBack, worked, unit } }: { view: TicketView }) {
  if (found.length + takenBack.length + worked.length === 0) return null;
  return (
    <>
      <h2>Found and said</h2>
      <table>
        <tbody>
          {found.map(({ what, words, photoId }, index) => (
            <tr key={index}>
              <td className="quiet">{what}</td>
              <td>
                {words}
                {photoId && (
                  <>
                    {' '}
                    <a href={`/api/photo/${photoId}`} target="_blank" rel="noreferrer">
                      photo
                    </a>
                  </>
                )}
              </td>
            </tr>
          ))}
          {worked.map((words) => (
            <tr key={words}>
              <td className="quiet">at the block</td>
              <td>{words}</td>
            </tr>
          ))}
          {takenBack.map(({ cut, net, why }, index) => (
            <tr key={`back ${index}`}>
              <td className="quiet">{cut}</td>
              <td>
                {formatWeight(net, unit)} {unit} taken back{why && `: ${why}`}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}

const VERDICTS: Readonly<Record<string, string>> = {
  open: 'not all is weighed yet',
  usual: 'usual',
  ask: 'more than usual',
  investigate: 'to be investigated',
};

/** The whole hanging weight as the one bar that adds up. */
function Balance({ view: { cold, hot, unit, basis, balance, whole } }: { view: TicketView }) {
  const percent = (part: number, of: number) => `${((100 * part) / of).toFixed(1)} %`;
  return (
    <footer className={styles.balance}>
      <p>
        <b>The balance</b>{' '}
        <span className="quiet">
          {basis !== 'cold' && '≈ '}
          {formatWeight(cold, unit)} {unit} {BASIS_WORDS[basis]}
          {balance &&
            balance.boxes > 0 &&
            `; ${formatWeight(balance.boxes, unit)} in the packs, ${percent(balance.boxes, cold)} of cold, ${percent(balance.boxes, hot)} of hot`}
        </span>
        {balance && (
          <span className={styles.gap}>
            <b>
              {formatWeight(balance.unaccounted, unit)} {unit}
            </b>
            , {(balance.bp / 100).toFixed(1)} %, {VERDICTS[balance.verdict]}
          </span>
        )}
      </p>
      <WholeBar parts={whole} unit={unit} label="Where the weight goes" />
    </footer>
  );
}
