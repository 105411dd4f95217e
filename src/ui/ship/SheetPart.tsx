'use client';
import { Button } from 'react-bootstrap';
import { SHEET_FORMATS } from '@/formats/sheet/all';
import { sheetMarkdown } from '@/formats/sheet/markdown';
import type { Sheet } from '@/formats/sheet/schema';
import { download } from '../parts/download';
import { CopyBlock } from './Copy';
import { SheetSection } from './SheetSection';
import { CopyingProvider, sheetName, useCopyingOf, useSheet } from './useSheet';

function Opened({ sheet }: { sheet: Sheet }) {
  const copying = useCopyingOf(sheet);
  const take = ({ write, mediaType, extension }: (typeof SHEET_FORMATS)[number]) => {
    download(sheetName(sheet) + extension, new Blob([write(sheet)], { type: mediaType }));
    copying.takeAll();
  };
  return (
    <CopyingProvider value={copying}>
      <header className="ship-head">
        <h2 id="sheet">Sheet</h2>
        <span className="quiet">
          everything of “{sheet.scene.name}” that is typed into the app, for {sheet.target.screens} screens
        </span>
        <span className="ship-acts">
          <CopyBlock label="copy all" what="the whole sheet" text={() => sheetMarkdown(sheet)} />
          {SHEET_FORMATS.map((format) => (
            <Button key={format.id} variant="quiet" size="sm" onClick={() => take(format)}>
              {format.label}
            </Button>
          ))}
        </span>
      </header>
      <div role="status">
        {copying.said && (
          <span className="ship-said" key={copying.count}>
            {copying.said}
          </span>
        )}
      </div>
      {sheet.sections.map((section) => (
        <SheetSection key={section.id} {...{ section, sheet }} />
      ))}
    </CopyingProvider>
  );
}

/** The build sheet of the open scene: everything that is typed into an app, to be copied. */
export function SheetPart() {
  const sheet = useSheet();
  return sheet ? <Opened sheet={sheet} /> : <p role="status">The fonts of this scene are being loaded.</p>;
}
