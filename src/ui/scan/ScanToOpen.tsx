'use client';

import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { Failure } from '@/core/quantity/result';
import type { ScannedShare } from '@/server/wrap';
import { act } from '../kit/act';
import { useScan } from '../kit/keys/useScan';
import { Note } from '../kit/Note';

type Props = {
  /** Where a share opens: `/wrap`, `/block`. */
  readonly opens: string;
};

/** Scan a tag, a ticket or a pack, and what it is of opens. */
export function ScanToOpen({ opens }: Props) {
  const router = useRouter();
  const [choices, setChoices] = useState<readonly ScannedShare[]>([]);
  const [problem, setProblem] = useState<Failure<string> | null>(null);
  useScan(async (text) => {
    const answer = await act('scannedView', { text });
    setProblem(answer.ok ? null : answer);
    if (!answer.ok) return setChoices([]);
    const shares = answer.value.kind === 'pack' ? [answer.value] : answer.value.shares;
    if (shares.length === 1) return router.push(`${opens}/${shares[0]!.shareId}`);
    return setChoices(answer.value.kind === 'pack' ? [] : answer.value.shares);
  });
  if (problem) return <Note failure={problem} />;
  if (choices.length === 0) return null;
  return (
    <nav aria-label="Which of these was scanned">
      <p>Which of these was scanned?</p>
      {choices.map(({ shareId, name, tag }, at) => (
        <Link key={shareId} autoFocus={at === 0} href={`${opens}/${shareId}`}>
          {tag}, {name}
        </Link>
      ))}
    </nav>
  );
}
