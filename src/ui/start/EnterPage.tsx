'use client';
import { useRouter } from 'next/navigation';
import { useState, type FormEvent } from 'react';
import { Button, Form } from 'react-bootstrap';
import { request, RequestProblem } from '../api';

/** The door of a server that is reached from elsewhere. */
export function EnterPage() {
  const router = useRouter();
  const [passphrase, setPassphrase] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const enter = async (event: FormEvent) => {
    event.preventDefault();
    setBusy(true);
    try {
      await request('POST', '/api/session', { passphrase });
      router.replace('/');
      router.refresh();
    } catch (error) {
      if (!(error instanceof RequestProblem)) throw error;
      setProblem(error.message);
      setBusy(false);
    }
  };
  return (
    <main className="start" id="main">
      <h1>Coulee</h1>
      <Form className="new-project" onSubmit={(e) => void enter(e)}>
        <Form.Control
          type="password"
          aria-label="Passphrase"
          placeholder="passphrase of this server"
          autoComplete="current-password"
          value={passphrase}
          onChange={(e) => setPassphrase(e.target.value)}
        />
        <Button type="submit" variant="primary" disabled={busy || passphrase === ''}>
          Enter
        </Button>
      </Form>
      {problem && (
        <p className="problem" role="alert">
          {problem}
        </p>
      )}
    </main>
  );
}
