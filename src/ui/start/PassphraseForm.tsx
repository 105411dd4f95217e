'use client';
import { useState, type FormEvent } from 'react';
import { Button, Form } from 'react-bootstrap';
import { enter, RequestProblem } from '../api';

/** Asks for the passphrase of the server. */
export function PassphraseForm({ onEntered }: { onEntered: () => void }) {
  const [passphrase, setPassphrase] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const send = async () => {
    setBusy(true);
    try {
      await enter(passphrase);
      onEntered();
    } catch (error) {
      if (!(error instanceof RequestProblem)) throw error;
      setProblem(error.message);
    } finally {
      setBusy(false);
    }
  };
  const submit = (event: FormEvent) => {
    event.preventDefault();
    void send();
  };
  return (
    <>
      <Form className="new-project" onSubmit={submit}>
        <Form.Control
          type="password"
          autoFocus
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
    </>
  );
}
