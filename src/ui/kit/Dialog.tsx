'use client';

import { Modal } from 'antd';
import { useEffect, useState, type ReactNode } from 'react';
import styles from './Dialog.module.css';
import { standOpen } from './keys/scopes';

type Props = {
  title: ReactNode;
  onClose: () => void;
  /** The buttons; none when what is shown closes by itself. */
  footer?: ReactNode;
  width?: number;
  /** Wraps the whole dialog: a form whose main button stands in the footer. */
  around?: (dialog: ReactNode) => ReactNode;
  children: ReactNode;
};

/** Where typing goes when the dialog opens, past lists that are only chosen from; without a field, the button that does it. */
const FIRST = 'input:not([type="radio"]):not([type="checkbox"]):not([type="file"]):not([readonly]), textarea';
const MAIN = '[data-main]';

/** The one dialog: keys of the page rest under it, the hand is where it goes next, and afterwards where it was. */
export function Dialog({ title, onClose, footer = null, width = 480, around, children }: Props) {
  const [before] = useState(() => document.activeElement);
  useEffect(() => {
    const close = standOpen();
    return () => {
      close();
      if (before instanceof HTMLElement && before.isConnected) before.focus();
      else (document.activeElement as HTMLElement | null)?.blur();
    };
  }, [before]);
  return (
    <Modal
      open
      title={title}
      onCancel={onClose}
      footer={footer}
      width={width}
      transitionName=""
      maskTransitionName=""
      className={styles.dialog!}
      getContainer={groundHere}
      afterOpenChange={(open) => open && focusFirst()}
      {...(around ? { modalRender: around } : {})}
    >
      {children}
    </Modal>
  );
}

/** On the floor its dialogs stand on its ground, and are coloured by it. */
function groundHere(): HTMLElement {
  return document.querySelector<HTMLElement>('[data-ground="floor"]') ?? document.body;
}

function topDialog(): Element | undefined {
  return [...document.querySelectorAll(`.${styles.dialog}`)].at(-1);
}

/** To the main button: a refusal that no field can answer is answered by it, or by going back. */
export function focusMain(): void {
  topDialog()?.querySelector<HTMLElement>(MAIN)?.focus();
}

function focusFirst(): void {
  const dialog = topDialog();
  const first = dialog?.querySelector<HTMLElement>(FIRST) ?? dialog?.querySelector<HTMLElement>(MAIN);
  first?.focus();
}
