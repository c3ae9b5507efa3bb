'use client';

import {
  ELSEWHERE,
  GRADES,
  gradeWords,
  NEVER_GROUND,
  type Grade,
  type NeverGround,
} from '@/core/grindroom/tubs';
import { Choose } from './Choose';

type Props = { onChoose: (what: Grade | NeverGround) => void; onClose: () => void };

const WORDS: readonly { readonly what: Grade | NeverGround; readonly words: string }[] = [
  ...GRADES.map((what) => ({ what, words: what === '' ? 'Not parted: trim as it comes' : gradeWords(what) })),
  ...NEVER_GROUND.map((what) => ({ what, words: `${ELSEWHERE[what].words}: never into a tub` })),
];

/** What lies on the scale for the tub: how lean it is, or that it is never ground. */
export function WhatIsInTub({ onChoose, onClose }: Props) {
  return (
    <Choose
      label="What lies in the tub"
      title="What lies in the tub?"
      // A choice's name is never empty.
      choices={WORDS.map(({ words }) => ({ id: words, words }))}
      onChoose={(chosen) => onChoose(WORDS.find(({ words }) => words === chosen)!.what)}
      onClose={onClose}
    />
  );
}
