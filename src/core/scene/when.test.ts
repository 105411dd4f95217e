import fc from 'fast-check';
import type { PictureLayer } from './scene';
import { holds, onSize, When } from './when';

const side = fc.double({ min: 1, max: 3000, noNaN: true });
const layer = { visible: true, placing: 'usual', fit: 'usual' } as unknown as PictureLayer;

describe('rules that differ', () => {
  it('hold where every condition does, ends included', () => {
    const wide = { orientation: 'landscape' as const, minWidth: 600, maxWidth: 900 };
    expect(holds(wide, { width: 600, height: 400 })).toBe(true);
    expect(holds(wide, { width: 900, height: 400 })).toBe(true);
    expect(holds(wide, { width: 901, height: 400 })).toBe(false);
    expect(holds(wide, { width: 700, height: 800 })).toBe(false);
    expect(holds({ orientation: 'portrait' }, { width: 500, height: 500 })).toBe(true);
  });

  it('are one or the other by orientation, never both and never none', () => {
    fc.assert(
      fc.property(side, side, (width, height) => {
        const size = { width, height };
        expect(holds({ orientation: 'portrait' }, size)).toBe(!holds({ orientation: 'landscape' }, size));
      }),
    );
  });

  it('change what they give and leave the rest, and the first that holds wins', () => {
    const when = [
      { minWidth: 800, visible: false },
      { orientation: 'landscape', placing: 'turned' },
      { orientation: 'landscape', placing: 'never' },
    ] as unknown as When[];
    const at = (width: number, height: number) => onSize({ ...layer, when }, { width, height });
    expect(at(900, 400)).toMatchObject({ visible: false, placing: 'usual' });
    expect(at(700, 400)).toMatchObject({ visible: true, placing: 'turned', fit: 'usual' });
    expect(at(400, 700)).toMatchObject({ visible: true, placing: 'usual' });
    expect(onSize(layer, { width: 1, height: 1 })).toBe(layer);
  });

  it('need to say when', () => {
    expect(When.safeParse({ visible: false }).error?.issues[0]?.message).toMatch(/say when/);
  });
});
