'use client';
import { Preview } from './Preview';
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
  const size = { width, height: (width * master.heightPx) / master.widthPx };
  return <Preview className="thumb" file={master} px={{ width: width * 2, height: 0 }} size={size} />;
}
