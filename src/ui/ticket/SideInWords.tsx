import { frameOf } from '@/core/species/sideMapPath';
import type { SheetInShort, ShortAnswer } from '@/server/ticket';
import { SideDrawing } from '../kit/SideDrawing';
import styles from './TicketScreen.module.css';

/** The drawing's own measure; it grows and shrinks with its place. */
const [WIDTH, HEIGHT] = [380, 460];
const SIDE = { width: 128, height: 448, top: 8 };
const WORDS_LEFT = 150;

/** The sheet in short: the hanging side, and beside each zone what it becomes. */
export function SideInWords({ sheet }: { sheet: SheetInShort }) {
  const { map, zones, answers } = sheet;
  const [left, top, width, height] = frameOf(map);
  const scale = Math.min(SIDE.width / width, SIDE.height / height);
  const place = ([x, y]: readonly [number, number]) => [
    (x - left) * scale + (SIDE.width - width * scale) / 2,
    (y - top) * scale + SIDE.top + (SIDE.height - height * scale) / 2,
  ];
  const shown = Object.keys(map.zones)
    .map((zone) => ({
      zone,
      at: place(map.labels[zone]!),
      own: answers.filter((each) => each.zone === zone),
    }))
    .filter(({ own }) => own.length > 0)
    .sort((a, b) => a.at[1]! - b.at[1]!);
  const step = HEIGHT / shown.length;
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className={styles.side}
      role="group"
      aria-label="The sheet in short"
    >
      <svg
        x={0}
        y={SIDE.top}
        width={SIDE.width}
        height={SIDE.height}
        viewBox={`${left} ${top} ${width} ${height}`}
      >
        <SideDrawing map={map} destinationOf={(zone) => zones[zone] ?? undefined} />
      </svg>
      {shown.map(({ zone, at: [x, y], own }, index) => {
        const row = index * step + Math.min(step / 2, 10);
        return (
          <g key={zone}>
            <polyline
              points={`${x},${y} ${WORDS_LEFT - 14},${row} ${WORDS_LEFT - 4},${row}`}
              className={styles.leader}
            />
            <circle cx={x} cy={y} r={3} className={styles.dot} />
            <foreignObject x={WORDS_LEFT} y={index * step} width={WIDTH - WORDS_LEFT} height={step}>
              <p className={styles.zone}>
                {own.map((answer, at) => (
                  <span key={answer.title}>
                    {at > 0 && '; '}
                    <AnswerWords answer={answer} />
                  </span>
                ))}
              </p>
            </foreignObject>
          </g>
        );
      })}
    </svg>
  );
}

/** An answer whose words begin with the zone says it once. */
function AnswerWords({ answer: { title, words, right } }: { answer: ShortAnswer }) {
  const rest = words.toLowerCase().startsWith(title.toLowerCase()) ? words.slice(title.length) : words;
  return (
    <>
      <b>{title}</b>{' '}
      {words === '' ? <span className="alarm">not answered</span> : rest.replace(/^[,:]?\s*/, '')}
      {right !== '' && <em> right side: {right}</em>}
    </>
  );
}
