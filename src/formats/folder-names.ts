/** By which a folder of a project is known. */
export const HEADER_FILE = 'coulee.json';

/** What lies in a folder besides these and the documents belongs to somebody else. */
export const OWN_FOLDERS = ['scenes', 'pictures', 'fonts', 'screenshots', 'files', 'sign-offs'] as const;
