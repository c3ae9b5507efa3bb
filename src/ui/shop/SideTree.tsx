import { useMemo } from 'react';
import { sideTree } from '@/core/setUp/sideTree';
import type { Species } from '@/core/species/types';
import styles from './SetUp.module.css';

type Props = {
  species: Species;
  /** The place that is shown; its primals stand open. */
  zone: string | undefined;
  onDecision: (decision: string) => void;
};

const QUARTER_WORDS = { fore: 'Fore quarter', hind: 'Hind quarter', side: 'The side' } as const;

/** The side as a tree: quarter, primal, muscle, and the cuts it goes into; a cut leads to where it is asked for. */
export function SideTree({ species, zone, onDecision }: Props) {
  const tree = useMemo(() => sideTree(species), [species]);
  const here = new Set(
    species.decisions.filter((decision) => decision.zone === zone).map((decision) => decision.id),
  );
  return (
    <div className={styles.tree}>
      {tree.map(({ quarter, pounds, primals }) => (
        <section key={quarter}>
          <h3>
            {QUARTER_WORDS[quarter]} <Pounds of={pounds} />
          </h3>
          {primals.map(({ primal, pounds: weight, pieces }) => (
            <details
              key={`${primal} ${zone ?? ''}`}
              open={pieces.some(({ cuts }) => cuts.some(({ decision }) => here.has(decision)))}
            >
              <summary>
                {primal.replaceAll('-', ' ')} <Pounds of={weight} />
              </summary>
              <ul>
                {pieces.map((piece) => (
                  <li key={piece.id}>
                    {piece.name} <Pounds of={piece.pounds} />
                    {piece.cuts.length > 0 && (
                      <span className={styles.cutsOf}>
                        {piece.cuts.map(({ cut, decision }) => (
                          <button
                            key={cut}
                            type="button"
                            className="link"
                            onClick={() => onDecision(decision)}
                          >
                            {cut}
                          </button>
                        ))}
                      </span>
                    )}
                  </li>
                ))}
              </ul>
            </details>
          ))}
        </section>
      ))}
    </div>
  );
}

function Pounds({ of }: { of: number }) {
  return <span className="quiet">{of.toFixed(of < 10 ? 2 : 1)} lb</span>;
}
