import { Problem } from '@/server/problem';
import { INPUT_LIMITS } from '@/server/settings';

/**
 * The name of a file is only ever shown; one that tries to be a path or a page is refused all the same.
 * @throws Problem 422
 */
export function fileName(said: string): string {
  const name = said.trim();
  if (name === '') throw new Problem(422, 'name: say in ?name= what the file is called.');
  if (name.length > INPUT_LIMITS.nameLength) {
    throw new Problem(422, `name: has ${name.length} characters; the limit is ${INPUT_LIMITS.nameLength}.`);
  }
  if (/[/\\\u0000-\u001f]/.test(name) || name === '..') {
    throw new Problem(
      422,
      'name: may not hold slashes or control characters. Give the name without its folder.',
    );
  }
  return name;
}
