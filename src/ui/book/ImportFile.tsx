'use client';

import { Button, Upload } from 'antd';
import { useState } from 'react';
import { Failed } from '../kit/States';

/** An order file is a few kilobytes. */
const LARGEST_FILE = 200_000;

/** Reads an open order file and books what is in it. A file that is not JSON never leaves the browser. */
export function ImportFile({ onImport }: { onImport: (document: unknown) => Promise<boolean> }) {
  const [problem, setProblem] = useState('');

  async function read(file: File) {
    setProblem('');
    if (file.size > LARGEST_FILE) return setProblem(`${file.name} is too large for an order file.`);
    try {
      await onImport(JSON.parse(await file.text()));
    } catch {
      setProblem(`${file.name} is not JSON: a bracket or a comma is missing. Nothing was booked.`);
    }
  }

  return (
    <div id="order-file">
      <p className="quiet">
        JSON as described in <code>docs/formats.md</code>; samples are in <code>examples/</code>.
      </p>
      <Upload
        accept="application/json,.json"
        showUploadList={false}
        beforeUpload={(file) => {
          void read(file);
          return false;
        }}
      >
        <Button>Choose an order file</Button>
      </Upload>
      {problem !== '' && <Failed words={problem} />}
    </div>
  );
}
