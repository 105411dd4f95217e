'use client';
import { drawCase } from '@/formats/api/cases';
import { addressOf } from '@/formats/api/operation';
import type { ReactNode } from 'react';
import { Button } from 'react-bootstrap';
import type { Review } from '@/core/review/schema';
import { REVIEW_FORMATS } from '@/formats/all';
import { tokensText, TOKENS_TYPE } from '@/formats/design-tokens';
import { fileStem } from '@/formats/text/file-name';
import { PatternFault } from '@/formats/files/names';
import { MANIFEST_TYPE, webManifest, writeManifest } from '@/formats/manifest';
import { SHEET_FORMATS } from '@/formats/sheet/all';
import { columnsOf } from '@/formats/sheet/targets';
import { download, downloadFrom } from '../parts/download';
import { messageOf } from '../api';
import { useWorkbench, useWorkbenchStore } from '../state/context';
import type { FileNaming } from './useFileNaming';
import { useMade, type Way } from './useMade';
import { sheetName, useSheet, useTargets } from './useSheet';

/** What is taken along, what it is for, and in which forms. */
function Line({ what, why, ways }: { what: string; why: ReactNode; ways: Way[] }) {
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
          <Line what="Contact sheet" why={made.contactOf} ways={made.sheets} />
          <Line what="Named values" why="for other tools of design" ways={[tokens]} />
          <Line what="Icons and colours" why="for an app that is installed from the web" ways={[manifest]} />
          {made.icons && <Line what="Icon" why="for stores, home screens, the web" ways={[made.icons]} />}
          <Line what="Whole project" why="to be kept, or opened elsewhere" ways={[made.archive]} />
        </tbody>
      </table>
      {made.making}
    </section>
  );
}
