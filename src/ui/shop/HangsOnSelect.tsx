'use client';

import { Select } from 'antd';
import { useEffect, useState } from 'react';
import { keyWords } from '@/core/charges/keys';
import type { HangsOn } from '@/server/shop';
import { act } from '../kit/act';

type Props = {
  /** Work that can be charged for: what is offered before anything is typed. */
  work: readonly string[];
  value?: string;
  onChange?: (key: string) => void;
};

/** What raises a charge: every order, work, a very cut, a recipe; found by any letters. */
export function HangsOnSelect({ work, value = '', onChange }: Props) {
  const [typed, setTyped] = useState('');
  const [found, setFound] = useState<{ words: string; keys: readonly HangsOn[] }>({ words: '', keys: [] });
  useEffect(() => {
    if (typed.trim() === '') return;
    let stale = false;
    void act('hangsOnView', { words: typed }).then(
      (answer) => !stale && answer.ok && setFound({ words: typed, keys: answer.value }),
    );
    return () => {
      stale = true;
    };
  }, [typed]);
  const offered =
    typed.trim() === ''
      ? [...new Set([...work, ...(value ? [value] : [])])].map((key) => ({ key, words: keyWords(key) }))
      : found.keys;
  return (
    <Select
      showSearch={{ filterOption: false, onSearch: setTyped }}
      value={value}
      {...(onChange ? { onChange } : {})}
      options={[
        { value: '', label: 'every order' },
        ...offered.map(({ key, words }) => ({ value: key, label: words })),
      ]}
    />
  );
}
