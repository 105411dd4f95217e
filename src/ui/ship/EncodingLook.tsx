'use client';
import { useState } from 'react';
import { Button } from 'react-bootstrap';
import { sayFileSize } from '@/core/words/numbers';
import { compareEncoded } from '@/formats/api/files';
import { ENCODED_WORDS, type EncodedFileSaid, type Encoding } from '@/formats/files/encoding';
import type { OutFile } from '@/formats/files/names';
import { ask, messageOf } from '../api';
import { useWorkbench, useWorkbenchStore } from '../state/context';

interface Looked {
  file: OutFile;
  as: Encoding['as'];
  said: EncodedFileSaid;
}

/** What one file becomes, asked of the server. */
function useLooking(encoding: Encoding) {
  const store = useWorkbenchStore();
  const project = useWorkbench((s) => s.documents.project.id);
  const [looked, setLooked] = useState<Looked | null>(null);
  const [busy, setBusy] = useState(false);
  const look = async (file: OutFile) => {
    setBusy(true);
    try {
      const body = { hash: file.hash, encoding };
      setLooked({ file, as: encoding.as, said: await ask(compareEncoded, { project }, { body }) });
    } catch (error) {
      store.setState({ message: messageOf(error) });
    } finally {
      setBusy(false);
    }
  };
  return { looked, busy, look };
}

/** Where a file differs most, magnified: before, after, and how they differ. */
function Difference({ looked: { file, as, said } }: { looked: Looked }) {
  const { was, bytes, quality, alike, part, picture } = said;
  return (
    <figure className="encoding-look" role="status">
      {/* What the server has just made, and nothing that an image optimiser could add. */}
      {/* eslint-disable-next-line @next/next/no-img-element */}
      <img
        src={picture}
        alt={`${file.path} at ${part.x}, ${part.y}: before, encoded, and their difference eightfold`}
      />
      <figcaption className="figures">
        <span>before, {sayFileSize(was)}</span>
        <span>
          {ENCODED_WORDS[as]} at quality {quality}, {sayFileSize(bytes)}, structural similarity{' '}
          {alike.toFixed(3)}
        </span>
        <span>how they differ, eightfold</span>
      </figcaption>
      <p className="quiet figures">
        {file.path}, threefold: the {part.width} × {part.height} px at {part.x}, {part.y} that differ most.
      </p>
    </figure>
  );
}

/** A look at what one file becomes, where it differs most. @param files without vectors */
export function EncodingLook({ files, encoding }: { files: readonly OutFile[]; encoding: Encoding }) {
  const [path, setPath] = useState<string | null>(null);
  const { looked, busy, look } = useLooking(encoding);
  const file = files.find((f) => f.path === path) ?? files[0];
  const { keep } = encoding;
  if (!file) return null;
  if (keep.by === 'budget' && keep.for !== 'file')
    return <p className="quiet">Which quality fits is known once all files are encoded.</p>;
  return (
    <>
      <p className="ship-encoding">
        <select
          className="form-select form-select-sm"
          aria-label="File that is looked at"
          value={file.path}
          onChange={(e) => setPath(e.target.value)}
        >
          {files.map((f) => (
            <option key={f.path}>{f.path}</option>
          ))}
        </select>
        <Button variant="quiet" size="sm" disabled={busy} onClick={() => void look(file)}>
          {busy ? 'encoding…' : 'look at what it becomes'}
        </Button>
      </p>
      {looked && <Difference looked={looked} />}
    </>
  );
}
