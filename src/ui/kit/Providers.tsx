'use client';

import { App, ConfigProvider } from 'antd';
import type { ReactNode } from 'react';
import { deskTheme } from './theme';

/** The theme, set once for every screen. */
export function Providers({ children }: { children: ReactNode }) {
  return (
    <ConfigProvider theme={deskTheme}>
      <App component={false}>{children}</App>
    </ConfigProvider>
  );
}
