import type { z } from 'zod';
import type { DerivationAsked } from '@/core/pictures/derive';
import { KeptFile } from '@/core/pictures/kept-file';
import { ProjectFont } from '@/core/text/style';
import * as door from '@/formats/api/door';
import * as files from '@/formats/api/files';
import {
  addressOf,
  type AnswerOf,
  type BodyOf,
  type Operation,
  type ParamsOf,
} from '@/formats/api/operation';
import { addScreenshot } from '@/formats/api/screenshots';
import { takeInArchive } from '@/formats/api/projects';
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

const LATE = 'The server does not answer. What you change is kept here, and it is tried again.';

/** What is not JSON, such as the page of a proxy in between, says nothing. */
function readObject(text: string): Record<string, unknown> {
  try {
    return (text ? JSON.parse(text) : {}) as Record<string, unknown>;
  } catch {
    return {};
  }
}

/** What is asked for with an operation, besides what varies in its address. */
interface Sent<O extends Operation> {
  query?: Readonly<Record<string, string | number | undefined>>;
  body?: BodyOf<O>;
  headers?: Readonly<Record<string, string>>;
  /** ms after which an answer is no longer waited for; without it as long as it takes */
  deadlineMs?: number;
}

/**
 * Asks the server for what an operation stands for, over again once the passphrase is entered where the session has ended.
 * @throws RequestProblem, also for an answer that is not as it is described
 */
export async function ask<O extends Operation>(
  operation: O,
  params: ParamsOf<O>,
  { query, body, headers, deadlineMs }: Sent<O> = {},
): Promise<AnswerOf<O>> {
  const { method, answer }: Operation = operation;
  const json = await asked<unknown>(
    (path, init) => fetchInside(path, init, deadlineMs),
    method,
    addressOf(operation, params, query),
    body,
    headers ?? {},
  );
  if (!('json' in answer)) return undefined as AnswerOf<O>;
  const read = answer.json.safeParse(json);
  if (read.success) return read.data as AnswerOf<O>;
  throw new RequestProblem(502, 'The server answers as another version does. Load this page again.');
}

/** Enters with the passphrase. @throws RequestProblem with status 401 where it is another one, 429 for one too many */
export const enter = (passphrase: string): Promise<unknown> =>
  asked(fetch, 'POST', door.enter.path, { passphrase }, {});

/** Ends the session of this browser. @throws RequestProblem */
export const leave = (): Promise<unknown> => asked(fetch, 'DELETE', door.leave.path, undefined, {});

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
  }).catch((error: unknown) => {
    const isLate = error instanceof DOMException && error.name === 'TimeoutError';
    throw new RequestProblem(0, isLate ? LATE : UNREACHABLE);
  });
  const text = await response.text();
  const json = readObject(text);
  if (!response.ok)
    throw new RequestProblem(
      response.status,
      String(json.detail ?? `The server answered ${response.status}.`),
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

/** To a page it looks alike whether a file went away or the server did: the file is asked. */
const whyNotSent = (file: File): Promise<string> =>
  file
    .slice(0, 1)
    .arrayBuffer()
    .then(
      () => 'the server cannot be reached.',
      () => 'it was changed or taken away since it was chosen. Choose it again.',
    );

/** Sends a file. @throws RequestProblem; an AbortError when cancelled; a ZodError for an answer of another shape */
function uploadOnce<T extends z.ZodType>(
  path: string,
  file: File,
  answer: T,
  { onProgress, signal }: Sending,
): Promise<z.infer<T>> {
  return new Promise((resolve, reject) => {
    const xhr = new XMLHttpRequest();
    xhr.open('POST', path);
    xhr.responseType = 'json';
    xhr.upload.onprogress = (e) => onProgress(e.lengthComputable ? e.loaded / e.total : 0);
    xhr.onload = () => {
      const body = (xhr.response ?? {}) as Record<string, unknown>;
      if (xhr.status < 200 || xhr.status > 299) {
        const words = String(body.detail ?? `“${file.name}” was refused.`);
        return reject(new RequestProblem(xhr.status, words, body));
      }
      const read = answer.safeParse(body);
      if (read.success) resolve(read.data);
      else reject(read.error);
    };
    xhr.onerror = () =>
      void whyNotSent(file).then((why) =>
        reject(new RequestProblem(0, `“${file.name}” could not be sent: ${why}`)),
      );
    xhr.onabort = () => reject(new DOMException('Cancelled', 'AbortError'));
    signal.addEventListener('abort', () => xhr.abort());
    xhr.send(file);
  });
}

/** Uploads one picture file. @throws RequestProblem; an AbortError when cancelled */
export const uploadFile = (projectId: string, file: File, sending: Sending): Promise<KeptFile> =>
  upload(addressOf(files.addFile, { project: projectId }, { name: file.name }), file, KeptFile, sending);

/** Uploads one font. @throws as above */
export const uploadFont = (projectId: string, file: File, sending: Sending): Promise<ProjectFont> =>
  upload(addressOf(files.addFont, { project: projectId }, { name: file.name }), file, ProjectFont, sending);

/** Has a project taken in from an archive. @throws as above */
export const uploadArchive = (file: File, sending: Sending): Promise<AnswerOf<typeof takeInArchive>> =>
  upload(addressOf(takeInArchive, {}, { name: file.name }), file, takeInArchive.answer.json, sending);

/** Has a folder in a ZIP held against the files of a project. @throws as above */
export const uploadFolder = (
  project: string,
  zip: File,
  query: { pattern: string; heaviest?: number },
  sending: Sending,
): Promise<AnswerOf<typeof files.checkFiles>> =>
  upload(addressOf(files.checkFiles, { project }, query), zip, files.checkFiles.answer.json, sending);

/** Has a real screenshot held against a case. @throws as above */
export const uploadScreenshot = (
  params: { project: string; scene: string; case: string },
  file: File,
  sending: Sending,
): Promise<AnswerOf<typeof addScreenshot>> =>
  upload(addressOf(addScreenshot, params, { name: file.name }), file, addScreenshot.answer.json, sending);

/** Has the server make a file from another. @throws RequestProblem */
export const derive = (project: string, body: DerivationAsked): Promise<KeptFile> =>
  ask(files.deriveFile, { project }, { body });

/** Has the server take in a picture from a public address. @throws RequestProblem */
export const fetchAddress = (project: string, address: string): Promise<AnswerOf<typeof files.fetchFile>> =>
  ask(files.fetchFile, { project }, { body: { address } });
