import { guessRole } from './role';

const taken = (name: string, transparent?: boolean, widthPx = 1200, heightPx = 900) => ({
  name,
  transparent,
  widthPx,
  heightPx,
});

describe('the role of a picture that is added', () => {
  it.each([
    ['a name that says so', taken('winter-logo@2x.png', false), false, 'logo'],
    ['a wordmark without a look at its pixels', taken('Wordmark'), true, 'logo'],
    ['a backdrop', taken('Backdrop evening', true), false, 'background'],
    ['a second backdrop', taken('Backdrop evening', false), true, 'other'],
    ['something see-through', taken('plain.png', true), false, 'logo'],
    ['a large opaque picture', taken('IMG_0042.jpg', false), false, 'background'],
    ['a second one', taken('IMG_0043.jpg', false), true, 'other'],
    ['a small opaque one', taken('swatch.png', false, 96, 96), false, 'other'],
    ['a word that only contains one', taken('markup-signal.jpg', false), false, 'background'],
  ])('%s', (_, what, hasBackground, expected) => {
    expect(guessRole(what, hasBackground)).toBe(expected);
  });
});
