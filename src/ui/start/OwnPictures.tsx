'use client';
import * as api from '@/formats/api/projects';
import { useRouter } from 'next/navigation';
import { useRef, useState } from 'react';
import { Button } from 'react-bootstrap';
import { ask, messageOf } from '../api';
import { ofDrop, ofFiles, type Incoming } from '../import/dropped';
import { handOver } from '../import/handed';
import { ACCEPT } from '../import/imports';
import { useDropTarget } from '../parts/useDropTarget';

interface Props {
  /** something that holds a project: an archive or a folder */
  onProject: (dropped: DataTransfer) => void;
  onProblem: (message: string) => void;
}

/** What a browser calls the type of an archive. */
const ARCHIVE = /zip/;

const holdsProject = ({ items, files }: DataTransfer) =>
  items[0]?.webkitGetAsEntry()?.isDirectory === true ||
  (files.length === 1 && (ARCHIVE.test(files[0]!.type) || files[0]!.name.endsWith('.zip')));

/** “winter-splash@2x.png” as the name of a project: “winter splash”. */
const nameFor = ({ file }: Incoming) =>
  file.name
    .replace(/\.[^.]+$/, '')
    .replace(/@.*$/, '')
    .replaceAll(/[-_]+/g, ' ')
    .trim()
    .slice(0, 80) || 'My pictures';

/** Makes a project of pictures, and opens it with them. */
function useOwn(onProblem: Props['onProblem']) {
  const router = useRouter();
  const [busy, setBusy] = useState(false);
  const take = async (files: readonly Incoming[]) => {
    const [first] = files;
    if (!first) return;
    setBusy(true);
    try {
      const { id } = await ask(api.createProject, {}, { body: { name: nameFor(first) } });
      handOver(id, files);
      router.push(`/projects/${id}`);
    } catch (error) {
      onProblem(messageOf(error));
      setBusy(false);
    }
  };
  return { busy, take };
}

/** One place to drop one’s own pictures: they become a project. */
export function OwnPictures({ onProject, onProblem }: Props) {
  const input = useRef<HTMLInputElement>(null);
  const { busy, take } = useOwn(onProblem);
  const { over, target } = useDropTarget((dropped) => {
    if (holdsProject(dropped)) onProject(dropped);
    else void ofDrop(dropped).then(take);
  });
  return (
    <section
      className={over ? 'own-pictures own-pictures-over' : 'own-pictures'}
      aria-labelledby="own-pictures"
      {...target}
    >
      <h2 id="own-pictures">Try with your own pictures</h2>
      <p>
        Drop a background or a logo here: PNG, JPEG, WebP, AVIF or SVG. They stay on this machine. You see
        them on every screen in a moment.
      </p>
      <Button variant="primary" disabled={busy} onClick={() => input.current?.click()}>
        {busy ? 'being opened…' : 'Choose pictures'}
      </Button>
      <input
        ref={input}
        type="file"
        hidden
        multiple
        accept={ACCEPT}
        data-testid="own"
        onChange={(e) => {
          const files = ofFiles(e.target.files ?? []);
          e.target.value = '';
          void take(files);
        }}
      />
    </section>
  );
}
