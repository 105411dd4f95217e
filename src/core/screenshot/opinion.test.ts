import type { Displaced, Located } from './locate';
import { agrees, opinionOf, type Placed } from './opinion';

const layer = (name: string, located: Located): Placed => ({ id: name.toLowerCase(), name, located });
const found = (x: number, y: number, more: Partial<Displaced> = {}): Located => ({
  state: 'found',
  at: { x, y, edges: { left: x, right: x, top: y, bottom: y }, scale: 1, recoloured: false, ...more },
});
const nothing = { share: 0, where: null };

describe('what a screenshot says of a case', () => {
  it.each<[string, Placed[], string]>([
    [
      'all of it agrees',
      [layer('Logo', found(0.2, -0.3))],
      'Everything that is looked for agrees with the rules.',
    ],
    [
      'one layer is lower',
      [layer('Logo', found(0, 3.1)), layer('Photo', found(0, 0))],
      'Logo 3 px lower than ruled; everything else that is looked for agrees.',
    ],
    [
      'one is missing, and that is never agreement',
      [layer('Logo', { state: 'not-found' }), layer('Photo', found(0, 0))],
      'Logo is not found; everything else that is looked for agrees.',
    ],
    [
      'one is moved both ways, and texts were left out',
      [layer('Logo', found(-4, 2)), layer('Word', { state: 'left-out' })],
      'Logo 4 px further to the left and 2 px lower than ruled. Word was left out.',
    ],
    [
      'one is wider',
      [layer('Logo', found(0, 0, { edges: { left: -3, right: 3, top: 0, bottom: 0 } }))],
      'Logo 6 px wider than ruled.',
    ],
    [
      'one is taller, whose middle is lower by that',
      [layer('Logo', found(0, 3, { edges: { left: 0, right: 0, top: 0, bottom: 6 } }))],
      'Logo 6 px taller than ruled.',
    ],
    ['one is of half its size', [layer('Logo', found(0, 0, { scale: 0.5 }))], 'Logo at 50 % of its size.'],
    ['one is in other colours', [layer('Logo', found(0, 0, { recoloured: true }))], 'Logo in other colours.'],
    [
      'one lies too far away to be measured',
      [layer('Logo', { state: 'out-of-reach' })],
      'Logo lies further from its place than is searched.',
    ],
    [
      'nothing is there',
      [layer('Logo', { state: 'not-found' }), layer('Photo', { state: 'not-found' })],
      'Nothing of the scene can be made out in it.',
    ],
    ['nothing is looked for', [layer('Word', { state: 'left-out' })], 'Word was left out.'],
  ])('%s', (_, layers, said) => expect(opinionOf(layers, nothing)).toBe(said));

  it('names what nothing in the case explains, and then says of nothing that everything agrees', () => {
    const said = opinionOf([layer('Logo', found(0, 0))], { share: 0.034, where: 'bottom right' });
    expect(said).toBe(
      'What is looked for is where it is ruled. 3.4 % of what is looked at is explained by nothing in the case, most of it at the bottom right.',
    );
    expect(
      opinionOf([layer('Logo', found(0, 3)), layer('B', found(0, 0))], { share: 0.5, where: 'top' }),
    ).not.toContain('agrees');
  });

  it('agrees within what nobody sees, and only where it is found', () => {
    const is = (located: Located) => agrees(layer('Logo', located));
    expect(is(found(0.6, 0))).toBe(true);
    expect(is(found(0.9, 0))).toBe(false);
    expect(is(found(0, 0, { recoloured: true }))).toBe(false);
    expect(is(found(0, 0, { scale: 0.9 }))).toBe(false);
    for (const state of ['not-found', 'out-of-reach', 'left-out', 'unseen'] as const)
      expect(is({ state })).toBe(false);
  });
});
