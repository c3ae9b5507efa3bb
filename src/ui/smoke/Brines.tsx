import { Button } from 'antd';
import { useState } from 'react';
import type { MixAtSmoke, SmokeView } from '@/server/smoke';
import { ReasonDialog } from './ReasonDialog';
import styles from './SmokeScreen.module.css';
import { weightWords } from './words';

type Props = { view: SmokeView; isOwner: boolean; mayDo: boolean };

/** Brines that keep still, each with what it is: one that is doubted is held, and everything that lies in it with it. */
export function Brines({ view, isOwner, mayDo }: Props) {
  const [doubted, setDoubted] = useState<MixAtSmoke>();
  const brines = view.mixes.filter(
    ({ standing, isTooOld, isBrine }) => standing.isMixed && ((isBrine && !isTooOld) || standing.held !== ''),
  );
  if (brines.length === 0) return null;
  return (
    <>
      <ul className={styles.brines} aria-label="Brines at hand">
        {brines.map((mix) => (
          <li key={mix.id}>
            <b>{mix.recipe}</b> {mix.lot}, {weightWords(mix.makes, view.unit)}, {Math.round(mix.standing.ppm)}{' '}
            ppm of {mix.standing.ppmLimit}{' '}
            {mix.standing.held !== '' && <span className="alarm">held: {mix.standing.held} </span>}
            {mayDo && (mix.standing.held === '' || isOwner) && (
              <Button size="small" onClick={() => setDoubted(mix)}>
                {mix.standing.held === '' ? 'Hold' : 'Release'}
              </Button>
            )}
          </li>
        ))}
      </ul>
      {doubted && <Doubt mix={doubted} onClose={() => setDoubted(undefined)} />}
    </>
  );
}

function Doubt({ mix: { id, lot, standing }, onClose }: { mix: MixAtSmoke; onClose: () => void }) {
  const isHeld = standing.held !== '';
  const kind = isHeld ? ('released' as const) : ('held' as const);
  return (
    <ReasonDialog
      title={isHeld ? `Held: ${standing.held}` : `Hold ${lot}, and all that lies in it`}
      label={isHeld ? 'Why it is released' : 'Why it is held'}
      does={isHeld ? 'Release it' : 'Hold it'}
      asks="doMix"
      question={(reason) => ({ mixId: id, said: { kind, reason } })}
      onClose={onClose}
    />
  );
}
