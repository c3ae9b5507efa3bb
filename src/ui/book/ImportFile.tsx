'use client';

import { useRef, useState } from 'react';
import { Button } from 'antd';

/** An order file is a few kilobytes. */
const LARGEST_FILE = 200_000;

/** Reads an open order file and books what is in it. A file that is not JSON never leaves the browser. */
export function ImportFile({ onImport }: { onImport: (document: unknown) => Promise<boolean> }) {
  const input = useRef<HTMLInputElement>(null);
  const [problem, setProblem] = useState('');

  async function read(file: File | undefined) {
    if (!file) return;
    setProblem('');
    if (file.size > LARGEST_FILE) return setProblem(`${file.name} is too large for an order file.`);
    try {
      await onImport(JSON.parse(await file.text()));
    } catch {
      setProblem(`${file.name} is not JSON: a bracket or a comma is missing. Nothing was booked.`);
    }
    if (input.current) input.current.value = '';
  }

  return (
    <>
      <p className="quiet">
        JSON as described in <code>docs/formats.md</code>; samples are in <code>examples/</code>.
      </p>
      <input
        ref={input}
        id="order-file"
        type="file"
        accept="application/json,.json"
        className="visuallyHidden"
        onChange={(event) => void read(event.target.files?.[0])}
        aria-label="Order file"
      />
      <Button onClick={() => input.current?.click()}>Choose an order file</Button>
      {problem !== '' && (
        <p role="alert" className="alarm">
          {problem}
        </p>
      )}
    </>
  );
}
