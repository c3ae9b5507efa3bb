'use client';

import { useState, type ReactElement, type ReactNode } from 'react';
import { onDemand } from './onDemand';

const OpenPopover = onDemand(() => import('./OpenPopover').then((module) => module.OpenPopover));

type Props = {
  title?: ReactNode;
  /** Made when it is opened, and not before. */
  content: (close: () => void) => ReactNode;
  placement?: 'leftTop' | 'bottomLeft' | 'top';
  /** The button, given what it needs to open; open, the popover closes it. */
  children: (opening: { onClick?: () => void; autoFocus: boolean }) => ReactElement;
};

/** Something small that opens beside a button. Neither its content nor the popover itself is made before. */
export function Opens({ title, content, placement = 'leftTop', children }: Props) {
  const [open, setOpen] = useState(false);
  const close = () => setOpen(false);
  const button = children(open ? { autoFocus: true } : { onClick: () => setOpen(true), autoFocus: false });
  if (!open) return button;
  return (
    <OpenPopover title={title} content={content(close)} placement={placement} onClose={close}>
      {button}
    </OpenPopover>
  );
}
