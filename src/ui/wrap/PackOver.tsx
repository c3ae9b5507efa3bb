'use client';

import { useEffect, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { formatWeight } from '@/core/quantity/weight';
import type { ScannedPack, ScannedShare } from '@/server/wrap';
import { standOpen } from '../kit/keys/scopes';
import { useAsk } from '../kit/useAsk';
import styles from './NothingMore.module.css';

type Props = { pack: ScannedPack; onDone: (words: string) => void; onClose: () => void };

/** A pack that was scanned: its label again, taken back, or given to the share it is of. */
export function PackOver({ pack, onDone, onClose }: Props) {
  const give = useAsk('givePack');
  const back = useAsk('voidWeighing');
  const label = useAsk('reprintLabel');
  /** Whom it was to be given to when the house asked again. */
  const [again, setAgain] = useState('');
  useEffect(standOpen, []);
  const what = `${pack.cut} ${formatWeight(pack.net, pack.unit)} ${pack.unit}`;
  const refusal = give.refusal ?? back.refusal ?? label.refusal;
  const answered = (answer: { ok: boolean; reason?: string; message?: string }, words: string) => {
    if (answer.ok) onDone(words);
    else if (answer.reason === 'kept') onDone(`${words} ${answer.message}`);
  };
  const reprint = async () => {
    answered(await label.ask({ weighingId: pack.weighingId }), `Label ${pack.serial} printed again.`);
  };
  const takeBack = async () => {
    const reason = 'scanned, and taken back';
    answered(await back.ask({ weighingId: pack.weighingId, reason }), `Taken back: ${what}.`);
  };
  const giveTo = async ({ shareId, name }: ScannedShare) => {
    const asked = { weighingId: pack.weighingId, toShareId: shareId };
    const answer = await give.ask(again === shareId ? { ...asked, sure: true } : asked);
    setAgain(!answer.ok && answer.reason === 'unusual' ? shareId : '');
    answered(answer, `${what} is ${name}'s now. Put the new label over the old one.`);
  };
  useHotkeys('l', () => void reprint(), { enabled: !pack.gone });
  useHotkeys('t', () => void takeBack(), { enabled: !pack.gone });
  useHotkeys('1,2,3,4,5,6,7,8,9', ({ key }) => {
    const share = pack.gone ? undefined : pack.mayBeOf[Number(key) - 1];
    if (share) void giveTo(share);
  });
  useHotkeys('escape', onClose);
  return (
    <div className={styles.cover} role="dialog" aria-modal aria-label={`Pack ${pack.serial}`}>
      <h2>
        Pack {pack.serial}: {what}, {pack.of}
      </h2>
      {pack.gone ? (
        <p>It was taken back. Whatever lies there is to be weighed again.</p>
      ) : (
        <>
          <button type="button" onClick={() => void reprint()}>
            <kbd>L</kbd> its label again
          </button>
          <button type="button" onClick={() => void takeBack()}>
            <kbd>T</kbd> take it back
          </button>
          {pack.mayBeOf.map((share, at) => (
            <button key={share.shareId} type="button" onClick={() => void giveTo(share)}>
              <kbd>{at + 1}</kbd> it is of {share.name}, {share.tag}
            </button>
          ))}
        </>
      )}
      {refusal && (
        <p role="alert">
          {refusal.message} {refusal.reason === 'unusual' ? 'The same key again if it is right.' : ''}
        </p>
      )}
      <button type="button" onClick={onClose}>
        <kbd>Esc</kbd> back
      </button>
    </div>
  );
}
