'use client';
import { useEffect, useState } from 'react';
import { ofDrop, ofFiles, type Incoming } from './dropped';

const isEditing = (target: EventTarget | null) =>
  target instanceof HTMLInputElement && target.type !== 'file';

/**
 * Hands over what is dropped anywhere that takes nothing itself, or pasted.
 * @param onUnread hears that what was dropped could not be read, such as a folder that went away meanwhile
 * @returns whether files are held over the page just now
 */
export function useDrops(take: (files: readonly Incoming[]) => void, onUnread: () => void): boolean {
  const [over, setOver] = useState(false);
  useEffect(() => {
    const hasFiles = (e: DragEvent) => e.dataTransfer?.types.includes('Files') ?? false;
    const onOver = (e: DragEvent) => {
      if (!hasFiles(e) || e.defaultPrevented) return;
      e.preventDefault();
      setOver(true);
    };
    const onLeave = (e: DragEvent) => {
      if (e.relatedTarget === null) setOver(false);
    };
    const onDrop = (e: DragEvent) => {
      setOver(false);
      if (!hasFiles(e) || e.defaultPrevented) return;
      e.preventDefault();
      if (e.dataTransfer) void ofDrop(e.dataTransfer).then(take, onUnread);
    };
    const onPaste = (e: ClipboardEvent) => {
      const files = e.clipboardData?.files;
      if (!files?.length || isEditing(e.target)) return;
      e.preventDefault();
      take(ofFiles(files));
    };
    window.addEventListener('dragover', onOver);
    window.addEventListener('dragleave', onLeave);
    window.addEventListener('drop', onDrop);
    window.addEventListener('paste', onPaste);
    return () => {
      window.removeEventListener('dragover', onOver);
      window.removeEventListener('dragleave', onLeave);
      window.removeEventListener('drop', onDrop);
      window.removeEventListener('paste', onPaste);
    };
  }, [take, onUnread]);
  return over;
}
