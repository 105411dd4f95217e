import type { ReportedFinding, ReportedPart } from './report';

/** Findings of one subject together, in the order of the first of each. @param sentenceOf a subject, where its rule is one */
export function byCause(
  findings: readonly ReportedFinding[],
  sentenceOf: (subjectId: string) => string | undefined = () => undefined,
): ReportedPart['causes'] {
  const bySubject = new Map<string, ReportedFinding[]>();
  for (const one of findings) {
    const { id } = one.finding.subject;
    bySubject.set(id, [...(bySubject.get(id) ?? []), one]);
  }
  return [...bySubject].map(([id, all]) => {
    const sentence = sentenceOf(id);
    return { name: all[0]!.finding.subject.name, ...(sentence !== undefined && { sentence }), findings: all };
  });
}
