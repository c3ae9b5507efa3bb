'use client';

import { useEffect, useState } from 'react';
import type { PaidBeside } from '@/core/charges/yearBeside';
import type { PriceList } from '@/core/charges/priceList';
import { formatMoney, type Cents } from '@/core/quantity/money';
import { percentMore, signed } from '@/core/quantity/signed';
import type { YearView } from '@/server/shop';
import { act } from '../kit/act';
import { Dialog } from '../kit/Dialog';
import { Coming, Failed, Nothing } from '../kit/States';
import styles from './SetUp.module.css';

type Props = { list: PriceList; beside: PriceList; onClose: () => void };

/** What the shares of the last year would have paid under a list, beside what the one before it asks. */
export function YearUnder({ list, beside, onClose }: Props) {
  const [year, setYear] = useState<YearView>();
  const [refused, setRefused] = useState('');
  useEffect(() => {
    let isHere = true;
    void act('yearView', { listId: list.id, besideId: beside.id }).then((answer) => {
      if (!isHere) return;
      if (answer.ok) setYear(answer.value);
      else setRefused(answer.message);
    });
    return () => {
      isHere = false;
    };
  }, [list.id, beside.id]);
  return (
    <Dialog title={`The last year under ${list.name.toLowerCase()}`} onClose={onClose} width={640}>
      {refused !== '' && <Failed words={refused} />}
      {!year && refused === '' && <Coming words="Working out the bills of the last year" rows={5} />}
      {year?.whole.shares === 0 && <Nothing>No share was finished in the last year.</Nothing>}
      {year && year.whole.shares > 0 && (
        <>
          <table className={styles.rules}>
            <thead>
              <tr>
                <th scope="col">
                  {year.isPart ? 'the latest shares' : 'shares'} of the last year, what the households pay
                </th>
                <th scope="col" className="num">
                  {beside.name.toLowerCase()}
                </th>
                <th scope="col" className="num">
                  {list.name.toLowerCase()}
                </th>
                <th scope="col" className="num">
                  %
                </th>
              </tr>
            </thead>
            <tbody>
              {year.species.map((each) => (
                <Row key={each.name} paid={each} words={`${each.shares} ${each.name.toLowerCase()}`} />
              ))}
              <Row paid={year.whole} words={`${year.whole.shares} together`} strong />
            </tbody>
          </table>
          {year.most && <One words="Rises most" paid={year.most} sign={list.sign} />}
          {year.least && <One words="Rises least" paid={year.least} sign={list.sign} />}
          <p className="quiet">
            By what was really packed; deposits are not taken off. What was billed stays as it was.
          </p>
        </>
      )}
    </Dialog>
  );
}

function Row({ paid: { was, now }, words, strong }: { paid: PaidBeside; words: string; strong?: boolean }) {
  const Cell = strong ? 'b' : 'span';
  return (
    <tr>
      <td>
        <Cell>{words}</Cell>
      </td>
      <td className="num">{formatMoney(was, '')}</td>
      <td className="num">
        <Cell>{formatMoney(now, '')}</Cell>
      </td>
      <td className="num">{percentMore(was, now)}</td>
    </tr>
  );
}

function One({ words, paid: { name, was, now }, sign }: { words: string; paid: PaidBeside; sign: string }) {
  const more = (now - was) as Cents;
  return (
    <p>
      <b>{words}:</b> {name}, {formatMoney(was, sign)} to {formatMoney(now, sign)} (
      {signed(more, formatMoney(Math.abs(more) as Cents, sign)) || 'the same'}).
    </p>
  );
}
