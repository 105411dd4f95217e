interface Child {
  on(event: 'exit', hear: (code: number | null, signal: string | null) => void): unknown;
  kill(signal: string): unknown;
}

export function supervise(asked: {
  launch: () => Child;
  say: (words: string) => void;
  onEnd: (code: number) => void;
  now?: () => number;
  wait?: (run: () => void, ms: number) => void;
}): { isReady: () => void; stop: (signal: string) => void };
