import { isWithin } from '../../scripts/node-version.mjs';

it.each([
  ['20.9.0', false],
  ['20.18.3', false],
  ['20.19.0', true],
  ['20.20.2', true],
  ['22.0.0', true],
  ['18.99.9', false],
])('Node %s is new enough: %s', (version, is) => expect(isWithin(version, '>=20.19')).toBe(is));
