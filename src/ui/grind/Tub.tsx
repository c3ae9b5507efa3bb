import type { CSSProperties } from 'react';
import { formatWeight, type Weight, type WeighingUnit } from '@/core/quantity/weight';
import { gradeWords } from '@/core/grindroom/tubs';
import type { GrindOfDay } from '@/server/grind';
import styles from './Tub.module.css';

/** Corners of the tub in its drawing: it is wider above. */
const [TOP, BOTTOM, HIGH] = [150, 118, 150];

/** What brings the meat to the fat that its recipe is best at; the owner's own fat, or none. */
function besideWords(job: GrindOfDay, unit: WeighingUnit): string {
  const { is, fat } = job.fromTubs?.beside ?? job.fatBeside;
  const pounds = `${formatWeight(Math.round(fat) as Weight, 1)} ${unit} of fat`;
  if (is === 'as-asked') return 'as asked';
  return is === 'short' ? `${pounds} short` : `${pounds} to cull`;
}

type Props = {
  job: GrindOfDay;
  unit: WeighingUnit;
  /** The tub that meat is weighed from now; undefined while none is. */
  chosen: number | undefined;
  onChoose: (at: number) => void;
};

/** The owner's tubs, the leanest first: what is in each and what is to be taken of it. */
function Tubs({ job: { tubs, fromTubs, batch }, unit, chosen, onChoose }: Props) {
  const isPooled = (batch?.owners.length ?? 0) > 0;
  const show = (net: number) => formatWeight(Math.max(0, net) as Weight, unit);
  return (
    <ol className={styles.tubs} aria-label="Tubs">
      {tubs.map((tub, at) => (
        <li key={`${tub.shareId} ${tub.grade}`}>
          <button
            type="button"
            disabled={chosen === undefined}
            aria-pressed={at === chosen}
            onClick={() => onChoose(at)}
          >
            <i style={{ '--lean': tub.leanPct } as CSSProperties} aria-hidden />
            <span>
              <kbd>{at + 1}</kbd> {isPooled && `${tub.of.split(',')[0]}: `}
              {gradeWords(tub.grade)}
            </span>
            <b>
              {show(tub.left)} <small>{unit}</small>
            </b>
            <span>{fromTubs ? `take ${show(fromTubs.use[at]?.take ?? 0)}` : ''}</span>
          </button>
        </li>
      ))}
    </ol>
  );
}

/** The owner's own tub, with what is out of it in the batch: the layer above is what is left. */
export function Tub({ job, unit, chosen, onChoose }: Props) {
  const meat = job.batch?.standing.meat ?? 0;
  const whole = Math.max(1, meat + Math.max(0, job.inTub));
  const level = (part: number) => (HIGH * Math.max(0, part)) / whole;
  const widthAt = (height: number) => BOTTOM + ((TOP - BOTTOM) * height) / HIGH;
  const layer = (from: number, to: number) =>
    `M${100 - widthAt(from) / 2} ${200 - from} L${100 - widthAt(to) / 2} ${200 - to} L${100 + widthAt(to) / 2} ${200 - to} L${100 + widthAt(from) / 2} ${200 - from} Z`;
  const inBatch = level(meat);
  return (
    <section className={styles.tub} aria-label="From the owner’s own tub">
      <dl>
        {job.tubs.length > 1 && <Tubs {...{ job, unit, chosen, onChoose }} />}
        <div>
          <dt>left in the {job.tubs.length > 1 ? 'tubs' : 'tub'}</dt>
          <dd>
            {formatWeight(Math.max(0, job.inTub) as Weight, unit)}
            <small>{unit}</small>
          </dd>
        </div>
        <div>
          <dt>meat in the batch</dt>
          <dd data-strong>
            {formatWeight(meat as Weight, unit)}
            <small>{unit}</small>
          </dd>
        </div>
        <div>
          <dt>fat as it comes</dt>
          <dd>
            {job.fatPct.toFixed(1)}
            <small>%</small>
          </dd>
        </div>
        <div>
          <dt>separable, asked {job.askedFatPct} %</dt>
          <dd className={styles.beside}>{besideWords(job, unit)}</dd>
        </div>
      </dl>
      <svg viewBox="0 0 200 210" role="img" aria-label={`Tub of ${job.tag}`}>
        <path d="M30 52 Q100 -22 170 52" className={styles.handle} />
        <path d={layer(inBatch, HIGH)} className={styles.rest} />
        <path d={layer(0, inBatch)} className={styles.meat} />
        <path d={layer(0, HIGH)} className={styles.wall} />
        <rect x="58" y="108" width="84" height="38" rx="5" className={styles.tag} />
        <text x="100" y="125" textAnchor="middle">
          {job.tag}
        </text>
        <text x="100" y="140" textAnchor="middle">
          {job.part}
        </text>
      </svg>
    </section>
  );
}
