'use client';

import { Alert } from 'antd';
import type { Failure } from '@/core/quantity/result';
import { onFields } from './asking';

/** Why the house refused, where no field says it. What is out of the ordinary is a question, not a fault. */
export function Note({
  failure,
  fields = [],
}: {
  failure: Failure<string> | null;
  /** Fields that say themselves what is wrong with them. */
  fields?: readonly string[];
}) {
  const words = failure ? onFields(failure, fields).beside : '';
  return (
    <div role="alert">
      {words !== '' && (
        <Alert type={failure?.reason === 'unusual' ? 'warning' : 'error'} title={words} role="none" />
      )}
    </div>
  );
}
