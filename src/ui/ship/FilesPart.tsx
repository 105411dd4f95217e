'use client';
import { useId, useMemo, useState } from 'react';
import { Button } from 'react-bootstrap';
import { shownPictures } from '@/core/project/documents';
import { sayFileSize } from '@/core/words/numbers';
import { countOf } from '@/core/words/words';
import { encodedFacts, type EncodedAs } from '@/formats/files/encoding';
import { type FileFacts, outFiles, PatternFault, type OutFile } from '@/formats/files/names';
import { Making } from '../parts/Making';
import { useJob } from '../parts/useJob';
import { useWorkbench } from '../state/context';
import { EncodingLook } from './EncodingLook';
import { AS_THEY_ARE, EncodingFields, encodingOf } from './EncodingFields';
import { OnlyChanged, useSinceTaken } from './SinceTaken';
import { FolderCheck } from './FolderCheck';
import type { FileNaming } from './useFileNaming';

/** The files that would be taken along, or why there are none by this pattern. */
function useFiles(
  pattern: string,
  facts: FileFacts | null,
  as: EncodedAs | undefined,
): { files: OutFile[]; fault: string | null } | null {
  const documents = useWorkbench((s) => s.stored);
  return useMemo(() => {
    if (!facts) return null;
    try {
      return {
        files: outFiles(shownPictures(documents), pattern, as ? encodedFacts(facts, as) : facts),
        fault: null,
      };
    } catch (error) {
      if (error instanceof PatternFault) return { files: [], fault: error.message };
      throw error;
    }
  }, [documents, facts, pattern, as]);
}

const folderOf = (path: string) => path.slice(0, path.lastIndexOf('/') + 1);

/** The files by their folders, each with what it is and how large. */
function Tree({ files, isEncoded }: { files: readonly OutFile[]; isEncoded: boolean }) {
  const folders = [...new Set(files.map((f) => folderOf(f.path)))];
  return (
    <table className="figures sheet-rows ship-files">
      {folders.map((folder) => (
        <tbody key={folder}>
          {folder && (
            <tr>
              <th scope="rowgroup" colSpan={3}>
                {folder}
              </th>
            </tr>
          )}
          {files
            .filter((f) => folderOf(f.path) === folder)
            .map((f) => (
              <tr key={f.path}>
                <th scope="row" className={folder ? 'ship-inside' : undefined}>
                  {f.path.slice(folder.length)}
                </th>
                <td className="quiet">{f.about}</td>
                <td>{isEncoded && !f.vector ? <span className="quiet">–</span> : sayFileSize(f.bytes)}</td>
              </tr>
            ))}
        </tbody>
      ))}
    </table>
  );
}

interface NamesProps extends Pick<FileNaming, 'pattern' | 'setPattern'> {
  isFaulty: boolean;
}

/** The pattern that names files. */
function Names({ pattern, setPattern, isFaulty }: NamesProps) {
  const id = useId();
  return (
    <p className="ship-pattern">
      <label htmlFor={id}>Names</label>
      <input
        id={id}
        className="form-control form-control-sm"
        value={pattern}
        spellCheck={false}
        aria-invalid={isFaulty || undefined}
        aria-describedby={`${id}-how`}
        onChange={(e) => setPattern(e.target.value)}
      />
      <span className="quiet" id={`${id}-how`}>
        {'{name} {density} {appearance} {cut} {width} {height}; '}a / makes a folder; what stands in [ ] is
        left out where it goes without saying: 1×, light, any orientation.
      </span>
    </p>
  );
}

const summary = (files: readonly OutFile[], isEncoded: boolean) =>
  `${countOf(files.length, 'file')} of the pictures that scenes show, ${sayFileSize(files.reduce((sum, f) => sum + f.bytes, 0))}${isEncoded ? ' before they are encoded' : ''}`;

/** All files of the pictures that scenes show, under the names that a pattern gives them. */
export function FilesPart({ naming }: { naming: FileNaming }) {
  const { pattern, setPattern, facts } = naming;
  const [typed, setTyped] = useState(AS_THEY_ARE);
  const encoding = encodingOf(typed);
  const found = useFiles(pattern, facts, encoding?.as);
  const { job, begin, callOff } = useJob();
  const files = found?.files ?? [];
  const since = useSinceTaken(files);
  const take = async () => {
    const only = since.taken === files ? undefined : since.taken.map((f) => f.path);
    const options = { as: 'files' as const, pattern, encoding: encoding ?? undefined, only };
    if (await begin('The ZIP', { kind: 'export', options })) since.keep();
  };
  return (
    <section aria-labelledby="files">
      <header className="ship-head">
        <h2 id="files">Files</h2>
        <span className="quiet">{found && !found.fault && summary(files, Boolean(encoding))}</span>
        <span className="ship-acts">
          <Button
            variant="quiet"
            size="sm"
            disabled={job !== null || since.taken.length === 0 || encoding === null}
            onClick={() => void take()}
          >
            ZIP
          </Button>
        </span>
      </header>
      {job && <Making what="The ZIP" progress={job.progress} callOff={callOff} />}
      <Names pattern={pattern} setPattern={setPattern} isFaulty={Boolean(found?.fault)} />
      <EncodingFields typed={typed} onChange={setTyped} />
      {encoding && <EncodingLook files={files.filter((f) => !f.vector)} encoding={encoding} />}
      <OnlyChanged {...since} />
      {found?.fault && (
        <p className="problem" role="alert">
          {found.fault}
        </p>
      )}
      {files.length > 0 && <Tree files={files} isEncoded={Boolean(encoding)} />}
      {files.length > 0 && !encoding && <FolderCheck pattern={pattern} />}
    </section>
  );
}
