'use client';

import { Button, Form, Input, Select } from 'antd';
import { useState } from 'react';
import { counted } from '@/core/quantity/counted';
import { LEVELS, LEVEL_WORDS } from '@/core/block/levels';
import type { ListedStaff } from '@/server/people';
import { AskDialog } from '../kit/AskDialog';
import { useLive } from '../kit/live/useLive';
import { Note } from '../kit/Note';
import { useAsk } from '../kit/useAsk';
import styles from './PeopleScreen.module.css';
import { ShopHeading } from './ShopHeading';

type Role = ListedStaff['role'];

const ROLE_WORDS: Readonly<Record<Role, string>> = {
  owner: 'owner: everything',
  counter: 'counter: booking, sheets, bills',
  cutter: 'cutter: rail and block',
  wrapper: 'wrapper: wrap table',
  smoker: 'smoker: cures and smokehouse',
};

const ROLE_OPTIONS = Object.entries(ROLE_WORDS).map(([value, label]) => ({ value: value as Role, label }));

const LEVEL_OPTIONS = LEVELS.map((level) => ({ value: level, label: LEVEL_WORDS[level] }));

const STATE_WORDS = { here: 'works here', rests: 'rests', left: 'has left' } as const;

/** Who works in the shop: what they may do, how they come in, and who rests or has left. */
export function PeopleScreen({ staff: first }: { staff: readonly ListedStaff[] }) {
  const { value: staff } = useLive('staffView', {}, first);
  const [opened, setOpened] = useState<'new' | ListedStaff>();
  const close = () => setOpened(undefined);
  return (
    <div>
      <ShopHeading>
        <Button type="primary" onClick={() => setOpened('new')}>
          Take somebody on
        </Button>
      </ShopHeading>
      <table className={styles.staff}>
        <thead>
          <tr>
            <th>who</th>
            <th>may do</th>
            <th>at the block</th>
            <th>stands</th>
            <th>signed in</th>
            <th />
          </tr>
        </thead>
        <tbody>
          {staff.map((member) => (
            <Member key={member.id} member={member} onSecret={() => setOpened(member)} />
          ))}
        </tbody>
      </table>
      {opened === 'new' && (
        <AskDialog
          title="Take somebody on"
          asks="takeOn"
          initial={{ name: '', role: 'cutter' as Role, secret: '' }}
          question={(values) => values}
          does="Take them on"
          onDone={close}
          onClose={close}
        >
          <Form.Item name="name" label="Name, as labels and records will say it">
            <Input maxLength={60} autoComplete="off" />
          </Form.Item>
          <Form.Item name="role" label="What they do">
            <Select options={ROLE_OPTIONS} />
          </Form.Item>
          <Form.Item name="secret" label="A secret to begin with, ten signs or more">
            <Input.Password maxLength={200} autoComplete="new-password" />
          </Form.Item>
        </AskDialog>
      )}
      {opened !== undefined && opened !== 'new' && (
        <AskDialog
          title={`Another secret for ${opened.name}`}
          asks="changeSecret"
          initial={{ secret: '' }}
          question={({ secret }) => ({ personId: opened.id, secret })}
          does="Change it and sign them out"
          onDone={close}
          onClose={close}
        >
          <Form.Item name="secret" label="The new secret, ten signs or more">
            <Input.Password maxLength={200} autoComplete="new-password" />
          </Form.Item>
        </AskDialog>
      )}
    </div>
  );
}

function Member({ member, onSecret }: { member: ListedStaff; onSecret: () => void }) {
  const { id: personId, name, role, state, sessions, isOneself, level } = member;
  const given = useAsk('changeRole');
  const stand = useAsk('changeStanding');
  const learnt = useAsk('giveLevel');
  const busy = given.busy || stand.busy || learnt.busy;
  const change = (next: ListedStaff['state'], words: string) => (
    <Button
      size="small"
      disabled={busy || isOneself}
      onClick={() => void stand.ask({ personId, state: next })}
    >
      {words}
    </Button>
  );
  return (
    <tr className={state === 'here' ? undefined : styles.away}>
      <td>
        <b>{name}</b> {isOneself && <span className="quiet">you</span>}
      </td>
      <td>
        <Select
          size="small"
          aria-label={`What ${name} does`}
          value={role}
          disabled={busy || isOneself || state === 'left'}
          popupMatchSelectWidth={false}
          onChange={(next) => void given.ask({ personId, role: next })}
          options={ROLE_OPTIONS}
        />
      </td>
      <td>
        {role === 'cutter' && (
          <Select
            size="small"
            aria-label={`How far ${name} has come at the block`}
            value={level}
            disabled={busy || state === 'left'}
            popupMatchSelectWidth={false}
            onChange={(next) => void learnt.ask({ personId, level: next })}
            options={LEVEL_OPTIONS}
          />
        )}
      </td>
      <td>{STATE_WORDS[state]}</td>
      <td className="quiet">{sessions > 0 ? counted(sessions, 'device') : ''}</td>
      <td className={styles.does}>
        {state === 'here' ? (
          <>
            <Button size="small" onClick={onSecret}>
              Another secret
            </Button>
            {change('rests', 'Rests')}
            {change('left', 'Has left')}
          </>
        ) : (
          change('here', 'Is back')
        )}
        <Note failure={given.refusal ?? stand.refusal ?? learnt.refusal} />
      </td>
    </tr>
  );
}
