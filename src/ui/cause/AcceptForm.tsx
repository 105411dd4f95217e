'use client';
import { useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import type { Screen } from '@/core/screens/screen';
import { countCases, kindName } from '../words';

/** A screen on which something is not accepted yet, and on how many of its cases. */
export interface OpenScreen {
  screen: Screen;
  cases: number;
}

interface Props {
  open: readonly OpenScreen[];
  /** reasons for which it is accepted on some cases, and on how many */
  accepted: readonly { reason: string; cases: number }[];
  onAccept: (reason: string, screens: readonly string[]) => void;
  onTakeBack: () => void;
}

const sayScreens = (n: number) => `${n} ${n === 1 ? 'screen' : 'screens'}`;

/** What is accepted already, and why. */
function Accepted({ accepted, onTakeBack }: Pick<Props, 'accepted' | 'onTakeBack'>) {
  if (accepted.length === 0) return null;
  return (
    <p>
      {accepted.map(({ reason, cases }) => (
        <span key={reason} className="accepted-reason">
          ✓ Accepted on {countCases(cases)}: {reason}.{' '}
        </span>
      ))}
      It opens again where it gets worse.{' '}
      <Button variant="quiet" size="sm" onClick={onTakeBack}>
        accept it no longer
      </Button>
    </p>
  );
}

/** Which screens it is accepted on: all that are open, unless somebody leaves some out. */
function Screens(p: {
  open: readonly OpenScreen[];
  left: ReadonlySet<string>;
  onToggle: (id: string) => void;
}) {
  return (
    <details className="accept-screens">
      <summary>choose screens</summary>
      <ul className="plain-list">
        {p.open.map(({ screen, cases }) => (
          <li key={screen.id}>
            <Form.Check
              type="checkbox"
              id={`accept-${screen.id}`}
              label={`${kindName(screen)} ${screen.width} × ${screen.height}, ${countCases(cases)}`}
              checked={!p.left.has(screen.id)}
              onChange={() => p.onToggle(screen.id)}
            />
          </li>
        ))}
      </ul>
    </details>
  );
}

/** Takes a finding as it is, for a reason, on chosen screens, with the values that it has there now. */
export function AcceptForm({ open, accepted, onAccept, onTakeBack }: Props) {
  const [reason, setReason] = useState('');
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const chosen = open.map((o) => o.screen.id).filter((id) => !left.has(id));
  const toggle = (id: string) =>
    setLeft((now) => {
      const next = new Set(now);
      if (!next.delete(id)) next.add(id);
      return next;
    });
  return (
    <>
      <Accepted {...{ accepted, onTakeBack }} />
      {open.length > 0 && (
        <Form
          className="accept"
          onSubmit={(e) => {
            e.preventDefault();
            if (reason.trim() && chosen.length > 0) onAccept(reason.trim(), chosen);
          }}
        >
          <Form.Control
            size="sm"
            aria-label="Why it is accepted"
            placeholder="why it is accepted as it is"
            maxLength={400}
            value={reason}
            onChange={(e) => setReason(e.target.value)}
          />
          <Button variant="quiet" size="sm" type="submit" disabled={!reason.trim() || chosen.length === 0}>
            accept on {sayScreens(chosen.length)}
          </Button>
          <Screens {...{ open, left }} onToggle={toggle} />
        </Form>
      )}
    </>
  );
}
