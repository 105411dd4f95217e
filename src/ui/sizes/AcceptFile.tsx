'use client';
import { stepOf } from '@/core/steps/commands';
import { useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import type { FileFinding } from '@/core/files/check';
import type { FileAcceptance } from '@/core/project/file-limits';
import { useWorkbenchStore } from '../state/context';
import { edit } from '../state/edit';

interface ReasonProps {
  /** as far as it is typed: it is kept where the form is left */
  reason: string;
  onReason: (reason: string) => void;
  onAccept: (reason: string) => void;
  onLeave: () => void;
}

/** Asks why something is accepted as it is. */
function ReasonForm({ reason, onReason, onAccept, onLeave }: ReasonProps) {
  return (
    <Form
      className="accept"
      onSubmit={(e) => {
        e.preventDefault();
        if (reason.trim()) onAccept(reason.trim());
      }}
    >
      <Form.Control
        size="sm"
        autoFocus
        aria-label="Why it is accepted"
        placeholder="why it is accepted as it is"
        maxLength={400}
        value={reason}
        onChange={(e) => onReason(e.target.value)}
        onKeyDown={(e) => {
          if (e.key === 'Escape') onLeave();
        }}
      />
      <Button variant="quiet" size="sm" type="submit" disabled={!reason.trim()}>
        accept it
      </Button>
    </Form>
  );
}

/** What a finding on files is accepted for, and what takes that back. */
function useAcceptance(f: FileFinding) {
  const store = useWorkbenchStore();
  const what = { picture: f.in.id, rule: f.rule, about: f.subject.id };
  const isSame = (a: FileAcceptance) =>
    a.picture === what.picture && a.rule === what.rule && a.about === what.about;
  const said = `${f.word} of ${f.in.name}`;
  const change = (added: FileAcceptance[]) =>
    edit(
      store,
      stepOf(added.length > 0 ? 'finding.accept' : 'finding.accept-no-more', said),
      ({ project }) => {
        project.acceptedFiles = [...(project.acceptedFiles ?? []).filter((a) => !isSame(a)), ...added];
      },
    );
  return {
    accept: (reason: string) => change([{ ...what, value: f.worst.value, reason }]),
    acceptNoLonger: () => change([]),
  };
}

/** Takes a finding on files as it is, for a reason; it opens again where it gets worse. */
export function AcceptFile({ f }: { f: FileFinding }) {
  const [asks, setAsks] = useState(false);
  const [reason, setReason] = useState('');
  const { accept, acceptNoLonger } = useAcceptance(f);
  const name = `${f.in.name} ${f.word}`;
  if (f.accepted !== null)
    return (
      <>
        {' '}
        <span className="quiet">accepted: {f.accepted}</span>
        <Button variant="quiet" size="sm" aria-label={`Accept no longer: ${name}`} onClick={acceptNoLonger}>
          accept it no longer
        </Button>
      </>
    );
  if (!asks)
    return (
      <Button variant="quiet" size="sm" aria-label={`Accept: ${name}`} onClick={() => setAsks(true)}>
        accept it
      </Button>
    );
  return (
    <ReasonForm
      reason={reason}
      onReason={setReason}
      onAccept={(why) => {
        accept(why);
        setAsks(false);
      }}
      onLeave={() => setAsks(false)}
    />
  );
}
