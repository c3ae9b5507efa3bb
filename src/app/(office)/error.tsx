'use client';

import { Failed } from '@/ui/kit/States';

/** A page that could not be shown is set aside; the rail and everything on it go on. */
export default function PageFailed({ reset }: { error: Error; reset: () => void }) {
  return (
    <div style={{ padding: '24px 20px', maxWidth: 720 }}>
      <h1>This page could not be shown</h1>
      <Failed
        words="What was saved is safe, and the rest of the shop works. Try again; if it stays, tell whoever looks after the machine the time of day."
        onAgain={reset}
      />
    </div>
  );
}
