'use client';

import { Button, Form, Input } from 'antd';
import { useState } from 'react';
import { formatWeight, parseWeight, type Weight, type WeighingUnit } from '@/core/quantity/weight';
import type { Failure } from '@/core/quantity/result';
import type { SignedReading } from '@/core/scale/reading';
import { Dialog } from '../kit/Dialog';
import { Note } from '../kit/Note';
import { useScale } from '../wrap/useScale';
import { whyNoReading } from '../wrap/whyNotTaken';
import styles from './SmokeScreen.module.css';

/** What a scale says, or a weight typed while it is away. */
export type Weighed =
  | { readonly reading: SignedReading }
  | { readonly typed: { readonly gross: number; readonly tare: number; readonly why: string } };

type Props = {
  title: string;
  unit: WeighingUnit;
  /** What a weight would mean, said before it is taken: `12.0 % pumped, 177 ppm of 200`. */
  about: (net: Weight) => { readonly words: string; readonly isBad: boolean };
  busy: boolean;
  refusal: Failure<string> | null;
  onTake: (weighed: Weighed) => void;
  onClose: () => void;
};

/** Weighs a piece on the bench scale, and says before it is taken what that means. */
export function WeighDialog({ title, unit, about, busy, refusal, onTake, onClose }: Props) {
  const scale = useScale('scale');
  const [isTyped, setTyped] = useState(false);
  const [problem, setProblem] = useState('');
  const net = (scale.reading?.net ?? 0) as Weight;
  const why = whyNoReading(scale.reading);
  const meaning = about(net);
  function send(said: { weight?: string; why?: string }) {
    // What is not steady is refused by the words beside the figure, which say what is wrong.
    if (!isTyped) return scale.reading && why === undefined ? onTake({ reading: scale.reading }) : undefined;
    const gross = parseWeight(said.weight ?? '', unit);
    if (!gross.ok) return setProblem(gross.message);
    setProblem('');
    return onTake({ typed: { gross: gross.value, tare: 0, why: said.why ?? '' } });
  }
  return (
    <Dialog
      title={title}
      onClose={onClose}
      around={(dialog) => (
        <Form layout="vertical" disabled={busy} requiredMark={false} onFinish={send}>
          {dialog}
        </Form>
      )}
      footer={
        <div className={styles.foot}>
          <Button onClick={() => setTyped(!isTyped)}>{isTyped ? 'From the scale' : 'Type it'}</Button>
          <Button type="primary" htmlType="submit" loading={busy} data-main>
            Take it
          </Button>
        </div>
      }
    >
      {isTyped ? (
        <>
          <Form.Item
            name="weight"
            label={`Net, ${unit}`}
            {...(problem ? { validateStatus: 'error' as const, help: problem } : {})}
          >
            <Input inputMode="decimal" autoComplete="off" maxLength={9} autoFocus />
          </Form.Item>
          <Form.Item name="why" label="Why it is typed" rules={[{ required: true, message: 'Say why.' }]}>
            <Input maxLength={200} autoComplete="off" placeholder="The scale is away" />
          </Form.Item>
        </>
      ) : (
        <>
          <p className={styles.figure}>
            {scale.away ? '–' : formatWeight(net, unit)} <small>{unit}</small>
          </p>
          <p className="quiet" role="status">
            {scale.away ? 'The scale is away: type the weight.' : (why ?? 'It stands still.')}
          </p>
          {why === undefined && <p className={meaning.isBad ? 'alarm' : undefined}>{meaning.words}</p>}
        </>
      )}
      <Note failure={refusal} />
    </Dialog>
  );
}
