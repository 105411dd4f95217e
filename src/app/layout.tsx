import type { Metadata } from 'next';
import localFont from 'next/font/local';
import { cookies } from 'next/headers';
import type { ReactNode } from 'react';
import { SessionDialog } from '@/ui/start/SessionDialog';
import { readTheme, THEME_COOKIE } from '@/ui/theme/theme';
import '@fontsource-variable/archivo/wdth.css';
import '@/ui/theme/theme.scss';

/** The letters that nearly every page is written in: asked for with the page itself, so that no line moves when they come. */
const letters = localFont({
  src: '../../node_modules/@fontsource-variable/archivo/files/archivo-latin-wdth-normal.woff2',
  weight: '100 900',
  declarations: [{ prop: 'font-stretch', value: '62% 125%' }],
  variable: '--letters',
  adjustFontFallback: false,
});

export const metadata: Metadata = {
  description: 'How splash logos and backgrounds sit on every screen',
};

// The nonce of the Content-Security-Policy is made for each request.
export const dynamic = 'force-dynamic';

export default async function RootLayout({ children }: { children: ReactNode }) {
  const theme = readTheme((await cookies()).get(THEME_COOKIE)?.value);
  return (
    <html lang="en" className={letters.variable} data-theme={theme === 'system' ? undefined : theme}>
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
