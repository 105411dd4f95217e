import { BAR_LENSES, LENS_IDS } from './lenses';
import { ratiosOf, readView, sayWindow, windowOf, withAppearance, writeView } from './view';

describe('the address', () => {
  it('says nothing of what is at its default, and leads back to the same view', () => {
    expect(writeView(readView({}))).toBe('');
    const views = [
      { lens: 'fits', appearance: 'dark', case: 'phone.90.dark' },
      { middle: 'window', window: '373.5x800', case: 'phone.0.light' },
      { middle: 'pair', pin: 'a.0.light', case: 'b.0.light', guides: 'on' },
      { lens: 'findings', order: 'limits' },
      { finding: 'harbour crop total', ratios: '0.45-0.6', outcome: 'fail', text: '393 x' },
    ];
    for (const view of views) {
      const read = readView(view);
      const address = writeView(read);
      expect(readView(Object.fromEntries(new URLSearchParams(address)))).toEqual(read);
      for (const key of Object.keys(view)) expect(address).toContain(`${key}=`);
    }
  });

  it('leaves what it cannot read at its default', () => {
    const read = readView({
      lens: 'nowhere',
      middle: '',
      window: '10000x2',
      ratios: 'wide',
      guides: 'off',
      outcome: 'bad',
    });
    expect(read).toEqual(readView({}));
    expect(ratiosOf(read)).toBeNull();
  });

  it('takes sizes of the free window to a hundredth', () => {
    expect(windowOf(readView({ window: sayWindow({ width: 373.4953, height: 800 }) }))).toEqual({
      width: 373.5,
      height: 800,
    });
    expect(windowOf({ window: undefined })).toEqual({ width: 800, height: 600 });
  });

  it('keeps the case when the appearance changes', () => {
    const view = readView({ case: 'phone-393x852-3x-pill.90.light' });
    expect(withAppearance(view, 'dark')).toMatchObject({
      appearance: 'dark',
      case: 'phone-393x852-3x-pill.90.dark',
    });
  });
});

it('keeps the map, what stands around its windows, and lenses that are not in the bar', () => {
  const view = readView({ middle: 'map', around: 'screen', window: '600x600', lens: 'sets' });
  expect(view).toMatchObject({ middle: 'map', around: 'screen', lens: 'sets' });
  expect(writeView(view)).toContain('around=screen');
  expect(readView({ around: 'everything' }).around).toBe('nothing');
  expect(BAR_LENSES.map((l) => l.id)).not.toContain('sets');
  expect(LENS_IDS).toContain('template');
});
