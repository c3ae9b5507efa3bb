'use client';

import { startTransition, useEffect, useState } from 'react';
import { afterPaint } from './afterPaint';

/**
 * A value as it was, until what it is now has been painted where it is drawn at once. What is drawn from it follows in
 * the frames after, and never holds up the first: a deferred value of React's own would be worked on before the frame.
 */
export function useSettled<Value>(value: Value): Value {
  const [settled, setSettled] = useState(value);
  useEffect(() => afterPaint(() => startTransition(() => setSettled(value))), [value]);
  return settled;
}
