'use client';

import { partName } from '@/core/order/naming';
import Link from 'next/link';
import { counted } from '@/core/quantity/counted';
import { formatMoney, type Cents } from '@/core/quantity/money';
import type { Weight } from '@/core/quantity/weight';
import type { Bills, OfficeBlocks, Said, SideOnTicket, TicketView } from '@/server/ticket';
import { Amount } from '../kit/Amount';
import { Nothing } from '../kit/States';
import { STAGE_WORDS } from '../rail/stages';
import styles from './TicketScreen.module.css';

/** Who eats it, who pays, who is called, the farm, and who has the rest of the animal. */
export function People({ people, view }: { people: OfficeBlocks['people']; view: TicketView }) {
  const whereabouts = (stage: TicketView['stage']) =>
    stage === 'gone' ? 'gone home' : stage === 'cancelled' ? 'called off' : `at ${STAGE_WORDS[stage].word}`;
  return (
    <>
      <h2>
        Who <span>order {view.number}</span>
      </h2>
      <table>
        <tbody>
          {people.map(({ does, name, phone }) => (
            <tr key={does}>
              <td className="quiet">{does}</td>
              <td>{name === 'the same' ? name : <b>{name}</b>}</td>
              <td className="num">{phone && <a href={`tel:${phone.replace(/\s/g, '')}`}>{phone}</a>}</td>
            </tr>
          ))}
          {view.others.map(({ shareId, name, stage }) => (
            <tr key={shareId}>
              <td className="quiet">{name.split(', ').at(-1)}</td>
              <td>
                <Link href={`/ticket/${shareId}`}>{name.split(', ').slice(0, -1).join(', ')}</Link>
              </td>
              <td className="num quiet">{whereabouts(stage)}</td>
            </tr>
          ))}
          {view.unsold.map((part) => (
            <tr key={part.part}>
              <td className="quiet">{partName(part)}</td>
              <td className="alarm">nobody has it</td>
              <td />
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}

/** What the rail scale said, side by side, and what the air took. */
export function OnTheRail({ view }: { view: TicketView }) {
  const { sides, unit, cold, hot, basis, daysHung } = view;
  const taken = {
    what: 'hanging took',
    on: `${((100 * (hot - cold)) / hot).toFixed(2)} % of hot`,
    minus: true,
  };
  const rows = [
    ...sides.flatMap((side) => sideRows(side, sides.length > 1)),
    ...(basis === 'cold' ? [{ ...taken, weight: (hot - cold) as Weight }] : []),
  ];
  return (
    <>
      <h2>
        On the rail <span>{counted(daysHung, 'day')} hung</span>
      </h2>
      <table>
        <tbody>
          {rows.map(({ what, on, weight, minus }) => (
            <tr key={`${what} ${on}`}>
              <td>{what}</td>
              <td className="quiet">{on}</td>
              <td className="num">
                {minus && '− '}
                <Amount weight={weight} unit={unit} />
              </td>
            </tr>
          ))}
          <Cold view={view} />
        </tbody>
      </table>
    </>
  );
}

function Cold({ view: { cold, unit, basis } }: { view: TicketView }) {
  return (
    <tr className={styles.sum}>
      <td>cold</td>
      <td className="quiet">{basis === 'cold' ? '' : basis === 'hot' ? 'expected' : 'a usual animal'}</td>
      <td className="num">
        <span className={styles.big}>
          {basis !== 'cold' && '≈ '}
          <Amount weight={cold} unit={unit} />
        </span>
      </td>
    </tr>
  );
}

type RailRow = { what: string; on: string; weight: Weight; minus?: boolean };

function sideRows({ position, hot, hotOn, cold, coldOn }: SideOnTicket, both: boolean): RailRow[] {
  const which = both ? `${position}, ` : '';
  return [
    ...(hot === null ? [] : [{ what: `${which}hot`, on: hotOn, weight: hot }]),
    ...(cold === null || !both ? [] : [{ what: `${which}cold`, on: coldOn, weight: cold }]),
  ];
}

/** More than these fold away: the newest matter. */
const SHOWN = 6;

/** What was asked, said and put right, in one list by its time. */
export function Asked({ said }: { said: readonly Said[] }) {
  const [older, newer] = [said.slice(0, -SHOWN), said.slice(-SHOWN)];
  return (
    <>
      <h2>Asked and said</h2>
      {said.length === 0 && <Nothing>Nothing was written down yet.</Nothing>}
      {older.length > 0 && (
        <details>
          <summary>{older.length} before</summary>
          <SaidRows said={older} />
        </details>
      )}
      <SaidRows said={newer} />
    </>
  );
}

function SaidRows({ said }: { said: readonly Said[] }) {
  return (
    <table>
      <tbody>
        {said.map(({ key, at, who, words, why }) => (
          <tr key={key}>
            <td className={styles.when}>{at}</td>
            <td>
              {words}
              {why && `: ${why}`} <span className="quiet">{who}</span>
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** What it costs: estimated, as weighed, paid, due. */
export function MoneyBlock({ money }: { money: Bills }) {
  const { sign, estimate, bill, final, deposit, paid, due, list } = money;
  const row = (words: string, cents: Cents, minus = false) => (
    <tr>
      <td className="quiet">{words}</td>
      <td className="num">
        {minus && '− '}
        {formatMoney(cents, sign)}
      </td>
    </tr>
  );
  return (
    <section>
      <h2>
        Money <span>{list}</span>
      </h2>
      <table>
        <tbody>
          {row('estimated', estimate)}
          {bill !== null && row(final ? 'as weighed, final' : 'as weighed so far', bill)}
          {deposit > 0 && row('deposit', deposit, true)}
          {paid !== 0 && row(paid > 0 ? 'paid' : 'given back', Math.abs(paid) as Cents, paid > 0)}
          <tr className={styles.sum}>
            <td className="quiet">{due < 0 ? 'to give back' : 'to pay'}</td>
            <td className={`num ${styles.big}`}>{formatMoney(Math.abs(due) as Cents, sign)}</td>
          </tr>
        </tbody>
      </table>
    </section>
  );
}

/** What can be printed or opened of it. */
export function Papers({ view: { shareId, office, packs, balance } }: { view: TicketView }) {
  const labels = packs.reduce((sum, line) => sum + line.packs.length, 0);
  return (
    <section>
      <h2>Papers</h2>
      <table>
        <tbody>
          <tr>
            <td>
              <a href={`/api/block/${shareId}`} target="_blank" rel="noreferrer">
                For the block, PDF
              </a>
            </td>
            <td className="num quiet">a page a quarter</td>
          </tr>
          {office && balance !== null && (
            <tr>
              <td>
                <Link href={`/yields?shareId=${shareId}`}>What it gave, against its likes</Link>
              </td>
              <td className="num quiet">once it is closed</td>
            </tr>
          )}
          {office && (
            <tr>
              <td>
                <a href={`/api/order/${shareId}`} download>
                  Order file, JSON
                </a>
              </td>
              <td />
            </tr>
          )}
          {office && (
            <tr>
              <td>
                <a href={`/api/confirmation/${shareId}`} target="_blank" rel="noreferrer">
                  Confirmation, PDF
                </a>
              </td>
              <td />
            </tr>
          )}
          {office && (
            <tr>
              <td>
                {office.money.final ? (
                  <a href={`/api/statement/${shareId}`} target="_blank" rel="noreferrer">
                    Statement, PDF
                  </a>
                ) : (
                  <span className="quiet">Statement</span>
                )}
              </td>
              <td className="num quiet">{office.money.final ? '' : 'once it is closed'}</td>
            </tr>
          )}
          <tr>
            <td className="quiet">Labels</td>
            <td className="num quiet">{labels > 0 ? `${labels}, at their packs` : 'none yet'}</td>
          </tr>
        </tbody>
      </table>
    </section>
  );
}
