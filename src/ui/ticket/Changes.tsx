'use client';

import { partName } from '@/core/order/naming';
import { DatePicker, Form, Input, Segmented, Select } from 'antd';
import dayjs, { type Dayjs } from 'dayjs';
import { useRouter } from 'next/navigation';
import type { Facts } from '@/core/order/changes';
import { formatMoney } from '@/core/quantity/money';
import type { OfficeBlocks, TicketView } from '@/server/ticket';
import { AskDialog } from '../kit/AskDialog';
import styles from './TicketScreen.module.css';

type Props = { view: TicketView; office: OfficeBlocks; onClose: () => void };
type Typed = { facts: Omit<Facts, 'killDate'> & { killDate: Dayjs | null }; reason: string };

function Text({ name, label, tel = false }: { name: keyof Facts; label: string; tel?: boolean }) {
  return (
    <Form.Item name={['facts', name]} label={label}>
      <Input autoComplete="off" {...(tel ? { inputMode: 'tel' as const } : {})} />
    </Form.Item>
  );
}

/** Puts right what was booked wrongly; what stood there stays in the history, with the reason. */
export function CorrectDialog({ view, office: { facts }, onClose }: Props) {
  return (
    <AskDialog
      title={`Correct what was booked of ${view.name}`}
      asks="correctFacts"
      does="Put it right"
      width={680}
      initial={{ facts: { ...facts, killDate: dayjs(facts.killDate) }, reason: '' } as Typed}
      question={({ facts: typed, reason }) => ({
        shareId: view.shareId,
        facts: { ...typed, killDate: typed.killDate?.format('YYYY-MM-DD') ?? '' },
        reason: reason.trim(),
      })}
      onDone={onClose}
      onClose={onClose}
    >
      <div className={styles.fields}>
        <Text name="ownerName" label="Who eats it" />
        <Text name="ownerPhone" label="Phone" tel />
        <Text name="payerName" label="Who pays; empty for the same" />
        <Text name="payerPhone" label="Phone" tel />
        <Text name="contactName" label="Whom to call; empty for the same" />
        <Text name="contactPhone" label="Phone" tel />
        <Text name="farmName" label="Farm" />
        <Text name="farmPhone" label="Phone" tel />
        <Text name="tag" label="Tag" />
        <Text name="sex" label="Sex" />
        <Form.Item name={['facts', 'killDate']} label="Kill day">
          <DatePicker format="YYYY-MM-DD" style={{ width: '100%' }} />
        </Form.Item>
      </div>
      <Form.Item name="reason" label="Why it is put right">
        <Input maxLength={200} autoComplete="off" />
      </Form.Item>
    </AskDialog>
  );
}

/** Calls an order off before anything is cut. */
export function CancelDialog({ view, office: { money }, onClose }: Props) {
  return (
    <AskDialog
      title={`Call off the order of ${view.name}`}
      asks="cancelOrder"
      does="Call it off"
      initial={{ reason: '', deposit: undefined as 'cash' | 'card' | 'transfer' | 'kept' | undefined }}
      question={({ reason, deposit }) => ({
        shareId: view.shareId,
        reason: reason.trim(),
        ...(deposit ? { deposit } : {}),
      })}
      onDone={onClose}
      onClose={onClose}
    >
      <p>Its part of the animal is free again and can be sold. The order stays in the book as called off.</p>
      <Form.Item name="reason" label="Why">
        <Input maxLength={200} autoComplete="off" />
      </Form.Item>
      {money.deposit > 0 && (
        <Form.Item name="deposit" label={`The deposit of ${formatMoney(money.deposit, money.sign)}`}>
          <Segmented
            options={[
              { value: 'cash', label: 'back in cash' },
              { value: 'card', label: 'back on the card' },
              { value: 'transfer', label: 'back by transfer' },
              { value: 'kept', label: 'kept' },
            ]}
          />
        </Form.Item>
      )}
    </AskDialog>
  );
}

/** Sells a part of the animal that nobody has. */
export function SellDialog({ view, onClose }: Omit<Props, 'office'>) {
  const router = useRouter();
  const bothSides =
    view.unsold.filter(({ part, sharePct }) => sharePct === 100 && !part.includes('-')).length === 2;
  const parts = [...(bothSides ? [{ part: 'whole' as const, sharePct: 100 }] : []), ...view.unsold];
  return (
    <AskDialog
      title="Sell what nobody has yet"
      asks="sellPart"
      does="Sell it"
      initial={{ part: 0, owner: { name: '', phone: '' }, deposit: '', house: 'house' }}
      question={({ part, owner, deposit, house }) => {
        const paid = deposit.trim() === '' ? 0 : Number(deposit);
        if (!Number.isFinite(paid))
          return { field: 'deposit', message: `"${deposit}" is not an amount of money.` };
        const phone = owner.phone.trim();
        return {
          animalId: view.animalId,
          ...parts[part]!,
          owner: { name: owner.name.trim(), ...(phone ? { phone } : {}) },
          deposit: paid,
          house: house === 'house',
        };
      }}
      onDone={({ shareId }) => {
        onClose();
        router.push(`/ticket/${shareId}`);
      }}
      onClose={onClose}
    >
      <div className={styles.fields}>
        <Form.Item name={['owner', 'name']} label="Household that eats it">
          <Input autoComplete="off" />
        </Form.Item>
        <Form.Item name={['owner', 'phone']} label="Phone">
          <Input inputMode="tel" autoComplete="off" />
        </Form.Item>
        <Form.Item name="part" label="Which part">
          <Select options={parts.map((part, value) => ({ value, label: partName(part) }))} />
        </Form.Item>
        <Form.Item name="deposit" label="Deposit">
          <Input inputMode="decimal" autoComplete="off" />
        </Form.Item>
      </div>
      <Form.Item name="house" label="Its sheet">
        <Segmented
          options={[
            { value: 'house', label: 'starts from the house sheet' },
            { value: 'empty', label: 'starts empty' },
          ]}
        />
      </Form.Item>
    </AskDialog>
  );
}
