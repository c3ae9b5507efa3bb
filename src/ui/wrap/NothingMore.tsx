'use client';

import { Choose } from './Choose';

const REASONS = [
  'All of it is packed; the count came out otherwise',
  'A piece was condemned',
  'Went into the grind instead',
  'The customer took it fresh, before packing',
  'Not found; tell the counter',
] as const;

type Props = { title: string; onReason: (note: string) => void; onClose: () => void };

/** Why nothing more is to come of a cut. */
export function NothingMore({ title, onReason, onClose }: Props) {
  return (
    <Choose
      label={`Nothing more of ${title}`}
      title={`${title}: why is nothing more to come?`}
      choices={REASONS.map((words) => ({ id: words, words }))}
      onChoose={onReason}
      onClose={onClose}
    />
  );
}
