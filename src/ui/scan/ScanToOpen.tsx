'use client';

import { Button } from 'antd';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import type { Failure } from '@/core/quantity/result';
import type { Scanned, ScannedShare } from '@/server/wrap';
import { act } from '../kit/act';
import { useScan } from '../kit/keys/useScan';
import { Note } from '../kit/Note';
import { onDemand } from '../kit/onDemand';
import styles from './ScanToOpen.module.css';

const CameraScan = onDemand(() => import('./CameraScan').then((module) => module.CameraScan));

type Props = {
  /** Where a share opens. */
  readonly opens: '/wrap' | '/block';
};

/** Of several that were meant by a scan, those that are worked on now come alone. */
function meantBy(scanned: Scanned): readonly ScannedShare[] {
  if (scanned.kind === 'pack') return [{ ...scanned, name: scanned.of, tag: '', isHere: true }];
  const here = scanned.shares.filter(({ isHere }) => isHere);
  return here.length > 0 ? here : scanned.shares;
}

/** Scan a tag, a ticket or a pack, and what it is of opens; of several, by a digit. */
export function ScanToOpen({ opens }: Props) {
  const router = useRouter();
  const [choices, setChoices] = useState<readonly ScannedShare[]>([]);
  const [problem, setProblem] = useState<Failure<string> | null>(null);
  const open = ({ shareId }: ScannedShare) => router.push(`${opens}/${shareId}`);
  const [withCamera, setCamera] = useState(false);
  const read = async (text: string) => {
    setCamera(false);
    const answer = await act('scannedView', { text });
    setProblem(answer.ok ? null : answer);
    const meant = answer.ok ? meantBy(answer.value) : [];
    if (meant.length === 1) return open(meant[0]!);
    return setChoices(meant);
  };
  useScan((text) => void read(text));
  useHotkeys(
    '1,2,3,4,5,6,7,8,9',
    ({ key }) => {
      const chosen = choices[Number(key) - 1];
      if (chosen) open(chosen);
    },
    { enabled: choices.length > 0 },
  );
  return (
    <>
      <p>
        <Button onClick={() => setCamera(true)}>Scan by camera</Button>
      </p>
      {withCamera && <CameraScan onScan={(text) => void read(text)} onClose={() => setCamera(false)} />}
      <Note failure={problem} />
      {choices.length > 0 && (
        <nav className={styles.choices} aria-label="Which of these was scanned">
          <h2>Which of these was scanned?</h2>
          {choices.map((share, at) => (
            <Link key={share.shareId} href={`${opens}/${share.shareId}`}>
              <kbd>{at + 1}</kbd> <b>{share.tag}</b> {share.name}
            </Link>
          ))}
        </nav>
      )}
    </>
  );
}
