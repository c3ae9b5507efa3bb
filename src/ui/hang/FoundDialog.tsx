'use client';

import { Form, Input, Select } from 'antd';
import { useState } from 'react';
import { FOUND_KINDS, type FoundKind } from '@/core/order/found';
import { parseWeight, type WeighingUnit } from '@/core/quantity/weight';
import { mirroredMap } from '@/core/species/sideMapPath';
import type { AnimalOnRail, SideOnRail, SpeciesOnRail } from '@/server/hang';
import { AskDialog } from '../kit/AskDialog';
import { SideMap } from '../kit/SideMap';
import styles from './FoundDialog.module.css';
import { smallPhoto } from './smallPhoto';

export type FoundAsked = { readonly side: SideOnRail; readonly animal: AnimalOnRail };

type Props = {
  asked: FoundAsked;
  species: SpeciesOnRail;
  unit: WeighingUnit;
  onClose: () => void;
};

type Typed = {
  readonly kind: FoundKind;
  readonly decision: string;
  readonly weight: string;
  readonly measure: string;
  readonly note: string;
};

const INITIAL: Typed = { kind: 'bruise', decision: '', weight: '', measure: '', note: '' };

/** Something was found on a side: where, by a tap on the side; what, how much, and a photograph. */
export function FoundDialog({ asked: { side, animal }, species, unit, onClose }: Props) {
  const [zone, setZone] = useState<string>();
  const [photo, setPhoto] = useState('');
  const [photoProblem, setPhotoProblem] = useState('');
  const map = side.position === 'right' ? mirroredMap(species.map) : species.map;
  const rows = zone === undefined ? species.rows : species.rows.filter((row) => row.zone === zone);
  const take = async (file: File | undefined) => {
    const small = file && (await smallPhoto(file));
    setPhoto(small ?? '');
    setPhotoProblem(file && !small ? 'That file is no picture.' : '');
  };
  return (
    <AskDialog
      title={`${animal.tag}, ${side.position} side: what was found?`}
      asks="noteFound"
      does="Note it"
      width={760}
      initial={INITIAL}
      question={(typed) => {
        const weight = typed.weight.trim() === '' ? null : parseWeight(typed.weight, unit);
        if (weight && !weight.ok) return { field: 'weight', message: weight.message };
        const measure = typed.measure.trim() === '' ? null : Number(typed.measure.replace(',', '.'));
        if (measure !== null && !(measure > 0)) {
          return { field: 'measure', message: 'Type a number, such as 5.6.' };
        }
        const { kind, decision, note } = typed;
        return {
          ...{ sideId: side.sideId, kind, decision, note, photo, measure },
          weight: weight ? weight.value : null,
        };
      }}
      onDone={onClose}
      onClose={onClose}
    >
      {({ kind }) => {
        const said = FOUND_KINDS[kind];
        const isOfRow = said.effect === 'missing' || said.effect === 'condemned';
        return (
          <div className={styles.columns}>
            <div className={styles.map}>
              <TapOnSide map={map} rows={species.rows} zone={zone} onZone={setZone} />
            </div>
            <div>
              <Form.Item name="kind" label="What">
                <Select
                  options={Object.entries(FOUND_KINDS).map(([value, { label }]) => ({ value, label }))}
                />
              </Form.Item>
              {isOfRow && (
                <>
                  <Form.Item
                    name="decision"
                    label={zone ? `Where in the ${zone}` : 'Where: tap the side, or choose'}
                  >
                    <Select
                      showSearch
                      optionFilterProp="label"
                      options={rows.map(({ id, title }) => ({ value: id, label: title }))}
                    />
                  </Form.Item>
                  <Form.Item name="weight" label={`How much of it, ${unit}; empty for all of it`}>
                    <Input inputMode="decimal" autoComplete="off" />
                  </Form.Item>
                </>
              )}
              {'measures' in said && (
                <Form.Item
                  name="measure"
                  label={
                    said.measures === 'square inches'
                      ? 'The eye, square inches'
                      : 'Of the spine this side has, percent; 50 when it ran true'
                  }
                >
                  <Input inputMode="decimal" autoComplete="off" />
                </Form.Item>
              )}
              <Form.Item name="note" label="In a few words">
                <Input maxLength={200} autoComplete="off" />
              </Form.Item>
              <label className={styles.photo}>
                <span>{photo === '' ? 'Take a photograph' : 'Another photograph'}</span>
                <input
                  type="file"
                  accept="image/*"
                  capture="environment"
                  onChange={({ target }) => void take(target.files?.[0])}
                />
              </label>
              {photoProblem !== '' && <p className="alarm">{photoProblem}</p>}
              {/* eslint-disable-next-line @next/next/no-img-element -- what was just taken, not a file of the site */}
              {photo !== '' && <img src={photo} alt="As it will be kept" className={styles.taken} />}
            </div>
          </div>
        );
      }}
    </AskDialog>
  );
}

type TapProps = {
  map: SpeciesOnRail['map'];
  rows: SpeciesOnRail['rows'];
  zone: string | undefined;
  onZone: (zone: string) => void;
};

/** A tap on the side says where: the row of the sheet that is cut there, the first where there are several. */
function TapOnSide({ map, rows, zone, onZone }: TapProps) {
  const form = Form.useFormInstance<Typed>();
  return (
    <SideMap
      map={map}
      destinations=""
      describe={(each) =>
        rows
          .filter((row) => row.zone === each)
          .map(({ title }) => title)
          .join(', ')
      }
      active={zone}
      onChoose={(tapped) => {
        onZone(tapped);
        form.setFieldValue('decision', rows.find((row) => row.zone === tapped)?.id ?? '');
      }}
      onPoint={() => undefined}
    />
  );
}
