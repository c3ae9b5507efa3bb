'use client';

import { useEffect, useRef, useState } from 'react';
import { Dialog } from '../kit/Dialog';
import { codesIn } from './codesIn';
import styles from './CameraScan.module.css';

type Props = { onScan: (text: string) => void; onClose: () => void };

/** Milliseconds between two looks at the picture. */
const LOOK_EVERY_MS = 150;

/** What hinders the camera, in words for whoever holds the device. */
function troubleOf(error: unknown): string {
  const name = error instanceof Error ? error.name : '';
  if (name === 'NotAllowedError') return 'The camera was not allowed. Allow it for this page in the browser.';
  if (name === 'NotFoundError') return 'This device has no camera. Use a scanner, or type the tag.';
  return 'The camera could not be opened. Another program may be using it.';
}

/** The bars of a pack, the square of a paper or of a ticket, read by the camera of the device. */
export function CameraScan({ onScan, onClose }: Props) {
  const video = useRef<HTMLVideoElement>(null);
  const [trouble, setTrouble] = useState('');
  const done = useRef(onScan);
  useEffect(() => {
    done.current = onScan;
  });
  useEffect(() => {
    let stream: MediaStream | undefined;
    let isOver = false;
    let timer: ReturnType<typeof setTimeout> | undefined;
    async function look() {
      const [text] = video.current ? await codesIn(video.current) : [];
      if (isOver) return;
      if (text !== undefined) done.current(text);
      else timer = setTimeout(() => void look(), LOOK_EVERY_MS);
    }
    async function open() {
      if (!navigator.mediaDevices) {
        return setTrouble('Browsers give the camera to safe connections only: open Fractum by https.');
      }
      const wish = { facingMode: 'environment', width: { ideal: 1280 }, height: { ideal: 960 } };
      stream = await navigator.mediaDevices.getUserMedia({ video: wish });
      if (isOver || !video.current) return undefined;
      video.current.srcObject = stream;
      await video.current.play();
      return look();
    }
    open().catch((error: unknown) => !isOver && setTrouble(troubleOf(error)));
    return () => {
      isOver = true;
      clearTimeout(timer);
      stream?.getTracks().forEach((track) => track.stop());
    };
  }, []);
  return (
    <Dialog title="Hold the code before the camera" onClose={onClose}>
      {trouble === '' ? (
        <video ref={video} className={styles.picture} muted playsInline aria-label="What the camera sees" />
      ) : (
        <p role="alert">{trouble}</p>
      )}
    </Dialog>
  );
}
