'use client';

import { ConfigProvider } from 'antd';
import type { ReactNode } from 'react';
import { LiveProvider } from './live/useLive';
import { deskTheme } from './theme';

/** The theme, set once for every screen, and what is live on a page. */
export function Providers({ children }: { children: ReactNode }) {
  return (
    <ConfigProvider theme={deskTheme}>
      <LiveProvider>{children}</LiveProvider>
    </ConfigProvider>
  );
}
