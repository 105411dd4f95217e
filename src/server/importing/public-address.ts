import { isIP } from 'node:net';
import ipaddr from 'ipaddr.js';

/** Of IPv6 only global unicast is public. Source: IANA, “Internet Protocol Version 6 Address Space”. */
const GLOBAL_6 = ipaddr.IPv6.parseCIDR('2000::/3');

/** Whether an address belongs to the public internet. IPv4 inside of IPv6 (mapped or translated) does not. */
export function isPublic(address: string): boolean {
  // A zone such as %eth0 is only ever of this machine’s own network.
  if (isIP(address) === 0 || address.includes('%')) return false;
  const parsed = ipaddr.parse(address);
  return parsed.range() === 'unicast' && (parsed.kind() === 'ipv4' || parsed.match(GLOBAL_6));
}
