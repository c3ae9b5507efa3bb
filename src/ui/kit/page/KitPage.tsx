'use client';

import {
  Button,
  Checkbox,
  DatePicker,
  Descriptions,
  Drawer,
  Form,
  Input,
  message as messages,
  Segmented,
  Select,
  Table,
  Tabs,
} from 'antd';
import { useState, type ReactNode } from 'react';
import type { PartOfWhole } from '@/core/order/whole';
import { failure } from '@/core/quantity/result';
import type { Cents } from '@/core/quantity/money';
import type { Weight } from '@/core/quantity/weight';
import { DESTINATIONS, DESTINATION_WORDS } from '@/core/species/types';
import { Amount, Money, Percent } from '../Amount';
import { DestinationMark } from '../DestinationMark';
import { Dialog } from '../Dialog';
import dialogStyles from '../Dialog.module.css';
import { KEYS, SCOPE_WORDS, type Key, type Scope } from '../keys/keys';
import { Note } from '../Note';
import { Coming, Failed, Nothing, Old, SetAside } from '../States';
import { DESK, DESTINATION_COLOURS } from '../tokens';
import { WholeBar } from '../WholeBar';
import { WorkingOf } from '../WorkingOf';
import styles from './KitPage.module.css';

const part = (
  key: string,
  units: number,
  destination: PartOfWhole['destination'],
  open = false,
): PartOfWhole => ({
  key,
  label: key,
  weight: Math.round(units * 1000) as Weight,
  destination,
  open,
});

const PARTS = [
  part('steaks, chops', 9.53, 'steaks'),
  part('roasts', 10.58, 'roasts'),
  part('grind', 10.45, 'grind'),
  part('cured and smoked', 27.75, 'cured'),
  part('ribs, bones', 11, 'bones'),
  part('offal, fat kept', 1.2, 'offal'),
  part('bone', 3.04, 'lost'),
  part('fat', 8.46, 'lost'),
  part('still on the block', 6.09, 'lost', true),
];

const WORKING = {
  title: 'Take-home',
  formula: 'packed weight of all lines, added up',
  inputs: [
    { label: 'Loin chops', value: '6.92 lb' },
    { label: 'Butt roast', value: '7.44 lb' },
  ],
  source: 'This sheet, as it stands.',
};

const TYPED = { name: 'Ysolde Marrack', choice: 'hog', deposit: 'fifty', method: 'card', house: true };

const ROWS = [
  { key: 1, cut: 'Loin chops', packs: 9, net: 6_920 as Weight },
  { key: 2, cut: 'Butt roast', packs: 2, net: 7_440 as Weight },
];

/** Every piece of the kit in every state, to be looked at after a change. */
export function KitPage() {
  return (
    <div className={styles.page}>
      <h1>The kit</h1>
      <Colours />
      <Figures />
      <Fields />
      <Asking />
      <States />
      <Lists />
      <Keys />
    </div>
  );
}

function Piece({ title, children }: { title: string; children: ReactNode }) {
  return (
    <section className={styles.piece} aria-label={title}>
      <h2>{title}</h2>
      {children}
    </section>
  );
}

function Colours() {
  return (
    <Piece title="Colours and marks">
      <ul className={styles.colours}>
        {Object.entries({ ...DESK, ...DESTINATION_COLOURS }).map(([name, colour]) => (
          <li key={name}>
            <i style={{ background: colour }} /> {name}
          </li>
        ))}
      </ul>
      <p>
        {DESTINATIONS.map((destination) => (
          <span key={destination} className={styles.mark}>
            <DestinationMark destination={destination} /> {DESTINATION_WORDS[destination]}
          </span>
        ))}
      </p>
    </Piece>
  );
}

function Figures() {
  return (
    <Piece title="Figures">
      <p className={styles.figures}>
        <span>
          <Amount weight={88_100 as Weight} unit="lb" />
        </span>
        <span>
          <Amount weight={39_962 as Weight} unit="kg" />
        </span>
        <span>
          <Percent value={1.6} />
        </span>
        <span>
          <Money cents={15_457 as Cents} sign="$" />
        </span>
        <span>
          <Money cents={-885 as Cents} sign="$" signed />
        </span>
        <span>
          <WorkingOf working={WORKING}>
            <Amount weight={69_310 as Weight} unit="lb" />
          </WorkingOf>
        </span>
      </p>
      <WholeBar parts={PARTS} unit="lb" label="A whole weight" />
    </Piece>
  );
}

function Fields() {
  return (
    <Piece title="Fields and buttons">
      <Form layout="vertical" requiredMark={false} className={styles.fields!} initialValues={TYPED}>
        <Form.Item name="name" label="A name">
          <Input />
        </Form.Item>
        <Form.Item name="day" label="A day">
          <DatePicker format="YYYY-MM-DD" placeholder="year-month-day" style={{ width: '100%' }} />
        </Form.Item>
        <Form.Item name="choice" label="A choice">
          <Select options={[{ value: 'hog', label: 'Hog' }]} />
        </Form.Item>
        <Form.Item name="deposit" label="A deposit" validateStatus="error" help="“fifty” is not a number.">
          <Input />
        </Form.Item>
        <Form.Item name="method" label="One of a few">
          <Segmented aria-label="One of a few" options={['card', 'cash', 'transfer']} />
        </Form.Item>
        <Form.Item name="house" label="Yes or no" valuePropName="checked">
          <Checkbox>start from the house sheet</Checkbox>
        </Form.Item>
      </Form>
      <p className={styles.row}>
        <Button type="primary">Close the balance</Button>
        <Button>Print</Button>
        <Button type="primary" loading>
          Writing
        </Button>
        <Button disabled>Not yet</Button>
        <Button type="link">say why</Button>
      </p>
    </Piece>
  );
}

function Asking() {
  const [open, setOpen] = useState<'dialog' | 'drawer' | null>(null);
  const [message, holder] = messages.useMessage();
  const close = () => setOpen(null);
  return (
    <Piece title="Asking, and being refused">
      {holder}
      <p className={styles.row}>
        <Button onClick={() => setOpen('dialog')}>A dialog</Button>
        <Button onClick={() => setOpen('drawer')}>A drawer</Button>
        <Button onClick={() => void message.success('H118 is booked.')}>A message</Button>
      </p>
      <Note failure={failure('still-due', 'Bacon is neither packed nor explained. Weigh it, or say why.')} />
      <Note failure={failure('unusual', '9.00 lb for a pack of 1.30 to 2.16 lb.')} />
      {open === 'dialog' && (
        <Dialog
          title="Loin chops: say why"
          onClose={close}
          footer={
            <div className={dialogStyles.foot}>
              <Button onClick={close}>Back</Button>
              <Button type="primary" data-main onClick={close}>
                Write it down
              </Button>
            </div>
          }
        >
          <Input aria-label="Why" />
        </Dialog>
      )}
      <Drawer title="A drawer" open={open === 'drawer'} onClose={close}>
        What belongs beside the page, and not over it.
      </Drawer>
    </Piece>
  );
}

function States() {
  return (
    <Piece title="States">
      <Nothing>Nothing is booked. Fill in the form, or read an order file.</Nothing>
      <Coming words="Loading the sheet of Ysolde Marrack" rows={3} />
      <Failed words="The catalogue did not come. What was saved is safe." onAgain={() => undefined} />
      <SetAside words="The order of Ysolde Marrack cannot be worked out." />
      <Old words="The network is away. What is shown may be old; what you type stays here." />
    </Piece>
  );
}

function Lists() {
  return (
    <Piece title="Lists">
      <Table
        size="small"
        pagination={false}
        dataSource={ROWS}
        columns={[
          { title: 'cut', dataIndex: 'cut' },
          { title: 'packs', dataIndex: 'packs', align: 'right' },
          {
            title: 'packed',
            dataIndex: 'net',
            align: 'right',
            render: (net: Weight) => <Amount weight={net} unit="lb" />,
          },
        ]}
      />
      <Tabs
        items={[
          {
            key: 'facts',
            label: 'Facts',
            children: (
              <Descriptions
                size="small"
                column={3}
                items={[
                  { key: 'tag', label: 'tag', children: 'H113' },
                  { key: 'farm', label: 'farm', children: 'Saltgate' },
                  { key: 'hung', label: 'hung', children: '2 days' },
                ]}
              />
            ),
          },
          { key: 'history', label: 'History', children: <Nothing>Nothing was corrected.</Nothing> },
        ]}
      />
    </Piece>
  );
}

function Keys() {
  return (
    <Piece title="Keys">
      <div className={styles.fields}>
        {(Object.keys(KEYS) as Scope[]).map((scope) => (
          <table key={scope}>
            <caption>{SCOPE_WORDS[scope]}</caption>
            <tbody>
              {Object.values<Key>(KEYS[scope]).map(({ shown, does }) => (
                <tr key={shown}>
                  <td>
                    <kbd>{shown}</kbd>
                  </td>
                  <td>{does}</td>
                </tr>
              ))}
            </tbody>
          </table>
        ))}
      </div>
    </Piece>
  );
}
