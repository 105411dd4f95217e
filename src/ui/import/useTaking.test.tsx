/** @jest-environment jsdom */
import { act, renderHook } from '@testing-library/react';
import type { Arrived } from '@/core/pictures/assign';
import { useAsked } from './useTaking';

const file = (path: string): Arrived => ({
  path,
  file: { hash: path.padEnd(64, '0'), widthPx: 10, heightPx: 10, vector: false } as Arrived['file'],
});

test('batches of files that arrive while one is asked about wait for their turn, and none is lost', () => {
  const { result } = renderHook(() => useAsked());
  act(() => result.current.ask([file('a@2x.png'), file('a@3x.png')]));
  act(() => result.current.ask([file('b.png')]));
  act(() => result.current.ask([file('c.png')]));
  const paths = () => result.current.asked.map(({ arrived }) => arrived.map((a) => a.path));
  expect(paths()).toEqual([['a@2x.png', 'a@3x.png'], ['b.png'], ['c.png']]);
  act(() => result.current.answered(result.current.asked[0]!.id));
  expect(paths()).toEqual([['b.png'], ['c.png']]);
  act(() => result.current.answered(result.current.asked[1]!.id));
  expect(paths()).toEqual([['b.png']]);
});
