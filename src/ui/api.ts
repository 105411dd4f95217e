import { z } from 'zod';
import type { Derivation } from '@/core/pictures/derive';
import { KeptFile } from '@/core/pictures/kept-file';
import { ProjectFont } from '@/core/text/style';
import { enteredAgain, fetchInside } from './session';

/** What went wrong with a request, in the server’s words or our own. */
export class RequestProblem extends Error {
  constructor(
    /** HTTP status; 0 when the server could not be reached */
    readonly status: number,
    message: string,
    readonly body: Record<string, unknown> = {},
  ) {
    super(message);
    this.name = 'RequestProblem';
  }
}

/** What went wrong, in words. */
export const messageOf = (error: unknown): string => (error instanceof Error ? error.message : String(error));

const UNREACHABLE = 'The server cannot be reached. What you change is kept here and saved when it is back.';

/** What is not JSON, such as the page of a proxy in between, says nothing. */
function readObject(text: string): Record<string, unknown> {
  try {
    return (text ? JSON.parse(text) : {}) as Record<string, unknown>;
  } catch {
    return {};
  }
}

/** Asks the server for something, over again once the passphrase is entered where the session has ended. @throws RequestProblem */
export const request = <T>(method: string, path: string, body?: unknown, headers = {}): Promise<T> =>
  asked<T>(fetchInside, method, path, body, headers);

/** Enters with the passphrase. @throws RequestProblem with status 401 where it is another one, 429 for one too many */
export const enter = (passphrase: string): Promise<unknown> =>
  asked(fetch, 'POST', '/api/session', { passphrase }, {});

/** Ends the session of this browser. @throws RequestProblem */
export const leave = (): Promise<unknown> => asked(fetch, 'DELETE', '/api/session', undefined, {});

async function asked<T>(
  send: typeof fetchInside,
  method: string,
  path: string,
  body: unknown,
  headers: object,
): Promise<T> {
  const response = await send(path, {
    method,
    headers: { ...(body === undefined ? {} : { 'content-type': 'application/json' }), ...headers },
    body: body === undefined ? undefined : JSON.stringify(body),
  }).catch(() => {
    throw new RequestProblem(0, UNREACHABLE);
  });
  const text = await response.text();
  const json = readObject(text);
  if (!response.ok)
    throw new RequestProblem(
      response.status,
      String(json.title ?? `The server answered ${response.status}.`),
      json,
    );
  return json as T;
}

/** What a file is told while it is sent. */
export interface Sending {
  /** share of the bytes that are sent, 0..1; 1 means that the server is working on it */
  onProgress: (share: number) => void;
  signal: AbortSignal;
}

/** Sends a file, over again once the passphrase is entered where the session has ended. @throws as below */
async function upload<T extends z.ZodType>(
  path: string,
  file: File,
  answer: T,
  sending: Sending,
): Promise<z.infer<T>> {
  for (;;) {
    try {
      return await uploadOnce(path, file, answer, sending);
    } catch (error) {
      if (!(error instanceof RequestProblem) || error.status !== 401) throw error;
      await enteredAgain();
    }
  }
}

/** Sends a file. @throws RequestProblem; an AbortError when cancelled; a ZodError for an answer of another shape */
function uploadOnce<T extends z.ZodType>(
  path: string,
  file: File,
  answer: T,
  { onProgress, signal }: Sending,
): Promise<z.infer<T>> {
  return new Promise((resolve, reject) => {
    const xhr = new XMLHttpRequest();
    xhr.open('POST', `${path}?name=${encodeURIComponent(file.name)}`);
    xhr.responseType = 'json';
    xhr.upload.onprogress = (e) => onProgress(e.lengthComputable ? e.loaded / e.total : 0);
    xhr.onload = () => {
      const body = (xhr.response ?? {}) as Record<string, unknown>;
      if (xhr.status !== 201) {
        const words = String(body.title ?? `“${file.name}” was refused.`);
        return reject(new RequestProblem(xhr.status, words, body));
      }
      const read = answer.safeParse(body);
      if (read.success) resolve(read.data);
      else reject(read.error);
    };
    xhr.onerror = () =>
      reject(new RequestProblem(0, `“${file.name}” could not be sent: the server cannot be reached.`));
    xhr.onabort = () => reject(new DOMException('Cancelled', 'AbortError'));
    signal.addEventListener('abort', () => xhr.abort());
    xhr.send(file);
  });
}

/** Uploads one picture file. @throws RequestProblem; an AbortError when cancelled */
export const uploadFile = (projectId: string, file: File, sending: Sending): Promise<KeptFile> =>
  upload(`/api/projects/${projectId}/files`, file, KeptFile, sending);

/** Uploads one font. @throws as above */
export const uploadFont = (projectId: string, file: File, sending: Sending): Promise<ProjectFont> =>
  upload(`/api/projects/${projectId}/fonts`, file, ProjectFont, sending);

const TakenIn = z.object({ id: z.string(), name: z.string() });

/** Has a project taken in from an archive. @throws as above */
export const uploadArchive = (file: File, sending: Sending): Promise<z.infer<typeof TakenIn>> =>
  upload('/api/projects/archive', file, TakenIn, sending);

/** Has the server make a file from another. @throws RequestProblem */
export const derive = async (projectId: string, asked: Derivation): Promise<KeptFile> =>
  KeptFile.parse(await request<unknown>('POST', `/api/projects/${projectId}/derived`, asked));

const Fetched = z.object({ file: KeptFile, name: z.string() });

/** Has the server take in a picture from a public address. @throws RequestProblem */
export async function fetchAddress(projectId: string, address: string): Promise<z.infer<typeof Fetched>> {
  return Fetched.parse(await request<unknown>('POST', `/api/projects/${projectId}/addresses`, { address }));
}
