/**
 * What a change makes worse: findings that are new or on more cases than before, with how many more.
 * @param on how many cases of a finding count; of none, 0
 */
export const costsOf = <F extends { id: string }>(
  before: readonly F[],
  after: readonly F[],
  on: (finding: F | undefined) => number,
): { finding: F; more: number }[] =>
  after.flatMap((finding) => {
    const more = on(finding) - on(before.find((b) => b.id === finding.id));
    return more > 0 ? [{ finding, more }] : [];
  });
