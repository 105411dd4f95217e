import type { Metadata } from 'next';
import { cookies } from 'next/headers';
import type { ReactNode } from 'react';
import { SessionDialog } from '@/ui/start/SessionDialog';
import { readTheme, THEME_COOKIE } from '@/ui/theme/theme';
import '@fontsource-variable/archivo/wdth.css';
import '@/ui/theme/theme.scss';

export const metadata: Metadata = {
  title: 'Coulee',
  description: 'How splash logos and backgrounds sit on every screen',
};

// The nonce of the Content-Security-Policy is made for each request.
export const dynamic = 'force-dynamic';

export default async function RootLayout({ children }: { children: ReactNode }) {
  const theme = readTheme((await cookies()).get(THEME_COOKIE)?.value);
  return (
    <html lang="en" data-theme={theme === 'system' ? undefined : theme}>
      <body>
        <a className="skip" href="#main">
          Skip to the content
        </a>
        {children}
        <SessionDialog />
      </body>
    </html>
  );
}
