'use client';

import { Form, Input } from 'antd';
import type { UseCaseName } from '@/server/useCases';
import { AskDialog } from '../kit/AskDialog';
import type { Question } from '../kit/useAsk';

type Props<Name extends UseCaseName> = {
  title: string;
  label: string;
  does: string;
  asks: Name;
  question: (words: string) => Question<Name>;
  onClose: () => void;
};

/** One line of words, and what is done with them: held, released, noted, moved. */
export function ReasonDialog<Name extends UseCaseName>(props: Props<Name>) {
  const { title, label, does, asks, question, onClose } = props;
  return (
    <AskDialog
      title={title}
      asks={asks}
      does={does}
      initial={{ said: '' }}
      question={({ said }) =>
        said.trim() === '' ? { field: 'said', message: 'Say it in a few words.' } : question(said.trim())
      }
      onDone={onClose}
      onClose={onClose}
    >
      <Form.Item name="said" label={label}>
        <Input maxLength={200} autoComplete="off" />
      </Form.Item>
    </AskDialog>
  );
}
