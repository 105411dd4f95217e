import type { ReviewFinding } from './schema';

/** What is wrong, with what it is of: “Harbour has a keep area cut off”. */
export function sayWhat({ source, subject, in: of, word }: ReviewFinding): string {
  if (source === 'files') return `${of.name}, ${subject.name}: ${word}`;
  return source === 'launch' ? `${word}, at ${subject.name}` : `${subject.name} ${word}`;
}
