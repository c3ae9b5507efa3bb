'use client';

import { Button, Form, Input, Select } from 'antd';
import { useState } from 'react';
import type { PieceAtSmoke, SmokeView } from '@/server/smoke';
import { Dialog } from '../kit/Dialog';
import { Note } from '../kit/Note';
import { useAsk } from '../kit/useAsk';
import styles from './SmokeScreen.module.css';
import { shortLot } from './words';

type Props = {
  piece: PieceAtSmoke;
  view: SmokeView;
  onHung: (loadId: string) => void;
  onClose: () => void;
};

/** Hangs a piece in a load that is not lit, or begins one by a plan of the shop. */
export function LoadDialog({ piece, view, onHung, onClose }: Props) {
  const open = view.loads.filter(({ standing }) => !standing.lit);
  const plans = view.plans.filter(
    (plan) => (!piece.isGround || plan.ground) && (piece.hasNitrite || !plan.curedOnly),
  );
  const begin = useAsk('beginLoad');
  const hang = useAsk('doLoad');
  const [form] = Form.useForm<{ where: string; trolley: string }>();
  const [where] = useState(() => open[0]?.id ?? plans[0]?.id ?? '');
  async function send({ where: said, trolley }: { where: string; trolley: string }) {
    const isOpen = open.some(({ id }) => id === said);
    const begun = isOpen ? { ok: true as const, value: { id: said } } : await begin.ask({ planId: said });
    if (!begun.ok) return;
    const loadId = begun.value.id;
    const answer = await hang.ask({
      loadId,
      said: { kind: 'in', shareId: piece.shareId, weighingId: piece.id, trolley: trolley.trim() },
    });
    if (answer.ok) onHung(loadId);
    // The load is there now: what was refused is asked of it again, and no second one is begun.
    else if (!isOpen) form.setFieldValue('where', loadId);
  }
  const busy = begin.busy || hang.busy;
  return (
    <Dialog
      title={`${piece.name}, ${piece.cut.toLowerCase()}: into which load?`}
      onClose={onClose}
      around={(dialog) => (
        <Form
          form={form}
          layout="vertical"
          requiredMark={false}
          disabled={busy}
          initialValues={{ where, trolley: '' }}
          onFinish={(said) => void send(said)}
        >
          {dialog}
        </Form>
      )}
      footer={
        <div className={styles.foot}>
          <Button onClick={onClose}>Back</Button>
          <Button type="primary" htmlType="submit" loading={busy} data-main>
            Hang it
          </Button>
        </div>
      }
    >
      <Form.Item name="where" label="Load">
        <Select
          options={[
            ...open.map(({ id, lot, plan, standing }) => ({
              value: id,
              label: `load ${shortLot(lot)}, ${plan.name.toLowerCase()}, ${standing.pieces.length} in it`,
            })),
            ...plans.map(({ id, name }) => ({ value: id, label: `a new load: ${name.toLowerCase()}` })),
          ]}
        />
      </Form.Item>
      <Form.Item name="trolley" label="Trolley or stick, if there are several">
        <Input maxLength={20} autoComplete="off" />
      </Form.Item>
      <Note failure={hang.refusal ?? begin.refusal} />
    </Dialog>
  );
}
