'use client';

import { Button, Input, type InputRef } from 'antd';
import { useEffect, useRef, useState } from 'react';
import type { Found, Proposal } from '@/core/goals/findSheets';
import { wishWords } from '@/core/goals/goals';
import { titleOf } from '@/core/questions/findings';
import { counted } from '@/core/quantity/counted';
import { listed } from '@/core/quantity/listed';
import { formatMoney, type Cents } from '@/core/quantity/money';
import { withRowsAs } from '@/core/sheet/copied';
import type { SheetView } from '@/server/sheet';
import { useKey, useScope } from '../kit/keys/useKey';
import { Failed } from '../kit/States';
import type { SheetState } from './useSheet';
import { useWishes, type Wishes as WishesSaid } from './useWishes';
import { mostPacked, NONE_LEFT, WishWay } from './WishWay';
import styles from './Wishes.module.css';

type Props = { view: SheetView; state: SheetState; onClose: () => void };

const PICKS = [
  'as much sausage as possible',
  'mostly steaks',
  'roasts for ten Sundays',
  'no bones',
  'quick to cook',
  'burger at most 20 % fat',
  'fits 5 cubic feet',
  'as cheap as possible',
] as const;

const TITLES: Readonly<Record<Proposal['id'], string>> = {
  best: 'The best for it',
  'least-change': 'Least changed',
  'most-home': 'Most comes home',
};

type RowsLeft = {
  readonly found: Found | null;
  readonly rows: Readonly<Partial<Record<Proposal['id'], ReadonlySet<string>>>>;
};

/** From what people say to a sheet: two or three good ones beside the present one, each with what it gives up. */
export function Wishes({ view, state, onClose }: Props) {
  const wishes = useWishes(view.shareId, state);
  const [looked, look] = useState(0);
  const proposals = wishes.found?.proposals ?? [];
  const inHand = proposals[looked] ?? proposals[0];
  const [left, setLeft] = useState<RowsLeft>({ found: null, rows: {} });
  // Rows are left of what was found; another search begins anew.
  const rowsLeft = (id: Proposal['id']) =>
    (left.found === wishes.found ? left.rows[id] : undefined) ?? NONE_LEFT;
  const leave = (id: Proposal['id'], row: string) => {
    const rows = new Set(rowsLeft(id));
    if (!rows.delete(row)) rows.add(row);
    const kept = left.found === wishes.found ? left.rows : {};
    setLeft({ found: wishes.found ?? null, rows: { ...kept, [id]: rows } });
  };
  const sheetOf = ({ id, sheet }: Proposal) => withRowsAs(sheet, state.sheet, rowsLeft(id));
  const take = (proposal: Proposal | undefined) => {
    if (!proposal) return;
    state.change(sheetOf(proposal));
    onClose();
  };
  useScope('wishes');
  useKey('wishes', 'look', ({ key }) => look(Number(key) - 1));
  useKey('wishes', 'take', () => take(inHand));
  useKey('wishes', 'close', () => (wishes.searching ? wishes.stop() : onClose()));
  const most = mostPacked([state.now, ...proposals]);
  return (
    <section className={styles.wishes} aria-label="Wishes">
      <Said name={view.name} wishes={wishes} state={state} onClose={onClose} />
      <div className={styles.ways}>
        <WishWay
          title="Now"
          about="as the sheet stands"
          sheet={state.sheet}
          made={state.now}
          {...{ state, most }}
        />
        {proposals.map((proposal, at) => (
          <WishWay
            key={proposal.id}
            digit={at + 1}
            title={TITLES[proposal.id]}
            about={`${counted(proposal.changes.length - rowsLeft(proposal.id).size, 'row')} changed`}
            sheet={sheetOf(proposal)}
            made={rowsLeft(proposal.id).size > 0 ? state.evaluations.of(sheetOf(proposal)) : proposal}
            left={rowsLeft(proposal.id)}
            onLeave={(row) => leave(proposal.id, row)}
            proposal={proposal}
            tried={wishes.found!.tried}
            isInHand={proposal === inHand}
            onLook={() => look(at)}
            onTake={view.locked ? undefined : () => take(proposal)}
            {...{ state, most }}
          />
        ))}
        {proposals.length === 0 && wishes.goals.length === 0 && (
          <p className={styles.empty}>
            Say what is wanted, one wish after the other. A must holds in every proposal; press a wish to make
            it a rather. What was answered otherwise than the house says stays as it is, until you free it.
          </p>
        )}
      </div>
    </section>
  );
}

type SaidProps = { name: string; wishes: WishesSaid; state: SheetState; onClose: () => void };

function Said({ name, wishes, state, onClose }: SaidProps) {
  const field = useRef<InputRef>(null);
  const [text, setText] = useState('');
  useEffect(() => field.current?.focus(), []);
  const { species } = state.situation;
  const { sign } = state.ground.priceList;
  const words: WishWords = {
    titleOf: (row: string) => titleOf(species, row),
    money: (amount: Cents) => formatMoney(amount, sign),
  };
  const { goals, unknown, pins, pinnable, found, searching, tried, problem } = wishes;
  return (
    <header className={styles.said}>
      <div className={styles.line}>
        <h2>Wishes for {name}</h2>
        <Button onClick={onClose}>
          Back to the sheet <kbd>Esc</kbd>
        </Button>
        <form
          onSubmit={(event) => {
            event.preventDefault();
            wishes.say(text);
            setText('');
          }}
        >
          <Input
            ref={field}
            aria-label="A wish in words"
            placeholder="as much sausage as possible, but keep the hams"
            value={text}
            onChange={(event) => setText(event.target.value)}
            onKeyDown={(event) => {
              if (event.key === 'ArrowDown' || event.key === 'Escape') event.currentTarget.blur();
            }}
          />
        </form>
      </div>
      <div className={styles.line}>
        {goals.map((goal) => (
          <span key={wishWords(goal.wish, words)} className={styles.goal}>
            <button type="button" onClick={() => wishes.turn(goal)} title="must, rather, above all">
              <b>{wishWords(goal.wish, words)}</b>{' '}
              {goal.must ? 'must' : goal.weight > 1 ? 'above all' : 'rather'}
            </button>
            <button
              type="button"
              aria-label={`without: ${wishWords(goal.wish, words)}`}
              onClick={() => wishes.drop(goal)}
            >
              ×
            </button>
          </span>
        ))}
      </div>
      <div className={styles.line}>
        <span className="quiet">pick:</span>
        {PICKS.map((pick) => (
          <button key={pick} type="button" className="link" onClick={() => wishes.say(pick)}>
            {pick}
          </button>
        ))}
      </div>
      {pinnable.length > 0 && (
        <div className={styles.line}>
          <span className="quiet">stand as they are:</span>
          {pinnable.map((row) => (
            <button
              key={row}
              type="button"
              className={styles.pin}
              aria-pressed={pins.has(row)}
              onClick={() => wishes.togglePin(row)}
            >
              {titleOf(species, row).toLowerCase()}
            </button>
          ))}
        </div>
      )}
      <p className={styles.status} role="status">
        {unknown.length > 0 && (
          <span className="alarm">Not understood: {listed(unknown.map((each) => `“${each}”`))}. </span>
        )}
        {searching && (
          <>
            Looking through every way to cut it …
            {tried > 0 && ` ${tried.toLocaleString('en-GB')} sheets so far.`}{' '}
            <button type="button" className="link" onClick={wishes.stop}>
              Stop
            </button>
          </>
        )}
        {!searching && found && goals.length > 0 && statusWords(found, words)}
      </p>
      {problem !== '' && <Failed words={problem} onAgain={wishes.again} />}
    </header>
  );
}

function statusWords({ tooMuch, stuck, proposals, tried }: Found, words: WishWords): string {
  const ways = `${tried.toLocaleString('en-GB')} sheets tried.`;
  if (stuck.length > 0) {
    const rows = listed(stuck.map((row) => words.titleOf(row).toLowerCase()));
    return `These stand in each other’s way as they are held: ${rows}. Free one of them.`;
  }
  if (tooMuch.length > 0) {
    const which = listed(tooMuch.map(({ wish }) => wishWords(wish, words)));
    const closest = proposals.length > 0 ? ' The closest is shown.' : '';
    return `All of it cannot be had. Giving up one of these helps: ${which}.${closest} ${ways}`;
  }
  return proposals.length === 0 ? `No sheet meets it. ${ways}` : ways;
}

type WishWords = Parameters<typeof wishWords>[1];
