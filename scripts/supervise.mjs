// Keeps a process going: one that ends by itself is started again, after pauses that grow.

/** ms: the first pause, the longest, and how long it has to go on so that the next pause is the first again. */
const PAUSE = { first: 1000, longest: 30_000, settled: 60_000 };

const sayEnd = (code, signal) => (signal ? `by ${signal}` : `with code ${code}`);

/**
 * Starts a process, and starts it again whenever it ends though nobody stopped it. One that ends before it was ready cannot do
 * what it is for, and is not started again.
 * @param launch makes the process, a `ChildProcess`
 * @param say hears what happens, in words
 * @param onEnd hears the code with which all of it ends
 * @param now, wait the clock, for tests
 */
export function supervise({ launch, say, onEnd, now = Date.now, wait = setTimeout }) {
  let child;
  let stopping = false;
  let wasReady = false;
  let pause = PAUSE.first;
  let startedAt = 0;

  const start = () => {
    if (stopping) return onEnd(0);
    startedAt = now();
    child = launch();
    child.on('exit', ended);
  };

  function ended(code, signal) {
    child = undefined;
    if (stopping || !wasReady) return onEnd(code ?? (signal ? 0 : 1));
    if (now() - startedAt >= PAUSE.settled) pause = PAUSE.first;
    say(
      `The server has ended ${sayEnd(code, signal)}. It is started again in ${pause / 1000} s; what was saved is there, and what was being made is made anew.`,
    );
    wait(start, pause);
    pause = Math.min(PAUSE.longest, pause * 2);
  }

  start();
  return {
    /** The process answers: from now on it is started again. */
    isReady: () => (wasReady = true),
    /** Ends it for good. */
    stop: (signal) => {
      stopping = true;
      if (child) child.kill(signal);
      else onEnd(0);
    },
  };
}
