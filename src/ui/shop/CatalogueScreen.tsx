'use client';

import { Button, Segmented } from 'antd';
import { useState } from 'react';
import type { OwnCut } from '@/core/setUp/types';
import type { SetUpView } from '@/server/shop';
import { onDemand } from '../kit/onDemand';
import { Note } from '../kit/Note';
import { SideMap } from '../kit/SideMap';
import { Coming, Failed } from '../kit/States';
import { useSpecies } from '../sheet/useSpecies';
import { CutsOfZone } from './CutsOfZone';
import { SetUpHistory } from './SetUpHistory';
import { SideTree } from './SideTree';
import { ShopHeading } from './ShopHeading';
import { useSetUp } from './useSetUp';
import styles from './SetUp.module.css';

const SpeciesFiles = onDemand(() => import('./SpeciesFiles').then((module) => module.SpeciesFiles));
const EditOwnCut = onDemand(() => import('./EditOwnCut').then((module) => module.EditOwnCut));

/** What the shop cuts: each place of the side with what can be made of it, in the shop's words. */
export function CatalogueScreen({ view: first }: { view: SetUpView }) {
  const state = useSetUp(first);
  const { view } = state;
  const [id, setId] = useState(view.species[0]!.id);
  const [zone, setZone] = useState<string>();
  const [pointed, setPointed] = useState<string>();
  const [opened, setOpened] = useState<{ decision: string; cut?: OwnCut }>();
  const [filesOpen, setFilesOpen] = useState(false);
  const here = view.species.find((each) => each.id === id) ?? view.species[0]!;
  const { species, failed } = useSpecies({ id: here.id, version: view.version });
  const own = here.own;
  const shown = species?.decisions.filter((decision) => zone === undefined || decision.zone === zone) ?? [];
  return (
    <div>
      <ShopHeading>
        <Segmented
          aria-label="Species"
          value={here.id}
          onChange={(next) => {
            setId(next);
            setZone(undefined);
          }}
          options={view.species.map((each) => ({ value: each.id, label: each.name }))}
        />
        <Button onClick={() => setZone(undefined)} disabled={zone === undefined}>
          The whole side
        </Button>
        <Button onClick={() => setFilesOpen(true)}>Files</Button>
      </ShopHeading>
      <Note failure={state.refusal} />
      <div className={styles.catalogue}>
        {!species ? (
          failed ? (
            <Failed words="The cuts could not be fetched. The network may be away; load the page again." />
          ) : (
            <Coming words="Fetching the cuts" rows={12} />
          )
        ) : (
          <>
            <div className={styles.side}>
              <SideMap
                map={species.sideMap}
                destinations={Object.keys(species.sideMap.zones)
                  .map((each) => (each === (pointed ?? zone) ? 'roasts' : 'lost'))
                  .join(',')}
                describe={(each) =>
                  species.decisions
                    .filter((decision) => decision.zone === each)
                    .map(({ title }) => title)
                    .join(', ')
                }
                active={zone}
                onChoose={setZone}
                onPoint={setPointed}
              />
              <p className="quiet">Press a place: only its cuts are shown.</p>
              <SideTree
                species={species}
                zone={zone}
                onDecision={(decision) => {
                  setZone(species.decisions.find((each) => each.id === decision)!.zone);
                  requestAnimationFrame(() =>
                    document.getElementById(decision)?.scrollIntoView({ block: 'start' }),
                  );
                }}
              />
            </div>
            <div>
              {shown.map((decision) => (
                <CutsOfZone
                  key={decision.id}
                  state={state}
                  species={species}
                  own={own}
                  decision={decision}
                  onOwnCut={(cut) => setOpened({ decision: decision.id, ...(cut ? { cut } : {}) })}
                />
              ))}
            </div>
          </>
        )}
        <SetUpHistory view={view} />
      </div>
      {filesOpen && <SpeciesFiles state={state} species={here} onClose={() => setFilesOpen(false)} />}
      {opened && species && (
        <EditOwnCut
          species={species}
          charges={view.charges}
          decision={opened.decision}
          {...(opened.cut ? { cut: opened.cut } : {})}
          onClose={() => setOpened(undefined)}
        />
      )}
    </div>
  );
}
