import { useId } from 'react';
import type { PieceAtSmoke, PieceOutline } from '@/server/smoke';
import styles from './CureRail.module.css';

/** The tallest and the widest that a piece is drawn. */
const [TALL, WIDE] = [72, 60];

type Props = { piece: PieceAtSmoke; shape: PieceOutline | undefined };

/**
 * A piece, cut out of the map of its side: what cures it soaks in from its edge by the share of its days, so that it is
 * ready when nothing pale is left. Without nitrite it soaks in salt, never in the cured mark.
 */
export function PieceShape({ piece, shape }: Props) {
  const clip = useId();
  const { cure, hasNitrite, isGround } = piece;
  const soaked = cure === null ? (isGround ? 1 : 0) : cure.days === 0 ? 1 : Math.min(1, cure.day / cure.days);
  const fill = hasNitrite ? 'url(#side-cured)' : 'url(#side-bones)';
  const held = piece.next === 'held';
  if (!shape) {
    return (
      <svg width={WIDE} height={30} viewBox={`0 0 ${WIDE} 30`} aria-hidden>
        <rect
          x="3"
          y="5"
          width={WIDE - 6}
          height="20"
          rx="10"
          fill={fill}
          className={styles.edge}
          data-held={held || undefined}
        />
      </svg>
    );
  }
  const [left, top, width, height] = shape.box;
  const scale = Math.min(WIDE / width, TALL / height);
  // From both edges: half of the narrower way is all of it.
  const depth = soaked * Math.min(width, height);
  const margin = 3 / scale;
  return (
    <svg
      width={width * scale + 6}
      height={height * scale + 6}
      viewBox={`${left - margin} ${top - margin} ${width + 2 * margin} ${height + 2 * margin}`}
      aria-hidden
    >
      <clipPath id={clip}>
        <path d={shape.d} />
      </clipPath>
      <path d={shape.d} className={styles.pale} />
      <path
        d={shape.d}
        clipPath={`url(#${clip})`}
        fill={soaked >= 1 ? fill : 'none'}
        stroke={fill}
        strokeWidth={depth}
      />
      <path
        d={shape.d}
        className={styles.edge}
        style={{ strokeWidth: 2 / scale }}
        data-held={held || undefined}
      />
    </svg>
  );
}
