/** The beginning of a name for a file, which every system takes: “Winter splash” → `winter-splash`. */
export const fileStem = (name: string): string =>
  name
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, '-')
    .replace(/^-|-$/g, '')
    .slice(0, 60) || 'project';
