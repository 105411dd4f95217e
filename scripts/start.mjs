// npm start: install and build if needed, migrate, seed an empty store, serve, say where.
import './node-version.mjs';
import { spawn } from 'node:child_process';
import { createServer } from 'node:net';
import { build, builtDrawing, env, install, root, run } from './lib.mjs';
import { supervise } from './supervise.mjs';

const host = process.env.HOST ?? '127.0.0.1';
const port = process.env.PORT ?? '3000';
const development = process.argv.includes('--dev');

const LOOPBACK = ['127.0.0.1', 'localhost', '::1'];
if (!LOOPBACK.includes(host) && !process.env.PASSPHRASE) {
  console.error(
    `On ${host} others could reach this server: set a passphrase, such as PASSPHRASE='…' npm start`,
  );
  process.exit(1);
}

/** Another server that answers on the port would look like this one. */
const free = await new Promise((resolve) => {
  const probe = createServer();
  probe.once('error', () => resolve(false));
  probe.listen(Number(port), host, () => probe.close(() => resolve(true)));
});
if (!free) {
  console.error(`${host}:${port} is taken or cannot be used. Choose another port: PORT=3001 npm start`);
  process.exit(1);
}

const address = `http://${host.includes(':') ? `[${host}]` : host}:${port}`;

install();
if (!(development ? run(process.execPath, ['scripts/build-parts.mjs']) : build())) process.exit(1);
// Both ways it was just built.
const withDrawing = { ...env, COULEE_DRAWING: builtDrawing };
if (!run(process.execPath, ['--import', 'tsx', 'scripts/prepare.ts'], { env: withDrawing })) process.exit(1);

const serving = supervise({
  launch: () => {
    const child = spawn(process.execPath, ['scripts/serve.mjs', ...(development ? ['--dev'] : [])], {
      cwd: root,
      env: { ...env, NODE_ENV: development ? 'development' : 'production', ADDRESS: address },
      stdio: ['ignore', 'pipe', 'inherit'],
    });
    child.stdout.pipe(process.stderr);
    return child;
  },
  say: (words) => console.error(words),
  onEnd: (code) => process.exit(code),
});
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => serving.stop(signal));

const deadline = Date.now() + 60_000;
for (;;) {
  const ready = await fetch(`${address}/api/v1/health`).then(
    (r) => r.ok,
    () => false,
  );
  if (ready) {
    serving.isReady();
    console.log(`Coulee is ready: ${address}`);
    break;
  }
  if (Date.now() > deadline) {
    console.error(`The server did not answer at ${address} within a minute.`);
    serving.stop('SIGTERM');
    break;
  }
  await new Promise((resolve) => setTimeout(resolve, 100));
}
