'use client';
import { stepOf } from '@/core/steps/commands';
import { useRef, useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import type { Picture } from '@/core/pictures/picture';
import { usersOfPicture } from '@/core/project/documents';
import { masterOf, PictureThumb } from '../drawing/PictureThumb';
import { AddressForm } from '../import/AddressForm';
import { ACCEPT, useImports } from '../import/imports';
import { ReplaceDialog } from '../import/ReplaceDialog';
import { useWorkbench, useWorkbenchStore } from '../state/context';
import { edit } from '../state/edit';
import { sayFile } from '../words';

interface RowProps {
  picture: Picture;
  onReplace: (file: File) => void;
}

/** Asks for another file. */
function ReplaceButton({ picture, onReplace }: RowProps) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <Button
        variant="quiet"
        size="sm"
        aria-label={`Replace the file of ${picture.name}`}
        onClick={() => input.current?.click()}
      >
        replace
      </Button>
      <input
        ref={input}
        type="file"
        hidden
        accept={ACCEPT}
        data-replace={picture.id}
        onChange={(e) => {
          const [file] = e.target.files ?? [];
          if (file) onReplace(file);
          e.target.value = '';
        }}
      />
    </>
  );
}

function PictureRow({ picture, onReplace }: RowProps) {
  const store = useWorkbenchStore();
  const scenes = useWorkbench((s) => s.documents.scenes);
  const [name, setName] = useState<string | null>(null);
  const users = usersOfPicture(picture.id, scenes);
  const master = masterOf(picture);

  const rename = () => {
    const next = (name ?? '').trim();
    setName(null);
    if (!next || next === picture.name) return;
    edit(store, stepOf('picture.rename', picture.name), ({ project }) => {
      const target = project.pictures.find((p) => p.id === picture.id);
      if (target) target.name = next.slice(0, 120);
    });
  };
  const remove = () => {
    if (users.length > 0) {
      const message = `${picture.name} is still used: ${users.join('; ')}. Take it out there first.`;
      store.setState({ message });
      return;
    }
    edit(store, stepOf('picture.remove', picture.name), ({ project }) => {
      project.pictures = project.pictures.filter((p) => p.id !== picture.id);
    });
  };

  return (
    <li className="picture-row">
      <PictureThumb picture={picture} width={44} />
      <span className="picture-words">
        <Form.Control
          aria-label={`Name of the picture ${picture.name}`}
          value={name ?? picture.name}
          maxLength={120}
          onChange={(e) => setName(e.target.value)}
          onBlur={rename}
          onKeyDown={(e) => e.key === 'Enter' && rename()}
        />
        <span className="quiet figures">
          {sayFile(master)}
          {users.length === 0 && ', not used'}
        </span>
      </span>
      <ReplaceButton {...{ picture, onReplace }} />
      <Button variant="quiet" size="sm" aria-label={`Remove ${picture.name}`} onClick={remove}>
        remove
      </Button>
    </li>
  );
}

/** The project’s pictures, with what can be done with each. */
export function PicturesTray() {
  const pictures = useWorkbench((s) => s.documents.project.pictures);
  const { pick } = useImports();
  const [replacing, setReplacing] = useState<{ picture: Picture; file: File } | null>(null);
  return (
    <section className="tray" aria-label="Pictures">
      <h2>
        Pictures
        <span>
          <Button variant="quiet" size="sm" onClick={pick}>
            add files
          </Button>
          <AddressForm />
        </span>
      </h2>
      <ul>
        {pictures.map((p) => (
          <PictureRow key={p.id} picture={p} onReplace={(file) => setReplacing({ picture: p, file })} />
        ))}
      </ul>
      {replacing && <ReplaceDialog {...replacing} onClose={() => setReplacing(null)} />}
    </section>
  );
}
