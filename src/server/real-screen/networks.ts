import { networkInterfaces } from 'node:os';
import ipaddr from 'ipaddr.js';

/** Addresses that are given out within a house or a firm come first. Source: RFC 1918. */
const isHome = (address: string) => ipaddr.parse(address).range() === 'private';

/**
 * The addresses under which others in the same network reach this machine, the likeliest first. `SCREEN_HOST` names one
 * that is taken instead.
 */
export function networks(): string[] {
  const { SCREEN_HOST } = process.env;
  if (SCREEN_HOST) return [SCREEN_HOST];
  const all = Object.values(networkInterfaces())
    .flat()
    .filter((a) => a !== undefined && !a.internal && a.family === 'IPv4')
    .map((a) => a!.address)
    .filter((a) => !a.startsWith('169.254.'));
  return [...new Set(all)].toSorted((a, b) => Number(isHome(b)) - Number(isHome(a)));
}
