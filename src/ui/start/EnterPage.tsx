'use client';
import { useRouter } from 'next/navigation';
import { PassphraseForm } from './PassphraseForm';

/** The door of a server that is reached from elsewhere. @param to the page that was asked for */
export function EnterPage({ to }: { to: string }) {
  const router = useRouter();
  return (
    <main className="start" id="main">
      <h1>Coulee</h1>
      <PassphraseForm
        onEntered={() => {
          router.replace(to);
          router.refresh();
        }}
      />
    </main>
  );
}
