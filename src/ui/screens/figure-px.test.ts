import { inPx, isLength } from './figure-px';

it.each([
  ['393', 3, '1179 px'],
  ['1136 lu', 2.625, '2982 px'],
  ['−12.5', 2, '−25 px'],
  ['0 · 8.1 · −3 lu', 3, '0 · 24.3 · −9 px'],
])('“%s” at %d px per lu is %s', (text, density, px) => expect(inPx(text, density)).toBe(px));

it('takes shares and ratios for no lengths', () => {
  expect(['drawn-width', 'font-size', 'clearance'].every(isLength)).toBe(true);
  expect(['crop', 'scale', 'contrast', 'enlargement', 'share-width'].some(isLength)).toBe(false);
});
