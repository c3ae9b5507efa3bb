import { Button } from 'antd';
import Link from 'next/link';
import type { ReactNode } from 'react';
import { formatMoney } from '@/core/quantity/money';
import { formatWeight, type WeighingUnit } from '@/core/quantity/weight';
import type { Pooled } from '@/core/yields/rates';
import type { Minutes, Summed, Sums } from '@/core/yields/report';
import type { ReportView } from '@/server/yields';
import { Nothing } from '../kit/States';
import styles from './Yields.module.css';

const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];
const monthWords = (month: string) => MONTHS[Number(month.slice(5)) - 1] ?? month;

/** A year of the shop: month by month, by species, by farm, and what was charged by kind. */
export function ReportScreen({ view }: { view: ReportView }) {
  const { year, years, month, months, days, whole, species, farms, charges, unit, sign } = view;
  return (
    <div className={styles.page}>
      <div className={styles.top}>
        <p className={styles.sentence}>
          <Link href="/yields">Yields</Link>
          {years.map((each) =>
            each === year ? (
              <b key={each} aria-current="page">
                {each}
              </b>
            ) : (
              <Link key={each} href={`/yields/report?year=${each}`}>
                {each}
              </Link>
            ),
          )}
        </p>
        <Button href={`/api/yields/report?year=${year}`} download>
          CSV
        </Button>
      </div>
      <h1 className={styles.year}>The year {year}</h1>
      {whole.shares === 0 && charges.total === 0 ? (
        <Nothing>Nothing was finished in {year}.</Nothing>
      ) : (
        <>
          <SumsTable
            head="month"
            rows={months}
            whole={whole}
            unit={unit}
            words={(of) => <Link href={`/yields/report?year=${year}&month=${of}`}>{monthWords(of)}</Link>}
          />
          {days.length > 0 && (
            <>
              <h2 className={styles.cuts}>{monthWords(month)}, day by day</h2>
              <SumsTable head="closed on" rows={days} unit={unit} />
            </>
          )}
          <div className={styles.columns}>
            <SumsTable head="species" rows={species} whole={whole} unit={unit} />
            <SumsTable head="farm" rows={farms} whole={whole} unit={unit} />
          </div>
          <h2 className={styles.cuts}>What was charged</h2>
          <div className={styles.wide}>
            <table>
              <thead>
                <tr>
                  <th>charge</th>
                  {charges.months.map((month) => (
                    <th key={month} className="num">
                      {monthWords(month)}
                    </th>
                  ))}
                  <th className="num">the year</th>
                </tr>
              </thead>
              <tbody>
                {charges.kinds.map(({ label, amounts, total }) => (
                  <tr key={label}>
                    <td>{label}</td>
                    {amounts.map((amount, at) => (
                      <td key={charges.months[at]} className="num quiet">
                        {amount === 0 ? '' : formatMoney(amount, sign)}
                      </td>
                    ))}
                    <td className="num">{formatMoney(total, sign)}</td>
                  </tr>
                ))}
                <tr data-whole>
                  <td>together</td>
                  {charges.totals.map((total, at) => (
                    <td key={charges.months[at]} className="num">
                      {formatMoney(total, sign)}
                    </td>
                  ))}
                  <td className="num">
                    <b>{formatMoney(charges.total, sign)}</b>
                  </td>
                </tr>
              </tbody>
            </table>
          </div>
        </>
      )}
    </div>
  );
}

type TableProps = {
  head: string;
  rows: readonly Summed[];
  whole?: Sums;
  unit: WeighingUnit;
  words?: (of: string) => ReactNode;
};

function SumsTable({ head, rows, whole, unit, words = (of) => of }: TableProps) {
  const pct = ({ pct: value }: Pooled) => (value === null ? '–' : `${value.toFixed(1)} %`);
  const hours = ({ sum, of }: Minutes) => (of === 0 ? '–' : (sum / 60).toFixed(1));
  const line = (key: string, name: ReactNode, { sums, isWhole }: { sums: Sums; isWhole: boolean }) => (
    <tr key={key} data-whole={isWhole || undefined}>
      <td>{name}</td>
      <td className="num">{sums.animals}</td>
      <td className="num">{sums.shares}</td>
      <td className="num">{formatWeight(sums.hot, 0)}</td>
      <td className="num">{formatWeight(sums.packed, 0)}</td>
      <td className="num">
        <b>{pct(sums.packedOnHot)}</b>
      </td>
      <td className="num quiet">{pct(sums.unaccounted)}</td>
      <td className="num quiet">{hours(sums.minutes.block)}</td>
      <td className="num quiet">{hours(sums.minutes.wrap)}</td>
    </tr>
  );
  return (
    <div className={styles.wide}>
      <table className={styles.table}>
        <thead>
          <tr>
            <th>{head}</th>
            <th className="num">animals</th>
            <th className="num">shares</th>
            <th className="num">hung hot, {unit}</th>
            <th className="num">packed, {unit}</th>
            <th className="num">packed on hot</th>
            <th className="num">unaccounted on hot</th>
            <th className="num">block, h</th>
            <th className="num">wrap, h</th>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ of, sums }) => line(of, words(of), { sums, isWhole: false }))}
          {whole && line('together', 'together', { sums: whole, isWhole: true })}
        </tbody>
      </table>
    </div>
  );
}
