'use client';
import { drawCase } from '@/formats/api/cases';
import { addressOf } from '@/formats/api/operation';
import { useState } from 'react';
import { Button } from 'react-bootstrap';
import type { Review } from '@/core/review/schema';
import { REVIEW_FORMATS } from '@/formats/all';
import { tokensText, TOKENS_TYPE } from '@/formats/design-tokens';
import { fileStem } from '@/formats/file-name';
import { PatternFault } from '@/formats/files/names';
import { MANIFEST_TYPE, webManifest, writeManifest } from '@/formats/manifest';
import type { ExportWanted } from '@/formats/job';
import { SHEET_FORMATS } from '@/formats/sheet/all';
import { columnsOf } from '@/formats/sheet/targets';
import { download, downloadFrom } from '../parts/download';
import { Making } from '../parts/Making';
import { useJob } from '../parts/useJob';
import { messageOf } from '../api';
import { useWorkbench, useWorkbenchStore } from '../state/context';
import type { FileNaming } from './useFileNaming';
import { sheetName, useSheet, useTargets } from './useSheet';

interface Way {
  word: string;
  title: string;
  /** absent while what it is made of is not there yet */
  take?: () => unknown;
}

/** What is taken along, what it is for, and in which forms. */
function Line({ what, why, ways }: { what: string; why: string; ways: Way[] }) {
  return (
    <tr>
      <th scope="row">
        {what}
        <span className="quiet">{why}</span>
      </th>
      <td>
        {ways.map(({ word, title, take }) => (
          <Button
            key={word}
            variant="quiet"
            size="sm"
            title={title}
            aria-label={`${word}: ${title}`}
            disabled={!take}
            onClick={() => void take?.()}
          >
            {word}
          </Button>
        ))}
      </td>
    </tr>
  );
}

const save = (name: string, text: string, mediaType: string) =>
  download(name, new Blob([text], { type: mediaType }));

function useWays(review: Review | null) {
  const { project } = useWorkbench((s) => s.documents);
  const sheet = useSheet();
  const stem = fileStem(project.name);
  const findings = REVIEW_FORMATS.map(({ word, label, write, mediaType, extension }): Way => ({
    word,
    title: label,
    ...(review && { take: () => save(`${stem}-review${extension}`, write(review), mediaType) }),
  }));
  const sheets = SHEET_FORMATS.map(({ label, write, mediaType, extension }): Way => ({
    word: label,
    title: `The sheet as ${label}`,
    ...(sheet && { take: () => save(sheetName(sheet) + extension, write(sheet), mediaType) }),
  }));
  const tokens: Way = {
    word: 'design tokens',
    title: 'Named lengths and colours in the format of the Design Tokens Community Group',
    take: () => save(`${stem}.tokens.json`, tokensText(project), TOKENS_TYPE),
  };
  return { findings, sheets, tokens };
}

/** Icons and colours, with files under the names that they have in the ZIP of all files. */
function useManifest({ pattern, facts }: FileNaming): Way {
  const store = useWorkbenchStore();
  const documents = useWorkbench((s) => s.documents);
  const take = () => {
    try {
      save('manifest.webmanifest', writeManifest(webManifest(documents, facts!, pattern)), MANIFEST_TYPE);
    } catch (error) {
      if (!(error instanceof PatternFault)) throw error;
      store.setState({ message: `The manifest could not be made. ${error.message}` });
    }
  };
  return {
    word: 'manifest',
    title: 'Logos as icons and the colour of the ground, for light and dark, as a Web App Manifest',
    ...(facts && { take }),
  };
}

/** One case as SVG: that of the close-up, or the one that most use. */
function useSvg(): Way {
  const store = useWorkbenchStore();
  const { project, scenes } = useWorkbench((s) => s.documents);
  const sceneId = useWorkbench((s) => s.sceneId);
  const caseId = useWorkbench((s) => s.view.case);
  const { target } = useTargets();
  const shown = caseId ?? columnsOf(target.screens, null)[1]!.caseId;
  const asked = { project: project.id, scene: sceneId, case: shown };
  return {
    word: 'SVG',
    title: `The case ${shown} as it is drawn, its texts as outlines`,
    take: () => {
      downloadFrom(
        addressOf(drawCase, asked, { as: 'svg', glass: '0' }),
        `${fileStem(scenes[sceneId]!.name)}-${shown}.svg`,
      ).catch((error: unknown) =>
        store.setState({ message: `The case could not be drawn. ${messageOf(error)}` }),
      );
    },
  };
}

/** What the server makes of the open scene and of the project, one thing after another. */
function useMade() {
  const { target } = useTargets();
  const scene = useWorkbench((s) => s.sceneId);
  const { job, begin, callOff } = useJob();
  const [what, setWhat] = useState('');
  const made =
    (name: string, as: ExportWanted['as']) =>
    (word: string, title: string): Way => ({
      word,
      title,
      ...(!job && {
        take: () => {
          setWhat(name);
          void begin(name, { kind: 'export', options: { as, scene, target: target.id } });
        },
      }),
    });
  const contact = 'The cases that show the extremes, beside one another';
  return {
    page: made('The page', 'page')('HTML + CSS', 'The scene as a page that lays itself out on any screen'),
    sheets: [
      made('The contact sheet', 'contact-png')('PNG', `${contact}, as a picture`),
      made('The contact sheet', 'contact-pdf')('PDF', `${contact}, as a document`),
    ],
    report: made('The report', 'report')(
      'HTML',
      'What is wrong, with pictures before and after, what is accepted and why: on a screen or on paper',
    ),
    archive: made('The archive', 'archive')('archive', 'All documents and files in one ZIP'),
    making: job && <Making what={what} progress={job.progress} callOff={callOff} />,
  };
}

/** Everything that can leave the tool, with one line on what each is for. */
export function TakeAlong({ review, naming }: { review: Review | null; naming: FileNaming }) {
  const { findings, sheets, tokens } = useWays(review);
  const made = useMade();
  const svg = useSvg();
  const manifest = useManifest(naming);
  return (
    <section aria-labelledby="take-along">
      <h2 id="take-along">Take along</h2>
      <table className="ship-ways">
        <tbody>
          <Line what="Report" why="for whoever decides" ways={[made.report]} />
          <Line what="Findings" why="for a table, a program, a build" ways={findings} />
          <Line what="Sheet" why="for whoever builds it" ways={sheets} />
          <Line what="Scene" why="lays itself out in any browser" ways={[made.page, svg]} />
          <Line what="Contact sheet" why="the telling cases at a glance" ways={made.sheets} />
          <Line what="Named values" why="for other tools of design" ways={[tokens]} />
          <Line what="Icons and colours" why="for an app that is installed from the web" ways={[manifest]} />
          <Line what="Whole project" why="to be kept, or opened elsewhere" ways={[made.archive]} />
        </tbody>
      </table>
      {made.making}
    </section>
  );
}
