'use client';

import { Button, Upload } from 'antd';
import { useState } from 'react';
import { frameOf } from '@/core/species/sideMapPath';
import { percentMore } from '@/core/quantity/signed';
import { formatWeight, type WeighingUnit } from '@/core/quantity/weight';
import type { SaidChange, SetUpView, TriedFile } from '@/server/shop';
import { act } from '../kit/act';
import { Dialog } from '../kit/Dialog';
import { Note } from '../kit/Note';
import { SideDrawing } from '../kit/SideDrawing';
import { Failed } from '../kit/States';
import type { SetUpState } from './useSetUp';
import styles from './SetUp.module.css';

type SpeciesChange = Extract<SaidChange, { readonly kind: 'species' | 'atlas'; readonly text: string }>;

type Props = { state: SetUpState; species: SetUpView['species'][number]; onClose: () => void };

/** A species as a file, and a file of pieces or of a species: read, tried, shown, and then taken. */
export function SpeciesFiles({ state, species, onClose }: Props) {
  const [read, setRead] = useState<{ readonly change: SpeciesChange; readonly tried: TriedFile }>();
  const [refused, setRefused] = useState('');
  const a = species.name.toLowerCase();
  async function take(file: File) {
    setRead(undefined);
    setRefused('');
    const text = await file.text();
    const change: SpeciesChange = file.name.toLowerCase().endsWith('.csv')
      ? { kind: 'atlas', species: species.id, text }
      : { kind: 'species', text };
    const tried = await act('triedFileView', change);
    if (tried.ok) setRead({ change, tried: tried.value });
    else setRefused(`${file.name}: ${tried.field ? `${tried.field}: ` : ''}${tried.message}`);
  }
  return (
    <Dialog title="Species and their pieces as files" onClose={onClose} width={720}>
      <p>
        <a href={`/api/species/${species.id}?as=csv`} download>
          Save the pieces of the {a} as CSV
        </a>
        {' · '}
        <a href={`/api/species/${species.id}?as=json`} download>
          Save the whole {a} as JSON
        </a>
        {' · '}
        <a href={`/api/cards/${species.id}`} target="_blank" rel="noreferrer">
          Cards of its cuts, to scan at the wrap table
        </a>
      </p>
      <Upload.Dragger
        className={styles.drop}
        accept=".csv,.json,text/csv,application/json"
        showUploadList={false}
        beforeUpload={(file) => {
          void take(file);
          return false;
        }}
      >
        <p>Drop a file here, or press to choose one</p>
        <p className="quiet">
          A table (CSV) gives the pieces of the {a} other shares and tissues. A species (JSON) is a new one:
          save one that is near it, change it, give it another id.
        </p>
      </Upload.Dragger>
      {refused !== '' && <Failed words={refused} />}
      {read && (
        <>
          <Note failure={read.tried.problem ?? state.refusal} />
          <div className={styles.takes}>
            <h2>{read.tried.name}</h2>
            <span className="quiet">
              {read.tried.pieces} pieces, {read.tried.decisions} decisions, {read.tried.recipes} recipes
            </span>
            <Button
              type="primary"
              loading={state.busy}
              disabled={read.tried.problem !== null}
              onClick={() => void state.change(read.change).then((answer) => answer.ok && onClose())}
            >
              Take it
            </Button>
          </div>
          <Tried tried={read.tried} />
        </>
      )}
    </Dialog>
  );
}

const POUNDS: WeighingUnit = 'lb';

/** What the file would bring: what is in it, its side, and what the house's sheet gives of it now and then. */
function Tried({ tried }: { tried: TriedFile }) {
  const isNew = tried.lines.every(({ now }) => now === null);
  const shown = isNew ? tried.lines : tried.lines.filter(({ now, then }) => now !== then);
  return (
    <div className={styles.tried}>
      <div>
        <svg
          viewBox={frameOf(tried.sideMap).join(' ')}
          className={styles.drawn}
          role="img"
          aria-label="Its side"
        >
          <SideDrawing map={tried.sideMap} destinationOf={() => undefined} />
        </svg>
        <p className="quiet">{tried.source}</p>
      </div>
      {shown.length > 0 && (
        <table className={styles.rules}>
          <caption>
            {isNew ? 'The house sheet gives' : 'The house sheet gives otherwise'} of a side of {tried.sideLb}{' '}
            lb
          </caption>
          <thead>
            <tr>
              <th scope="col">Cut</th>
              {!isNew && (
                <th scope="col" className="num">
                  now, lb
                </th>
              )}
              <th scope="col" className="num">
                {isNew ? 'lb' : 'then, lb'}
              </th>
              {!isNew && (
                <th scope="col" className="num">
                  %
                </th>
              )}
            </tr>
          </thead>
          <tbody>
            {shown.map(({ cut, now, then }) => (
              <tr key={cut}>
                <td>{cut}</td>
                {!isNew && <td className="num">{now === null ? '' : formatWeight(now, POUNDS)}</td>}
                <td className="num">{then === null ? 'not cut' : formatWeight(then, POUNDS)}</td>
                {!isNew && <td className="num">{percentMore(now ?? 0, then ?? 0)}</td>}
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {!tried.problem && shown.length === 0 && <p>Nothing of what the house cuts would change.</p>}
    </div>
  );
}
