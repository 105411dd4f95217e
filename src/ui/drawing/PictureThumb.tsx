'use client';
import { previewAddress } from './pixels';
import { previewFor } from '@/core/pictures/previews';
import { widestOf, type Cut, type Picture } from '@/core/pictures/picture';
import type { Appearance } from '@/core/values/values';

interface Props {
  picture: Picture;
  /** the first when absent */
  cut?: Cut;
  /** CSS px */
  width: number;
  appearance?: Appearance;
}

/** The file that stands for a cut: the largest of the appearance, or the largest there is. */
export function masterOfCut({ renditions: all }: Cut, appearance: Appearance = 'light') {
  const fitting = all.filter((r) => r.appearance === appearance);
  return widestOf(fitting.length > 0 ? fitting : all);
}

/** The file that stands for a picture: that of its first cut. */
export const masterOf = ({ cuts }: Picture, appearance?: Appearance) => masterOfCut(cuts[0]!, appearance);

/** A picture, small and whole. Its name stands beside it. */
export function PictureThumb({ picture, cut = picture.cuts[0]!, width, appearance }: Props) {
  const master = masterOfCut(cut, appearance);
  const level = previewFor(master, { width: width * 2, height: 0 });
  return (
    // A preview of our own in the right size: nothing that an image optimiser could add.
    // eslint-disable-next-line @next/next/no-img-element
    <img
      className="thumb"
      src={previewAddress(master.hash, level)}
      alt=""
      width={width}
      height={(width * master.heightPx) / master.widthPx}
      draggable={false}
    />
  );
}
