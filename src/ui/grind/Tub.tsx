import { formatWeight, type Weight, type WeighingUnit } from '@/core/quantity/weight';
import type { GrindOfDay } from '@/server/grind';
import styles from './Tub.module.css';

/** Corners of the tub in its drawing: it is wider above. */
const [TOP, BOTTOM, HIGH] = [150, 118, 150];

/** What brings the meat to the fat that its recipe is best at; the owner's own fat, or none. */
function besideWords({ fatBeside: { is, fat } }: GrindOfDay, unit: WeighingUnit): string {
  const pounds = `${formatWeight(Math.round(fat) as Weight, 1)} ${unit} of fat`;
  if (is === 'as-asked') return 'as asked';
  return is === 'short' ? `${pounds} short` : `${pounds} to cull`;
}

/** The owner's own tub, with what is out of it in the batch: the layer above is what is left. */
export function Tub({ job, unit }: { job: GrindOfDay; unit: WeighingUnit }) {
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
        <div>
          <dt>left in the tub</dt>
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
