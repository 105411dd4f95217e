import type { Ink } from './ink';

/** How far the middle of the ink lies off the middle of its file, shares of the file; > 0 is right / down. */
export const offMiddle = ({ bounds }: Pick<Ink, 'bounds'>) => ({
  x: bounds.x + bounds.width / 2 - 0.5,
  y: bounds.y + bounds.height / 2 - 0.5,
});
