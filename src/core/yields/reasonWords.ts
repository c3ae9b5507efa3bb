import type { Species } from '../species/types';
import type { Against, Reason } from './likes';
import type { YieldRow } from './yieldRow';

/** A reason as it is read: what it is, and what in the records speaks for it. */
export type ReasonInWords = Reason & { readonly words: string; readonly evidence: string };

/** Reasons smaller than this are told together, as not worth a line of their own; points. */
const LEAST = 0.15;

type Told = { readonly more: string; readonly less: string };

const WORDS: Readonly<Record<string, Told>> = {
  bone: { more: 'More bone came out', less: 'Less bone came out' },
  fat: { more: 'More fat was cut off', less: 'Less fat was cut off' },
  skin: { more: 'More skin came off', less: 'Less skin came off' },
  inedible: { more: 'More was condemned or cut away', less: 'Less was condemned or cut away' },
  shrink: { more: 'More went into the air', less: 'Less went into the air' },
  cure: { more: 'Cure and smoke took more', less: 'Cure and smoke took less' },
  added: { more: 'Less was mixed in', less: 'More was mixed in' },
  grinder: { more: 'More stayed in tub and grinder', less: 'Less stayed in tub and grinder' },
  pooled: { more: 'More went into others’ packs', less: 'More of others’ is in its packs' },
  unaccounted: { more: 'More is unaccounted', less: 'Less is unaccounted' },
};

/**
 * The reasons of a share in words, each with what the records say of it: fatness for fat, days for air. What is too
 * small for a line of its own is one line, so that the sum still stands.
 */
export function inWords(
  { reasons }: Pick<Against, 'reasons'>,
  { row, likes, species }: { row: YieldRow; likes: readonly YieldRow[]; species: Species },
): ReasonInWords[] {
  const told = reasons.filter(({ points }) => Math.abs(points) >= LEAST);
  const rest = reasons.filter((each) => !told.includes(each));
  const points = rest.reduce((sum, each) => sum + each.points, 0);
  return [
    ...told.map((reason) => ({
      ...reason,
      words: WORDS[reason.part]![reason.points < 0 ? 'more' : 'less'],
      evidence: evidenceOf(reason, { row, likes, species }),
    })),
    ...(rest.length > 0
      ? [
          {
            part: 'grinder' as const,
            points,
            own: 0,
            theirs: 0,
            words: 'All the rest',
            evidence: 'each less than 0.15',
          },
        ]
      : []),
  ];
}

function evidenceOf(
  { part, own, theirs }: Reason,
  { row, likes, species }: { row: YieldRow; likes: readonly YieldRow[]; species: Species },
): string {
  const figures = `${own.toFixed(1)} % of hot, theirs ${theirs.toFixed(1)}`;
  if (part === 'shrink') {
    const days = meanOf(likes.map(({ daysHung }) => daysHung));
    return `${figures}; hung ${row.daysHung} days, theirs ${days!.toFixed(0)}`;
  }
  const fatness = meanOf(likes.flatMap((each) => each.fatness ?? []));
  if (part === 'fat' && row.fatness !== null && fatness !== null) {
    const { label, unit } = species.shifts.fatness;
    return `${figures}; ${label} ${row.fatness} ${unit}, theirs ${fatness.toFixed(2)}`;
  }
  return figures;
}

function meanOf(values: readonly number[]): number | null {
  return values.length > 0 ? values.reduce((sum, each) => sum + each, 0) / values.length : null;
}
