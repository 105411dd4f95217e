'use client';
import { stepOf } from '@/core/steps/commands';
import { Button } from 'react-bootstrap';
import { usersOfFont } from '@/core/project/documents';
import type { ProjectFont } from '@/core/text/style';
import { sayScripts } from '../import/fonts';
import { useWorkbench, useWorkbenchStore } from '../state/context';
import { edit } from '../state/edit';
import { FontPicker } from './FontPicker';

function FontRow({ font }: { font: ProjectFont }) {
  const store = useWorkbenchStore();
  const scenes = useWorkbench((s) => s.documents.scenes);
  const users = usersOfFont(font.hash, scenes);
  const remove = () => {
    if (users.length > 0) {
      const message = `${font.name} is still used: ${users.join('; ')}. Choose another font there first.`;
      store.setState({ message });
      return;
    }
    edit(store, stepOf('font.remove', font.name), ({ project }) => {
      project.fonts = project.fonts?.filter((f) => f.hash !== font.hash);
    });
  };
  return (
    <li className="font-row">
      <span className="picture-words">
        <span>{font.name}</span>
        <span className="quiet">
          {sayScripts(font)}
          {users.length === 0 && ', not used'}
        </span>
      </span>
      <Button variant="quiet" size="sm" aria-label={`Remove the font ${font.name}`} onClick={remove}>
        remove
      </Button>
    </li>
  );
}

/** Fonts that were imported into the project. */
export function FontsTray() {
  const fonts = useWorkbench((s) => s.documents.project.fonts);
  return (
    <section className="tray" aria-label="Fonts">
      <h2>
        Fonts
        <span>
          <FontPicker />
        </span>
      </h2>
      {fonts?.length ? (
        <ul>
          {fonts.map((f) => (
            <FontRow key={f.hash} font={f} />
          ))}
        </ul>
      ) : (
        <p className="quiet">Texts are set in sans or serif, which write Latin, Greek and Cyrillic.</p>
      )}
    </section>
  );
}
