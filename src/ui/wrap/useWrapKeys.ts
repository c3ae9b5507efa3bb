'use client';

import { useHotkeys } from 'react-hotkeys-hook';

type Keys = {
  digit: (index: number) => void;
  /** To the target so many places on: 1 across, 2 down. */
  step: (by: number) => void;
  section: (by: 1 | -1) => void;
  enter: () => void;
  back: () => void;
  label: () => void;
  tare: () => void;
  pieces: (by: 1 | -1) => void;
  nothingMore: () => void;
};

/** The whole flow of the wrap table by keyboard. */
export function useWrapKeys(enabled: boolean, keys: Keys): void {
  // Targets have the role of radio buttons; a touched one keeps the focus and must not swallow the keys.
  const options = { enabled, preventDefault: true, enableOnFormTags: ['radio'] as const };
  useHotkeys('1,2,3,4,5,6,7,8,9,0', (event) => keys.digit((Number(event.key) + 9) % 10), options);
  useHotkeys('right', () => keys.step(1), options);
  useHotkeys('left', () => keys.step(-1), options);
  useHotkeys('down', () => keys.step(2), options);
  useHotkeys('up', () => keys.step(-2), options);
  useHotkeys('bracketright', () => keys.section(1), options);
  useHotkeys('bracketleft', () => keys.section(-1), options);
  useHotkeys('enter', () => keys.enter(), options);
  useHotkeys('backspace', () => keys.back(), options);
  useHotkeys('l', () => keys.label(), options);
  useHotkeys('z', () => keys.tare(), options);
  useHotkeys('equal,shift+equal,add', () => keys.pieces(1), options);
  useHotkeys('minus,subtract', () => keys.pieces(-1), options);
  useHotkeys('n', () => keys.nothingMore(), options);
}
