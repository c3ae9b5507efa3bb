'use client';

import { Button, Form, Input } from 'antd';
import Link from 'next/link';
import { formatMoney } from '@/core/quantity/money';
import { Fragment, useState } from 'react';
import type { FoundHousehold, Household } from '@/server/book';
import { AskDialog } from '../kit/AskDialog';
import { useLive } from '../kit/live/useLive';
import { Nothing } from '../kit/States';
import { useAsk, type Question } from '../kit/useAsk';
import type { FieldProblem } from '../kit/asking';
import { Note } from '../kit/Note';
import { useWho } from '../kit/Who';
import { Tickets } from '../rail/TicketList';
import { PersonField } from './PersonField';
import styles from './Household.module.css';

/** Somebody the shop knows: how to reach them, what it notes of them, and everything they ever had. */
export function HouseholdScreen({ household: first }: { household: Household }) {
  const { value: household } = useLive('householdView', { personId: first.id }, first);
  const { role } = useWho();
  const [merging, setMerging] = useState(false);
  const { id: personId, name, phone, email, tickets } = household;
  return (
    <div className={styles.page}>
      <h1>
        {name}{' '}
        <span className="quiet">
          {phone && <a href={`tel:${phone.replace(/\s/g, '')}`}>{phone}</a>} {email}
        </span>
      </h1>
      {household.isFarm && (
        <p>
          <Link href={`/farm/${personId}`}>All sheets of their animals side by side</Link>
        </p>
      )}
      <Contacts household={household} />
      <Notes key={household.notes} personId={personId} kept={household.notes} />
      {role === 'owner' && <Button onClick={() => setMerging(true)}>The same as somebody else</Button>}
      {household.owes.length > 0 && (
        <section>
          <h2>What the farm pays</h2>
          <table className={styles.owes}>
            <tbody>
              {household.owes.map(({ animal, lines, total }) => (
                <Fragment key={animal}>
                  <tr>
                    <th scope="row" colSpan={2}>
                      {animal}
                    </th>
                    <td className="num">
                      <b>{formatMoney(total, household.sign)}</b>
                    </td>
                  </tr>
                  {lines.map(({ label, quantity, amount }) => (
                    <tr key={`${label} ${quantity}`}>
                      <td>{label}</td>
                      <td className="quiet">{quantity}</td>
                      <td className="num">{formatMoney(amount, household.sign)}</td>
                    </tr>
                  ))}
                </Fragment>
              ))}
            </tbody>
          </table>
        </section>
      )}
      <h2>Everything they had to do with</h2>
      {tickets.length === 0 ? (
        <Nothing>Nothing yet. What they book stands here for ever.</Nothing>
      ) : (
        <Tickets tickets={tickets} />
      )}
      {merging && <Merge keep={household} onClose={() => setMerging(false)} />}
    </div>
  );
}

/** Others who can be reached for them, and the way to name another. */
function Contacts({ household: { id: personId, name, contacts } }: { household: Household }) {
  const [adding, setAdding] = useState(false);
  const { ask, busy, refusal } = useAsk('endHouseholdContact');
  return (
    <>
      <ul className={styles.contacts}>
        {contacts.map(({ id, name: other, phone, email }) => (
          <li key={id}>
            <b>{other}</b> {phone && <a href={`tel:${phone.replace(/\s/g, '')}`}>{phone}</a>} {email}{' '}
            <button
              type="button"
              className="link"
              disabled={busy}
              aria-label={`Not ${other} any more`}
              onClick={() => void ask({ contactId: id })}
            >
              not any more
            </button>
          </li>
        ))}
        <li>
          <button type="button" className="link" onClick={() => setAdding(true)}>
            somebody else who can be reached
          </button>
        </li>
      </ul>
      <Note failure={refusal} />
      {adding && (
        <AskDialog
          title={`Who else can be reached for ${name}?`}
          asks="addHouseholdContact"
          does="Write them down"
          initial={{ name: '', phone: '', email: '' }}
          question={(typed) => ({ personId, ...typed })}
          onDone={() => setAdding(false)}
          onClose={() => setAdding(false)}
        >
          <Form.Item name="name" label="Name, and what they do: Jorun, the son">
            <Input autoFocus maxLength={80} />
          </Form.Item>
          <Form.Item name="phone" label="Telephone">
            <Input inputMode="tel" maxLength={40} />
          </Form.Item>
          <Form.Item name="email" label="Mail">
            <Input inputMode="email" maxLength={120} />
          </Form.Item>
        </AskDialog>
      )}
    </>
  );
}

function Notes({ personId, kept }: { personId: Household['id']; kept: string }) {
  const [text, setText] = useState(kept);
  const { ask, busy, refusal } = useAsk('noteHousehold');
  return (
    <div className={styles.notes}>
      <Input.TextArea
        aria-label="What to mind with them"
        placeholder="what to mind with them: rings after six, says pork steaks for blade chops"
        rows={2}
        maxLength={1000}
        value={text}
        onChange={(event) => setText(event.target.value)}
      />
      <Button
        disabled={text.trim() === kept}
        loading={busy}
        onClick={() => void ask({ personId, notes: text })}
      >
        Keep it
      </Button>
      <Note failure={refusal} />
    </div>
  );
}

/** Two that were the same become one: this one is kept, and has both histories. */
function Merge({ keep, onClose }: { keep: Household; onClose: () => void }) {
  const [typed, setTyped] = useState('');
  const [double, setDouble] = useState<FoundHousehold>();
  return (
    <AskDialog
      title={`Who is the same as ${keep.name}?`}
      asks="mergeHouseholds"
      initial={{ doubleId: '' }}
      disabled={!double}
      question={(): Question<'mergeHouseholds'> | FieldProblem =>
        double
          ? { keepId: keep.id, doubleId: double.id }
          : { field: 'doubleId', message: 'Find the double first.' }
      }
      does={double ? `Give ${keep.name} all that ${double.name} had` : 'Make them one'}
      onDone={onClose}
      onClose={onClose}
    >
      <PersonField
        label="The double, which goes"
        value={typed}
        width="300px"
        onChange={(words) => {
          setTyped(words);
          setDouble(undefined);
        }}
        onTake={(found) => {
          setTyped(found.name);
          setDouble(found);
        }}
      />
      <Form.Item name="doubleId" hidden>
        <Input />
      </Form.Item>
      <p className="quiet">
        All orders of both stand under {keep.name} from then on. It cannot be undone: two names are easily
        one, one is hardly two again.
      </p>
    </AskDialog>
  );
}
