'use client';
import { createContext, useContext } from 'react';
import type { Incoming } from './dropped';

export const ACCEPT =
  '.png,.jpg,.jpeg,.webp,.avif,.svg,image/png,image/jpeg,image/webp,image/avif,image/svg+xml';

export interface Imports {
  /** opens the dialog of the browser to choose files */
  pick: () => void;
  /** whether files are being read, or it is being asked where they belong */
  isTaking: boolean;
  take: (files: readonly Incoming[]) => void;
  /** fetched by the server; @throws RequestProblem */
  takeAddress: (address: string) => Promise<void>;
}

const Context = createContext<Imports | null>(null);
export const ImportsContext = Context.Provider;

export function useImports(): Imports {
  const imports = useContext(Context);
  if (!imports) throw new Error('Imports need their provider.');
  return imports;
}
