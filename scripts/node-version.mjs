// Imported before anything else: an older Node would fail later, and not say why. Nothing in it is newer than what it looks for.
import { readFileSync } from 'node:fs';

/** Whether a version is one of a range such as “>=20.19”, the only form that is used here. */
export function isWithin(version, range) {
  const numbers = (text) => text.replace(/^\D+/, '').split('.').map(Number);
  const [own, least] = [numbers(version), numbers(range)];
  for (let i = 0; i < least.length; i++) if (own[i] !== least[i]) return own[i] > least[i];
  return true;
}

const { engines } = JSON.parse(readFileSync(new URL('../package.json', import.meta.url), 'utf8'));
if (!isWithin(process.versions.node, engines.node)) {
  console.error(
    `Coulee needs Node ${engines.node.replace('>=', '')} or later, and this is Node ${process.versions.node}. Install a later one, then run this again.`,
  );
  process.exit(1);
}
