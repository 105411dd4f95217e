import { BlockList, isIP, isIPv6 } from 'node:net';

/**
 * Ranges that are not the public internet. Sources: the IANA registries of special-purpose addresses for IPv4 and
 * IPv6 (RFC 6890 and its updates).
 */
const RANGES_4 = [
  ['0.0.0.0', 8],
  ['10.0.0.0', 8],
  ['100.64.0.0', 10],
  ['127.0.0.0', 8],
  ['169.254.0.0', 16],
  ['172.16.0.0', 12],
  ['192.0.0.0', 24],
  ['192.0.2.0', 24],
  ['192.31.196.0', 24],
  ['192.52.193.0', 24],
  ['192.88.99.0', 24],
  ['192.168.0.0', 16],
  ['192.175.48.0', 24],
  ['198.18.0.0', 15],
  ['198.51.100.0', 24],
  ['203.0.113.0', 24],
  ['224.0.0.0', 4],
  ['240.0.0.0', 4],
] as const;

/** Of IPv6 only global unicast is public, and of that not what tunnels, translates, documents or tests. */
const PUBLIC_6 = ['2000::', 3] as const;
const RANGES_6 = [
  ['2001::', 23],
  ['2001:db8::', 32],
  ['2002::', 16],
  ['2620:4f:8000::', 48],
  ['3fff::', 20],
] as const;

const closed = new BlockList();
for (const [net, bits] of RANGES_4) closed.addSubnet(net, bits, 'ipv4');
for (const [net, bits] of RANGES_6) closed.addSubnet(net, bits, 'ipv6');
const open6 = new BlockList();
open6.addSubnet(...PUBLIC_6, 'ipv6');

/** Whether an address belongs to the public internet. IPv4 inside of IPv6 (mapped or translated) does not. */
export function isPublic(address: string): boolean {
  // A zone such as %eth0 is only ever of this machine’s own network.
  if (isIP(address) === 0 || address.includes('%')) return false;
  if (!isIPv6(address)) return !closed.check(address, 'ipv4');
  return open6.check(address, 'ipv6') && !closed.check(address, 'ipv6');
}
