'use client';
import { useRef, useState } from 'react';
import { messageOf } from '../api';
import { Button } from 'react-bootstrap';
import type { ProjectFont } from '@/core/text/style';
import { FONT_ACCEPT, importFont } from '../import/fonts';
import { useWorkbenchStore } from '../state/context';

/** A button that takes a font file into the project. @param onImported hears which font it is */
export function FontPicker({ onImported }: { onImported?: (font: ProjectFont) => void }) {
  const store = useWorkbenchStore();
  const input = useRef<HTMLInputElement>(null);
  const [busy, setBusy] = useState(false);
  const take = async (file: File) => {
    setBusy(true);
    try {
      const { signal } = new AbortController();
      const font = await importFont(store, file, { onProgress: () => {}, signal });
      onImported?.(font);
    } catch (error) {
      store.setState({ message: messageOf(error) });
    } finally {
      setBusy(false);
    }
  };
  return (
    <>
      <Button
        variant="quiet"
        size="sm"
        disabled={busy}
        title="TTF, OTF, WOFF or WOFF2"
        onClick={() => input.current?.click()}
      >
        {busy ? 'importing…' : 'import a font'}
      </Button>
      <input
        ref={input}
        type="file"
        hidden
        accept={FONT_ACCEPT}
        data-font-file
        onChange={(e) => {
          const [file] = e.target.files ?? [];
          if (file) void take(file);
          e.target.value = '';
        }}
      />
    </>
  );
}
