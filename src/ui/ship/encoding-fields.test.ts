import { AS_THEY_ARE, encodingOf } from './EncodingFields';

describe('what is typed of an encoding', () => {
  const typed = { ...AS_THEY_ARE, as: 'webp' as const };

  it('is nothing for files that stay as they are', () => {
    expect(encodingOf(AS_THEY_ARE)).toBeUndefined();
  });

  it('is a quality, or a budget in bytes for what is chosen', () => {
    expect(encodingOf({ ...typed, quality: '62' })).toEqual({
      as: 'webp',
      keep: { by: 'quality', quality: 62 },
    });
    expect(encodingOf({ ...typed, by: 'picture', kilobytes: '1.5' })).toEqual({
      as: 'webp',
      keep: { by: 'budget', bytes: 1500, for: 'picture' },
    });
  });

  it.each([
    { quality: '0' },
    { quality: '101' },
    { quality: '62.5' },
    { quality: '' },
    { quality: 'x' },
    { by: 'set' as const, kilobytes: '0' },
    { by: 'set' as const, kilobytes: '-3' },
    { by: 'file' as const, kilobytes: '' },
    { by: 'file' as const, kilobytes: 'x' },
  ])('cannot be %j', (part) => expect(encodingOf({ ...typed, ...part })).toBeNull());
});
