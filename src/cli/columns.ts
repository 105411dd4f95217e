/** Columns of one width each, as wide as what stands in them. */
export function columns(rows: readonly (readonly string[])[]): string[] {
  const widths = rows[0]!.map((_, i) => Math.max(...rows.map((r) => r[i]!.length)));
  return rows.map((r) =>
    r
      .map((cell, i) => (i === 0 || i === r.length - 1 ? cell.padEnd(widths[i]!) : cell.padStart(widths[i]!)))
      .join('   ')
      .trimEnd(),
  );
}
