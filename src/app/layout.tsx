import { AntdRegistry } from '@ant-design/nextjs-registry';
import type { Metadata, Viewport } from 'next';
import type { ReactNode } from 'react';
import '@fontsource-variable/archivo/wdth.css';
import 'antd/dist/antd.css';
import '@/ui/kit/globals.css';
import { Providers } from '@/ui/kit/Providers';
import { tokenStyles } from '@/ui/kit/tokens';

export const metadata: Metadata = {
  title: 'Fractum',
  description: 'From the rail to the boxes to the bill.',
};
export const viewport: Viewport = { width: 'device-width', initialScale: 1 };

/** Every page reads the session and the database; none is frozen at build time. */
export const dynamic = 'force-dynamic';

export default function RootLayout({ children }: { children: ReactNode }) {
  return (
    <html lang="en">
      <head>
        <style>{tokenStyles()}</style>
        <meta name="fractum-read" content={new Date().toISOString()} />
      </head>
      <body>
        <AntdRegistry>
          <Providers>{children}</Providers>
        </AntdRegistry>
      </body>
    </html>
  );
}
