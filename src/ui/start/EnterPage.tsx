'use client';
import { useRouter } from 'next/navigation';
import { PageTitle } from '../parts/PageTitle';
import { PassphraseForm } from './PassphraseForm';

/** The door of a server that is reached from elsewhere. @param to the page that was asked for */
export function EnterPage({ to }: { to: string }) {
  const router = useRouter();
  return (
    <main className="start" id="main">
      <PageTitle />
      <h1>Coulee</h1>
      <p className="quiet lead-in">This server can be reached by others, so it asks for its passphrase.</p>
      <PassphraseForm
        onEntered={() => {
          router.replace(to);
          router.refresh();
        }}
      />
    </main>
  );
}
