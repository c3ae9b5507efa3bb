import { useId } from 'react';
import type { SharePart } from '@/core/shares/parts';
import type { BookableSpecies } from '@/server/book';
import type { AnimalDraft, ShareDraft } from './call';
import styles from './BookScreen.module.css';

type Props = { animal: AnimalDraft; species: BookableSpecies };

/** Both sides from the rail, each as it is divided: whole, striped where it is shared out, dashed where nobody has it. */
export function HangingSides({ animal, species }: Props) {
  const stripes = useId();
  return (
    <svg className={styles.sides} viewBox="0 0 240 260" role="img" aria-label="The sides as they are divided">
      <defs>
        <pattern
          id={stripes}
          width="14"
          height="14"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(-18)"
        >
          <rect width="14" height="7" className={styles.stripe} />
        </pattern>
      </defs>
      <rect x="0" y="6" width="240" height="9" className={styles.bar} />
      <Side x={10} position="left" {...{ animal, species, stripes }} />
      <Side x={130} position="right" {...{ animal, species, stripes }} />
    </svg>
  );
}

function Side({
  x,
  position,
  animal,
  species,
  stripes,
}: Props & { x: number; position: 'left' | 'right'; stripes: string }) {
  const held = animal.shares.filter(({ part }) => part === 'whole' || part.startsWith(position));
  const quartered = held.some(({ part }) => part.includes('-'));
  const { frame, paths } = species.outline;
  const clip = useId();
  const fillOf = (shares: readonly ShareDraft[]) =>
    shares.every((share) => share.unsold) ? 'none' : shares.length > 1 ? `url(#${stripes})` : undefined;
  const piece = (part: SharePart | undefined, half: 'upper' | 'lower' | 'all') => {
    const shares = part ? held.filter((share) => share.part === part) : held;
    const fill = fillOf(shares);
    return (
      <g
        key={half}
        clipPath={half === 'all' ? undefined : `url(#${clip}-${half})`}
        className={shares.every((share) => share.unsold) ? styles.nobodys : styles.somebodys}
      >
        {paths.map((path) => (
          <path key={path.slice(0, 40)} d={path} style={fill ? { fill } : undefined} />
        ))}
      </g>
    );
  };
  const [left, top, width, height] = frame.split(' ').map(Number) as [number, number, number, number];
  return (
    <>
      <line x1={x + 50} y1="15" x2={x + 50} y2="30" className={styles.hookLine} />
      <svg x={x} y="28" width="100" height="228" viewBox={frame} preserveAspectRatio="xMidYMin meet">
        <defs>
          <clipPath id={`${clip}-upper`}>
            <rect x={left} y={top} width={width} height={height * 0.52} />
          </clipPath>
          <clipPath id={`${clip}-lower`}>
            <rect x={left} y={top + height * 0.52} width={width} height={height * 0.48} />
          </clipPath>
        </defs>
        {quartered
          ? [piece(`${position}-hind`, 'upper'), piece(`${position}-fore`, 'lower')]
          : piece(undefined, 'all')}
      </svg>
    </>
  );
}
