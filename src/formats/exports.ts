/** What a project, or one of its scenes, is made into by the server or the command line, because it needs the files. */
export interface ExportFormat {
  id: string;
  /** of a scene, or of the project */
  of: 'scene' | 'project';
  label: string;
  word: string;
  mediaType: string;
  /** with its dot */
  extension: string;
}

export const EXPORTS = [
  {
    id: 'page',
    of: 'scene',
    label: 'The scene as a page that lays itself out on any screen',
    word: 'HTML + CSS',
    mediaType: 'text/html',
    extension: '.html',
  },
] as const satisfies readonly ExportFormat[];

export const EXPORT_IDS = ['page'] as const;
