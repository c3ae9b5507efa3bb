'use client';

import { Checkbox, Form, Input, Segmented, Select } from 'antd';
import { piecesAt, SIZE_OF_SHAPE } from '@/core/setUp/ownCut';
import type { OwnCut } from '@/core/setUp/types';
import { DESTINATION_WORDS, type Species } from '@/core/species/types';
import { AskDialog } from '../kit/AskDialog';
import type { FieldProblem } from '../kit/asking';
import type { Question } from '../kit/useAsk';
import { idOf } from './idOf';
import styles from './SetUp.module.css';

type Props = {
  species: Species;
  charges: readonly string[];
  decision: string;
  cut?: OwnCut;
  onClose: () => void;
};

type Values = {
  name: string;
  pieces: string[];
  bone: OwnCut['bone'];
  trim: OwnCut['trim'];
  shape: OwnCut['shape'];
  size: string;
  perPack: string;
  netted: boolean;
  destination: OwnCut['destination'];
  charges: string[];
};

const SHAPES = [
  { value: 'roasts', label: 'in roasts' },
  { value: 'slices', label: 'in slices' },
  { value: 'dice', label: 'diced' },
  { value: 'whole', label: 'left whole' },
];

const DESTINATIONS = ['roasts', 'steaks', 'grind', 'bones', 'offal'] as const;

/** A cut of the shop's own: the pieces it is made of, and how the knife leaves them. Tried on three sides before it is taken. */
export function EditOwnCut({ species, charges, decision: id, cut, onClose }: Props) {
  const decision = species.decisions.find((each) => each.id === id)!;
  const pieces = piecesAt(species, decision);
  const initial: Values = {
    name: cut?.name ?? '',
    pieces: [...(cut?.pieces ?? [])],
    bone: cut?.bone ?? 'out',
    trim: cut?.trim ?? 'usual',
    shape: cut?.shape ?? 'roasts',
    size: String(cut?.size ?? 3),
    perPack: String(cut?.perPack ?? 1),
    netted: cut?.netted ?? false,
    destination: cut?.destination ?? 'roasts',
    charges: [...(cut?.charges ?? [])],
  };
  const pounds = (sharePct: number) => ((species.atlas.reference.sideLb * sharePct) / 100).toFixed(1);
  return (
    <AskDialog
      title={cut ? cut.name : `A cut of our own: ${decision.title.toLowerCase()}`}
      asks="changeSetUp"
      width={640}
      initial={initial}
      question={(values): Question<'changeSetUp'> | FieldProblem => {
        if (values.name.trim() === '') return { field: 'name', message: 'It needs a name for the label.' };
        if (values.pieces.length === 0) return { field: 'pieces', message: 'Choose a piece or more.' };
        const size = values.shape === 'whole' ? 1 : Number(values.size.replace(',', '.'));
        if (!Number.isFinite(size)) return { field: 'size', message: `“${values.size}” is no number.` };
        const perPack = Number(values.perPack);
        if (!Number.isInteger(perPack)) return { field: 'perPack', message: 'A whole number.' };
        return {
          change: {
            kind: 'own-cut',
            species: species.id,
            cut: {
              ...values,
              id: cut?.id ?? `own-${idOf(values.name)}`,
              decision: id,
              name: values.name.trim(),
              size,
              perPack,
            },
          },
        };
      }}
      does="Try it and take it"
      onDone={onClose}
      onClose={onClose}
    >
      {({ shape }) => (
        <>
          <Form.Item name="name" label="Its name, as the label says it">
            <Input maxLength={60} autoFocus />
          </Form.Item>
          <Form.Item name="pieces" label="Made of">
            <Checkbox.Group className={styles.pieces!}>
              {pieces.map((piece) => (
                <Checkbox key={piece.id} value={piece.id}>
                  {piece.name} <span className="quiet">{pounds(piece.sharePct)} lb</span>
                </Checkbox>
              ))}
            </Checkbox.Group>
          </Form.Item>
          <div className={styles.pair}>
            <Form.Item name="bone" label="Bone">
              <Segmented
                options={[
                  { value: 'out', label: 'out' },
                  { value: 'in', label: 'in' },
                ]}
              />
            </Form.Item>
            <Form.Item name="trim" label="Trimmed">
              <Segmented
                options={[
                  { value: 'untrimmed', label: 'not' },
                  { value: 'usual', label: 'as usual' },
                  { value: 'close', label: 'close' },
                ]}
              />
            </Form.Item>
            <Form.Item name="shape" label="Cut">
              <Segmented options={SHAPES} />
            </Form.Item>
            <Form.Item name="netted" valuePropName="checked" label="Several muscles as one">
              <Checkbox>held together by a net</Checkbox>
            </Form.Item>
            {shape !== 'whole' && (
              <Form.Item name="size" label={`${SIZE_OF_SHAPE[shape].label}, ${SIZE_OF_SHAPE[shape].unit}`}>
                <Input inputMode="decimal" />
              </Form.Item>
            )}
            {shape === 'slices' && (
              <Form.Item name="perPack" label="Pieces to a pack">
                <Input inputMode="numeric" />
              </Form.Item>
            )}
            <Form.Item name="destination" label="It counts as">
              <Select
                options={DESTINATIONS.map((each) => ({ value: each, label: DESTINATION_WORDS[each] }))}
              />
            </Form.Item>
            <Form.Item name="charges" label="Charged for besides">
              <Select
                mode="multiple"
                placeholder="nothing"
                options={charges.map((key) => ({ value: key, label: key.replaceAll('-', ' ') }))}
              />
            </Form.Item>
          </div>
          <p className="quiet">
            Tried on a light, a usual and a heavy side: every pound must be somewhere, once. Sheets that were
            begun keep what they were.
          </p>
        </>
      )}
    </AskDialog>
  );
}
