import type { Drawing, DrawnZone } from '@/core/block/drawing';
import { edgesPath, sawPath, zoneBox, zonePath } from '@/core/species/sideMapPath';
import type { StepAtBlock } from '@/server/block';
import { SidePatterns } from '../kit/SidePatterns';
import { CUT } from './CutThrough';
import styles from './BlockDrawing.module.css';

type Props = { drawing: Drawing; step: StepAtBlock };

const MARGIN = 34;
/** Units of the map from one tooth of the saw to the next. */
const TOOTH = 9;

/** The piece in hand as it hangs, with the line of the cut: toothed where the saw goes, smooth where the knife goes. */
export function BlockDrawing({ drawing: { map, zones, ribs }, step }: Props) {
  const quarter = step.part === 'both' ? undefined : step.part;
  const shown = zones.filter((each) => !quarter || !each.quarter || each.quarter === quarter);
  const whole = frameOf(
    map,
    shown.map(({ zone }) => zone),
  );
  const off = new Set(step.off.map(({ zone }) => zone));
  const stays = new Set(step.stays.map(({ zone }) => zone));
  const isIn = ({ zone }: DrawnZone) => off.size + stays.size === 0 || off.has(zone) || stays.has(zone);
  const isOff = (number: number) => (step.counted?.bone === 'rib' ? number <= step.counted.off : undefined);
  const here = shown.filter(isIn).map(({ zone }) => zone);
  const [left, top, width, height] = nearer(whole, frameOf(map, here));
  const ofShown = ribs.filter(
    ({ back: [x, y] }) => x >= whole[0] && y >= whole[1] && y <= whole[1] + whole[3],
  );
  // A name that would stand half out of the picture is left out.
  const isLabelled = ({ zone }: DrawnZone) => {
    const [, y] = map.labels[zone]!;
    return y > top + 8 && y < top + height - 8;
  };
  // Ribs that lie close together are numbered small.
  const apart = ofShown.length > 1 ? Math.abs(ofShown[1]!.back[1] - ofShown[0]!.back[1]) : MARGIN;
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
        <g
          key={number}
          className={styles.rib}
          data-off={isOff(number)}
          fontSize={Math.min(isOff(number) ? 19 : 13, apart)}
        >
          <path
            d={`M${back[0]} ${back[1]}Q${(back[0] + front[0]) / 2} ${(back[1] + front[1]) / 2 - 8} ${front[0]} ${front[1]}`}
          />
          <text x={back[0] + (back[0] < front[0] ? -12 : 12)} y={back[1] + 5}>
            {number}
          </text>
        </g>
      ))}
      {shown.filter(isLabelled).map(({ zone }) => (
        <text key={zone} className={styles.label} x={map.labels[zone]![0]} y={map.labels[zone]![1] + 5}>
          {zone}
        </text>
      ))}
      {[styles.under, styles.cut].map((style) => (
        <g key={style} className={style} {...(style === styles.cut ? { [CUT]: '' } : {})}>
          <path d={sawPath(map, step.line.saw, TOOTH)} />
          <path d={edgesPath(map, step.line.knife)} />
        </g>
      ))}
    </svg>
  );
}

type Frame = readonly [left: number, top: number, width: number, height: number];

/** At least this part of the whole is shown, so that one sees where one is. */
const LEAST_SHOWN = 0.55;

/** The whole width, and so much of the height as what is worked on needs. */
function nearer([left, top, width, height]: Frame, [, hereTop, , hereHeight]: Frame): Frame {
  const shown = Math.max(hereHeight * 1.15, height * LEAST_SHOWN);
  if (shown >= height) return [left, top, width, height];
  const middle = hereTop + hereHeight / 2;
  const from = Math.min(Math.max(top, middle - shown / 2), top + height - shown);
  return [left, from, width, shown];
}

function frameOf(map: Drawing['map'], zones: readonly string[]): Frame {
  const boxes = zones.map((zone) => zoneBox(map, zone));
  const left = Math.min(...boxes.map(([x]) => x));
  const top = Math.min(...boxes.map(([, y]) => y));
  const right = Math.max(...boxes.map(([x, , width]) => x + width));
  const bottom = Math.max(...boxes.map(([, y, , height]) => y + height));
  return [left, top, right - left, bottom - top];
}
