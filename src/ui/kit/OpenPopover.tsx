'use client';

import { Popover } from 'antd';
import type { ReactNode } from 'react';

type Props = {
  title: ReactNode;
  content: ReactNode;
  placement: 'leftTop' | 'bottomLeft' | 'top';
  onClose: () => void;
  children: ReactNode;
};

/** A popover that stands open. Loaded when the first one is opened. */
export function OpenPopover({ title, content, placement, onClose, children }: Props) {
  return (
    <Popover
      open
      onOpenChange={(open) => !open && onClose()}
      trigger="click"
      content={content}
      title={title}
      placement={placement}
    >
      {children}
    </Popover>
  );
}
