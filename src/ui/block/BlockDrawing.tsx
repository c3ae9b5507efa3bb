import type { Drawing, DrawnZone } from '@/core/block/drawing';
import { edgesPath, sawPath, zoneBox, zonePath } from '@/core/species/sideMapPath';
import type { StepAtBlock } from '@/server/block';
import { SidePatterns } from '../kit/SidePatterns';
import styles from './BlockDrawing.module.css';

type Props = { drawing: Drawing; step: StepAtBlock };

const MARGIN = 34;
/** Units of the map from one tooth of the saw to the next. */
const TOOTH = 9;

/** The piece in hand as it hangs, with the line of the cut: toothed where the saw goes, smooth where the knife goes. */
export function BlockDrawing({ drawing: { map, zones, ribs }, step }: Props) {
  const quarter = step.part === 'both' ? undefined : step.part;
  const shown = zones.filter((each) => !quarter || !each.quarter || each.quarter === quarter);
  const [left, top, width, height] = frameOf(
    map,
    shown.map(({ zone }) => zone),
  );
  const off = new Set(step.off.map(({ zone }) => zone));
  const stays = new Set(step.stays.map(({ zone }) => zone));
  const isIn = ({ zone }: DrawnZone) => off.size + stays.size === 0 || off.has(zone) || stays.has(zone);
  const isOff = (number: number) => (step.counted?.bone === 'rib' ? number <= step.counted.off : undefined);
  const ofShown = ribs.filter(({ back: [x, y] }) => x >= left && y >= top && y <= top + height);
  return (
    <svg
      viewBox={`${left - MARGIN} ${top - 10} ${width + 2 * MARGIN} ${height + 20}`}
      className={styles.drawing}
      role="img"
      aria-label={`Where it is cut: ${step.title}`}
    >
      <SidePatterns />
      {shown.map((each) => (
        <path
          key={each.zone}
          d={zonePath(map, each.zone)}
          className={styles.zone}
          data-in={isIn(each)}
          data-off={off.has(each.zone) && stays.size > 0}
          fill={each.destination ? `url(#side-${each.destination})` : 'transparent'}
        />
      ))}
      {ofShown.map(({ number, back, front }) => (
        <g key={number} className={styles.rib} data-off={isOff(number)}>
          <path
            d={`M${back[0]} ${back[1]}Q${(back[0] + front[0]) / 2} ${(back[1] + front[1]) / 2 - 8} ${front[0]} ${front[1]}`}
          />
          <text x={back[0] + (back[0] < front[0] ? -12 : 12)} y={back[1] + 5}>
            {number}
          </text>
        </g>
      ))}
      {shown.map(({ zone }) => (
        <text key={zone} className={styles.label} x={map.labels[zone]![0]} y={map.labels[zone]![1] + 5}>
          {zone}
        </text>
      ))}
      {[styles.under, styles.cut].map((style) => (
        <g key={style} className={style}>
          <path d={sawPath(map, step.line.saw, TOOTH)} />
          <path d={edgesPath(map, step.line.knife)} />
        </g>
      ))}
    </svg>
  );
}

function frameOf(
  map: Drawing['map'],
  zones: readonly string[],
): [left: number, top: number, width: number, height: number] {
  const boxes = zones.map((zone) => zoneBox(map, zone));
  const left = Math.min(...boxes.map(([x]) => x));
  const top = Math.min(...boxes.map(([, y]) => y));
  const right = Math.max(...boxes.map(([x, , width]) => x + width));
  const bottom = Math.max(...boxes.map(([, y, , height]) => y + height));
  return [left, top, right - left, bottom - top];
}
