import { inPx, isLength, withUnit } from './figure-px';

it.each([
  ['393', 3, '1179 px'],
  ['1136 lu', 2.625, '2982 px'],
  ['−12.5', 2, '−25 px'],
  ['0 · 8.1 · −3 lu', 3, '0 · 24.3 · −9 px'],
])('“%s” at %d px per lu is %s', (text, density, px) => expect(inPx(text, density)).toBe(px));

it('takes shares and ratios for no lengths', () => {
  const areLengths = (names: string[]) => names.map((name) => isLength({ name }));
  expect(areLengths(['drawn-width', 'font-size', 'clearance'])).toEqual([true, true, true]);
  expect(areLengths(['crop', 'scale', 'contrast', 'bare-screen'])).toEqual([false, false, false, false]);
  expect(isLength({ name: 'bare-screen', side: 'left' })).toBe(true);
  expect(isLength({ name: 'crop', side: 'left' })).toBe(false);
});

it('says the unit that stands beside a figure of each side', () => {
  expect(withUnit({ name: 'crop', side: 'left' }, '41.1')).toBe('41.1 %');
  expect(withUnit({ name: 'sub-pixel', side: 'top' }, '0.3')).toBe('0.3 px');
  expect(withUnit({ name: 'crop' }, '41.1 %')).toBe('41.1 %');
  expect(withUnit({ name: 'clearance', side: 'left' }, '12')).toBe('12');
});
