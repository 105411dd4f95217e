import type { Displaced } from './displaced';
import { agrees, opinionOf, type Placed } from './opinion';

const layer = (name: string, found: Displaced | null): Placed => ({ id: name.toLowerCase(), name, found });
const at = (x: number, y: number): Displaced => ({ x, y, edges: { left: x, right: x, top: y, bottom: y } });

describe('what a screenshot says of a case', () => {
  it.each<[string, Placed[], string]>([
    ['all of it agrees', [layer('Logo', at(0.2, -0.3))], 'Everything that is seen agrees with the rules.'],
    [
      'one layer is lower',
      [layer('Logo', at(0, 3.1)), layer('Photo', at(0, 0))],
      'Logo 3 px lower than ruled; everything else agrees.',
    ],
    [
      'one is moved both ways, and another is not seen',
      [layer('Logo', at(-4, 2)), layer('Word', null)],
      'Logo 4 px further to the left and 2 px lower than ruled.',
    ],
    [
      'one is wider',
      [layer('Logo', { x: 0, y: 0, edges: { left: -3, right: 3, top: 0, bottom: 0 } })],
      'Logo 6 px wider than ruled.',
    ],
    [
      'one is taller, whose middle is lower by that',
      [layer('Logo', { x: 0, y: 3, edges: { left: 0, right: 0, top: 0, bottom: 6 } })],
      'Logo 6 px taller than ruled.',
    ],
    ['nothing is seen', [layer('Logo', null)], 'Nothing of the scene can be made out in it.'],
  ])('%s', (_, layers, said) => expect(opinionOf(layers)).toBe(said));

  it('agrees within what nobody sees', () => {
    expect(agrees(layer('Logo', at(0.6, 0)))).toBe(true);
    expect(agrees(layer('Logo', at(0.9, 0)))).toBe(false);
    expect(agrees(layer('Logo', null))).toBe(false);
  });
});
