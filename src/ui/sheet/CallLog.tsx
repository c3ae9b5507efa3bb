'use client';

import { useState } from 'react';
import { onDemand } from '../kit/onDemand';
import type { SheetView } from '@/server/sheet';

const CallDialog = onDemand(() => import('./CallDialog').then((module) => module.CallDialog));

/** Whom to call, what was said before, and a place to write down what is said now. */
export function CallLog({
  view,
  openQuestions,
}: {
  view: SheetView;
  openQuestions: () => readonly string[];
}) {
  const [open, setOpen] = useState(false);
  const { contact, calls } = view;
  return (
    <>
      <button
        type="button"
        className="link"
        onClick={() => setOpen(true)}
        aria-label={`Call ${contact.name}`}
      >
        Call{calls.length > 0 ? `, ${calls.length} noted` : ''}
      </button>
      {open && <CallDialog view={view} openQuestions={openQuestions()} onClose={() => setOpen(false)} />}
    </>
  );
}
