'use client';

import { Button, Upload } from 'antd';
import { useState } from 'react';
import { readBookingsCsv, type ReadBookings } from '@/core/formats/bookingsCsv';
import type { FieldProblem } from '@/core/quantity/result';
import type { BookingView } from '@/server/book';
import { act } from '../kit/act';
import { Failed } from '../kit/States';
import styles from './BookScreen.module.css';

/** An order file is a few kilobytes, a season's table some hundred. */
const LARGEST_FILE = 400_000;

type Props = { view: BookingView; onBook: (documents: readonly unknown[]) => Promise<boolean> };

/** Reads an order file, or a table of many bookings with a preview that marks each wrong cell. Nothing of a file that cannot be read leaves the browser. */
export function ImportFile({ view, onBook }: Props) {
  const [problem, setProblem] = useState('');
  const [table, setTable] = useState<ReadBookings>();
  async function read(file: File) {
    setProblem('');
    setTable(undefined);
    if (file.size > LARGEST_FILE) return setProblem(`${file.name} is too large for a file of orders.`);
    const text = await file.text();
    if (file.name.endsWith('.csv')) {
      const bookings = readBookingsCsv(text, view.unit);
      if (!bookings.ok) return setProblem(`${file.name}: ${bookings.field}: ${bookings.message}`);
      return setTable(bookings.value);
    }
    try {
      const said: unknown = JSON.parse(text);
      await onBook(Array.isArray(said) ? said : [said]);
    } catch {
      setProblem(`${file.name} is not JSON: a bracket or a comma is missing. Nothing was booked.`);
    }
  }
  return (
    <div id="order-file">
      <h2 className={styles.waiting}>Or read a file</h2>
      <p className="quiet">
        An order as JSON, or many as a table (CSV): <code>docs/formats.md</code> says how; samples are in{' '}
        <code>examples/</code>.
      </p>
      <Upload
        accept="application/json,.json,text/csv,.csv"
        showUploadList={false}
        beforeUpload={(file) => {
          void read(file);
          return false;
        }}
      >
        <Button>Choose a file</Button>
      </Upload>
      {problem !== '' && <Failed words={problem} />}
      {table && (
        <Preview
          table={table}
          onBook={async () => {
            if (await onBook(table.documents)) setTable(undefined);
          }}
        />
      )}
    </div>
  );
}

const SHOWN = ['tag', 'species', 'kill_day', 'part', 'percent', 'household', 'deposit'] as const;

/** The table as it was read, each wrong cell marked, before anything is booked. */
function Preview({ table, onBook }: { table: ReadBookings; onBook: () => Promise<void> }) {
  const [busy, setBusy] = useState(false);
  const [said, setSaid] = useState<readonly FieldProblem[]>([]);
  const wrong = new Map([...table.wrong, ...said].map(({ field, message }) => [field, message]));
  async function book() {
    setBusy(true);
    // Asked whether it would be taken before it is asked to be: what is wrong is marked in its cell.
    const tried = await act('triedBookingsView', { documents: table.documents });
    if (tried.ok && tried.value.length > 0) {
      setSaid(tried.value.map(({ field, message }) => ({ field: table.cellOf(field) ?? '0.tag', message })));
    } else await onBook();
    setBusy(false);
  }
  return (
    <>
      <p>
        <b>{table.documents.length}</b> animals, <b>{table.rows.length}</b> rows
        {wrong.size > 0 && <span className="alarm">, {wrong.size} cells to mend in the file</span>}
      </p>
      <table className={styles.preview}>
        <thead>
          <tr>
            {SHOWN.map((column) => (
              <th key={column}>{column.replace('_', ' ')}</th>
            ))}
          </tr>
        </thead>
        <tbody>
          {table.rows.map((row, at) => (
            <tr key={at}>
              {SHOWN.map((column) => {
                const message = wrong.get(`${at}.${column}`);
                return (
                  <td key={column} data-wrong={message ? true : undefined} title={message}>
                    {row[column]} {message && <i>{message}</i>}
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
      <Button type="primary" disabled={wrong.size > 0} loading={busy} onClick={() => void book()}>
        Book them all
      </Button>
    </>
  );
}
