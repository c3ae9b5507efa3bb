'use client';

import type { Bill } from '@/core/charges/bill';
import { formatMoney } from '@/core/quantity/money';
import { WorkingOf } from './WorkingOf';

/** The lines of a bill, each with its basis and its working; what the farm pays in brackets, in no sum. */
export function BillLines({ bill, sign }: { bill: Bill; sign: string }) {
  return (
    <table>
      <thead>
        <tr>
          <th>charge</th>
          <th>on</th>
          <th className="num">amount</th>
        </tr>
      </thead>
      <tbody>
        {bill.lines.map((line) => (
          <tr key={line.rule}>
            <td>{line.label}</td>
            <td className="quiet">{line.quantity}</td>
            <td className="num">
              <WorkingOf working={line.working}>{formatMoney(line.amount, sign)}</WorkingOf>
            </td>
          </tr>
        ))}
        {bill.farm.map((line) => (
          <tr key={`farm ${line.rule}`} className="quiet">
            <td>{line.label}</td>
            <td>the farm pays, {line.quantity}</td>
            <td className="num">
              <WorkingOf working={line.working}>({formatMoney(line.amount, sign)})</WorkingOf>
            </td>
          </tr>
        ))}
        <tr>
          <td colSpan={2}>
            <b>to pay</b>
          </td>
          <td className="num">
            <b>{formatMoney(bill.due, sign)}</b>
          </td>
        </tr>
      </tbody>
    </table>
  );
}
