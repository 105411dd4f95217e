import { previewFor, type FileSize } from '@/core/pictures/previews';
import { previewAddress } from './pixels';

interface Props {
  file: FileSize & { hash: string };
  /** px that the preview should have at least, where the file has as many */
  px: { width: number; height: number };
  className?: string;
  /** CSS px; as its style says when absent */
  size?: { width: number; height: number };
}

/** A file as one of its previews. What it shows stands beside it. */
export const Preview = ({ file, px, className, size }: Props) => (
  // A preview of our own in the right size: nothing that an image optimiser could add.
  // eslint-disable-next-line @next/next/no-img-element
  <img
    className={className}
    src={previewAddress(file.hash, previewFor(file, px))}
    alt=""
    {...size}
    draggable={false}
  />
);
