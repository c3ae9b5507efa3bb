import { frameOf } from '@/core/species/sideMapPath';
import type { SheetInShort, ShortAnswer } from '@/server/ticket';
import { SideDrawing } from '../kit/SideDrawing';
import styles from './TicketScreen.module.css';

/** The drawing's own measure; it grows and shrinks with its place. */
const WIDTH = 380;
const SIDE_WIDTH = 128;
const WORDS_LEFT = 150;
/** Letters that fit beside the side in one line, and how high a line is. */
const LINE = { letters: 37, height: 16, gap: 7 };
const LEAST_HEIGHT = 420;

type Point = readonly [number, number];
type Row = {
  readonly zone: string;
  readonly at: Point;
  readonly own: readonly ShortAnswer[];
  readonly height: number;
};

function heightOf(own: readonly ShortAnswer[]): number {
  const letters = own.reduce(
    (sum, { title, words, right }) => sum + title.length + words.length + right.length + 3,
    0,
  );
  return Math.max(1, Math.ceil(letters / LINE.letters)) * LINE.height + LINE.gap;
}

/** Zones from above, each as high as its words need. */
function rowsOf({ map, answers }: SheetInShort): Row[] {
  return Object.keys(map.zones)
    .map((zone) => ({ zone, at: map.labels[zone]!, own: answers.filter((each) => each.zone === zone) }))
    .filter(({ own }) => own.length > 0)
    .sort((a, b) => a.at[1] - b.at[1])
    .map((row) => ({ ...row, height: heightOf(row.own) }));
}

/** The sheet in short: the hanging side, and beside each zone what it becomes. */
export function SideInWords({ sheet }: { sheet: SheetInShort }) {
  const { map, zones } = sheet;
  const rows = rowsOf(sheet);
  const needed = rows.reduce((sum, row) => sum + row.height, 0);
  const height = Math.max(LEAST_HEIGHT, needed);
  const spare = (height - needed) / rows.length;
  const [left, top, frameWidth, frameHeight] = frameOf(map);
  const scale = Math.min(SIDE_WIDTH / frameWidth, height / frameHeight);
  const dotOf = ([x, y]: Point): Point => [
    (x - left) * scale + (SIDE_WIDTH - frameWidth * scale) / 2,
    (y - top) * scale + (height - frameHeight * scale) / 2,
  ];
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${height}`}
      className={styles.side}
      role="group"
      aria-label="The sheet in short"
    >
      <svg width={SIDE_WIDTH} height={height} viewBox={`${left} ${top} ${frameWidth} ${frameHeight}`}>
        <SideDrawing map={map} destinationOf={(zone) => zones[zone] ?? undefined} />
      </svg>
      {rows.map((row, index) => (
        <ZoneInWords
          key={row.zone}
          row={row}
          top={rows.slice(0, index).reduce((sum, before) => sum + before.height + spare, 0)}
          dot={dotOf(row.at)}
        />
      ))}
    </svg>
  );
}

type ZoneProps = { row: Row; top: number; dot: Point };

function ZoneInWords({ row: { own, height }, top, dot: [x, y] }: ZoneProps) {
  const line = top + LINE.height / 2;
  return (
    <g>
      <polyline
        points={`${x},${y} ${WORDS_LEFT - 14},${line} ${WORDS_LEFT - 4},${line}`}
        className={styles.leader}
      />
      <circle cx={x} cy={y} r={3} className={styles.dot} />
      <foreignObject x={WORDS_LEFT} y={top} width={WIDTH - WORDS_LEFT} height={height}>
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
