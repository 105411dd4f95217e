import type { Metadata } from 'next';
import type { ReactNode } from 'react';
import '@fontsource-variable/archivo/wdth.css';
import '@/ui/theme/theme.scss';

export const metadata: Metadata = {
  title: 'Coulee',
  description: 'How splash logos and backgrounds sit on every screen',
};

// The nonce of the Content-Security-Policy is made for each request.
export const dynamic = 'force-dynamic';

export default function RootLayout({ children }: { children: ReactNode }) {
  return (
    <html lang="en">
      <body>{children}</body>
    </html>
  );
}
