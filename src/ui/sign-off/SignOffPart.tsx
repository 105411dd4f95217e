'use client';
import { useId, useState, type FormEvent } from 'react';
import { Button, Form } from 'react-bootstrap';
import { Making } from '../parts/Making';
import { useWorkbench } from '../state/context';
import { isAllSaved } from '../state/once-saved';
import { keepName, keptName } from '../state/kept-name';
import { SignOffList } from './SignOffList';
import { SinceView } from './SinceView';
import { useSignOffs } from './useSignOffs';

interface FormProps {
  onSign: (by: string, why: string) => Promise<boolean>;
  isBusy: boolean;
}

/** Who signs off what is saved now, and why. */
function SignForm({ onSign, isBusy }: FormProps) {
  const revision = useWorkbench((s) => s.revision);
  const isSaved = useWorkbench(isAllSaved);
  const [by, setBy] = useState(keptName);
  const [why, setWhy] = useState('');
  const label = useId();
  const submit = (event: FormEvent) => {
    event.preventDefault();
    keepName(by.trim());
    onSign(by.trim(), why.trim()).then(
      (signed) => signed && setWhy(''),
      () => {},
    );
  };
  return (
    <Form className="sign-form" onSubmit={submit} aria-labelledby={label}>
      <span id={label} className="visually-hidden">
        Sign off
      </span>
      <label>
        <span className="quiet">Your name</span>
        <Form.Control size="sm" maxLength={80} value={by} onChange={(e) => setBy(e.target.value)} />
      </label>
      <label className="sign-why">
        <span className="quiet">What for, or why as it is</span>
        <Form.Control size="sm" maxLength={400} value={why} onChange={(e) => setWhy(e.target.value)} />
      </label>
      <Button type="submit" variant="primary" size="sm" disabled={isBusy || !isSaved || by.trim() === ''}>
        Sign off revision {revision}
      </Button>
    </Form>
  );
}

/** Who has signed the project off, and what has become of it since. */
export function SignOffPart() {
  const { list, job, sign, callOff } = useSignOffs();
  const since = useWorkbench((s) => s.view.since);
  const isThere = list?.some((s) => s.id === since && 'signOff' in s) ?? false;
  return (
    <section aria-labelledby="sign-off">
      <header className="ship-head">
        <h2 id="sign-off">Sign-off</h2>
        <span className="quiet">freezes everything as it is now, to be compared with later</span>
      </header>
      <SignForm onSign={sign} isBusy={job !== null} />
      {job && <Making what="The sign-off" progress={job.progress} callOff={callOff} />}
      {list && <SignOffList list={list} />}
      {since !== undefined && isThere && <SinceView key={since} signOff={since} />}
    </section>
  );
}
