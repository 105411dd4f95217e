import { z } from 'zod';
import { Derivation } from '@/core/pictures/derive';
import { KeptFile } from '@/core/pictures/kept-file';
import { Hash } from '@/core/pictures/picture';
import { Statistics } from '@/core/pixels/statistics';
import { ProjectFont } from '@/core/text/style';
import { EncodedFileSaid, Encoding } from '../files/encoding';
import { FolderFault } from '../files/folder';
import { DEFAULT_PATTERN, FileFacts } from '../files/names';
import type { Operation } from './operation';

const Called = z.object({
  name: z.string({ error: 'Say in ?name= what the file is called.' }).describe('what the file is called'),
});
const group = 'Files';

export const fileFacts = {
  id: 'fileFacts',
  group,
  method: 'GET',
  path: '/api/v1/projects/{project}/files',
  about: 'Of which type and how large the files of a project are, by their SHA-256.',
  answer: { status: 200, about: 'By hash', json: FileFacts },
} as const satisfies Operation;

export const lostFiles = {
  id: 'lostFiles',
  group,
  method: 'GET',
  path: '/api/v1/projects/{project}/lost-files',
  about: 'Which files of a project the store has lost.',
  answer: { status: 200, about: 'Their hashes', json: z.object({ lost: z.array(z.string()) }) },
} as const satisfies Operation;

export const addFile = {
  id: 'addFile',
  group,
  method: 'POST',
  path: '/api/v1/projects/{project}/files',
  about: 'Takes in one picture: PNG, JPEG, WebP, AVIF or SVG.',
  query: Called,
  file: 'the picture',
  answer: { status: 201, about: 'What is kept of it', json: KeptFile },
} as const satisfies Operation;

export const checkFiles = {
  id: 'checkFiles',
  group,
  method: 'POST',
  path: '/api/v1/projects/{project}/checks',
  about:
    'Holds a folder against the files of the pictures that scenes show: missing, surplus, of another size, edited.',
  query: z.object({
    pattern: z.string().max(200).default(DEFAULT_PATTERN).describe('by which files are named'),
    heaviest: z.coerce.number().positive().optional().describe('bytes that no file may be heavier than'),
  }),
  file: 'the folder in a ZIP',
  answer: {
    status: 200,
    about: 'One fault a file, the gravest of it, and how many files there are and should be',
    json: z.object({
      faults: z.array(FolderFault),
      found: z.int().nonnegative(),
      wanted: z.int().nonnegative(),
    }),
  },
} as const satisfies Operation;

export const fetchFile = {
  id: 'fetchFile',
  group,
  method: 'POST',
  path: '/api/v1/projects/{project}/addresses',
  about: 'Takes in one picture from a public address.',
  body: z.object({ address: z.string().min(1, 'An address is needed.').max(2000) }),
  answer: {
    status: 201,
    about: 'What is kept of it, and what it is called there',
    json: z.object({ file: KeptFile, name: z.string() }),
  },
} as const satisfies Operation;

export const deriveFile = {
  id: 'deriveFile',
  group,
  method: 'POST',
  path: '/api/v1/projects/{project}/derived',
  about: 'Makes a file from another: in another size, or without the room around it.',
  body: Derivation,
  answer: { status: 201, about: 'What is kept of it', json: KeptFile },
} as const satisfies Operation;

export const compareEncoded = {
  id: 'compareEncoded',
  group,
  method: 'POST',
  path: '/api/v1/projects/{project}/encoded',
  about: 'What becomes of one file that is encoded anew, with the part of it that differs most.',
  body: z.object({ hash: Hash, encoding: Encoding }),
  answer: { status: 200, about: 'How heavy and how alike it is', json: EncodedFileSaid },
} as const satisfies Operation;

export const addFont = {
  id: 'addFont',
  group,
  method: 'POST',
  path: '/api/v1/projects/{project}/fonts',
  about: 'Takes in one font.',
  query: Called,
  file: 'the font: TTF, OTF, WOFF or WOFF2',
  answer: { status: 201, about: 'What is kept of it', json: ProjectFont },
} as const satisfies Operation;

export const preview = {
  id: 'preview',
  group,
  method: 'GET',
  path: '/api/v1/pictures/{hash}/{width}',
  about: 'A smaller picture of a file, as many px wide as is asked for at the most.',
  answer: { status: 200, about: 'The picture', types: ['image/webp'] },
} as const satisfies Operation;

export const pixels = {
  id: 'pixels',
  group,
  method: 'GET',
  path: '/api/v1/pictures/{hash}/raster',
  about: 'The pixels of a small picture of a file, packed by gzip.',
  answer: { status: 200, about: 'Its pixels', types: ['application/gzip'] },
} as const satisfies Operation;

export const statistics = {
  id: 'statistics',
  group,
  method: 'GET',
  path: '/api/v1/pictures/{hash}/statistics',
  about: 'What the pixels of a file say: where its ink lies, its colours at the edges.',
  answer: { status: 200, about: 'Figures in shares of the picture', json: Statistics },
} as const satisfies Operation;

export const shippedFont = {
  id: 'shippedFont',
  group,
  method: 'GET',
  path: '/api/v1/fonts/{face}/{subset}',
  about: 'A part of a font that comes with the product.',
  open: true,
  answer: { status: 200, about: 'The font', types: ['font/woff'] },
} as const satisfies Operation;

export const importedFont = {
  id: 'importedFont',
  group,
  method: 'GET',
  path: '/api/v1/fonts/imported/{hash}',
  about: 'A font that was taken in.',
  answer: { status: 200, about: 'The font', types: ['font/*'] },
} as const satisfies Operation;
