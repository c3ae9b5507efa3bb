'use client';

import { Button } from 'antd';

export default function Failed({ reset }: { error: Error; reset: () => void }) {
  return (
    <main style={{ padding: 40, maxWidth: 560 }}>
      <h1>This page could not be shown</h1>
      <p>
        What was saved is safe. Try again; if it stays, tell whoever looks after the machine the time of day.
      </p>
      <Button type="primary" onClick={reset}>
        Try again
      </Button>
    </main>
  );
}
