'use client';

import { useKey, useScope } from '../kit/keys/useKey';

type Does = {
  digit: (digit: string) => void;
  /** To the target so many places on: 1 across, 2 down. */
  step: (by: number) => void;
  section: (by: 1 | -1) => void;
  enter: () => void;
  back: () => void;
  label: () => void;
  tare: () => void;
  pieces: (by: 1 | -1) => void;
  nothingMore: () => void;
  typed: () => void;
  tray: () => void;
  combine: () => void;
  grade: () => void;
};

/** The whole flow of the wrap table by keyboard. */
export function useWrapKeys(enabled: boolean, does: Does): void {
  useScope('wrap');
  useKey('wrap', 'target', (event) => does.digit(event.key), enabled);
  useKey('wrap', 'right', () => does.step(1), enabled);
  useKey('wrap', 'left', () => does.step(-1), enabled);
  useKey('wrap', 'down', () => does.step(2), enabled);
  useKey('wrap', 'up', () => does.step(-2), enabled);
  useKey('wrap', 'sectionAfter', () => does.section(1), enabled);
  useKey('wrap', 'sectionBefore', () => does.section(-1), enabled);
  useKey('wrap', 'take', does.enter, enabled);
  useKey('wrap', 'back', does.back, enabled);
  useKey('wrap', 'label', does.label, enabled);
  useKey('wrap', 'tare', does.tare, enabled);
  useKey('wrap', 'more', () => does.pieces(1), enabled);
  useKey('wrap', 'less', () => does.pieces(-1), enabled);
  useKey('wrap', 'nothingMore', does.nothingMore, enabled);
  useKey('wrap', 'typed', does.typed, enabled);
  useKey('wrap', 'tray', does.tray, enabled);
  useKey('wrap', 'combine', does.combine, enabled);
  useKey('wrap', 'grade', does.grade, enabled);
}
