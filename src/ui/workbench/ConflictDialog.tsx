'use client';
import { useState } from 'react';
import { Button, Modal } from 'react-bootstrap';
import { sameJson } from '@/core/scene/patch';
import { useWorkbench, useWorkbenchStore } from '../state/context';
import { resolveConflict, type Choice } from '../state/save-client';
import { Choices } from './Choices';

/** The same place was changed here and elsewhere: for each document one chooses, and nothing is lost unasked. */
export function ConflictDialog() {
  const store = useWorkbenchStore();
  const conflict = useWorkbench((s) => s.conflict);
  const mine = useWorkbench((s) => s.documents);
  const [choices, setChoices] = useState<Record<string, Choice>>({});
  if (!conflict) return null;
  const { theirs } = conflict;
  const differing = [
    ...(sameJson(mine.project, theirs.project)
      ? []
      : [{ id: 'project', name: 'Pictures, limits and named values' }]),
    ...Object.values(mine.scenes)
      .filter((s) => !sameJson(s, theirs.scenes[s.id]))
      .map((s) => ({ id: s.id, name: `Scene ${s.name}` })),
  ];
  const choiceOf = (id: string): Choice => choices[id] ?? (id === 'project' ? 'theirs' : 'both');
  return (
    <Modal show backdrop="static" keyboard={false} animation={false} aria-labelledby="conflict-title">
      <Modal.Header>
        <Modal.Title id="conflict-title" as="h2">
          Changed here and elsewhere
        </Modal.Title>
      </Modal.Header>
      <Modal.Body>
        <p>Somebody, or another tab, saved this project while it was open here. What should count?</p>
        {differing.map(({ id, name }) => (
          <Choices
            key={id}
            label={name}
            value={choiceOf(id)}
            options={[
              { value: 'mine', label: 'mine' },
              { value: 'theirs', label: 'theirs' },
              ...(id === 'project' ? [] : [{ value: 'both' as const, label: 'both, mine as a copy' }]),
            ]}
            onChoose={(choice) => setChoices({ ...choices, [id]: choice })}
          />
        ))}
      </Modal.Body>
      <Modal.Footer>
        <Button
          variant="primary"
          autoFocus
          onClick={() => {
            resolveConflict(store, Object.fromEntries(differing.map(({ id }) => [id, choiceOf(id)])));
            setChoices({});
          }}
        >
          Go on with these
        </Button>
      </Modal.Footer>
    </Modal>
  );
}
