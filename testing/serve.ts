import { type ChildProcess, execFileSync, spawn } from 'node:child_process';
import { testNow } from '#testing/day';

/** A server of its own, on a data folder that may be empty (it then gets the demo) or one that was used before. */
export interface Served {
  process: ChildProcess;
  /** http://127.0.0.1:… */
  address: string;
}

let bundle: string | undefined;

/** Made once for each process of tests, of the code as it is now. */
function bundled(): string {
  if (bundle) return bundle;
  const folder = `dist/served/${process.pid}`;
  execFileSync(process.execPath, ['scripts/build-server.mjs', folder], { stdio: 'inherit' });
  return (bundle = `${folder}/main.mjs`);
}

/** A server that is only just starting. @param port 0 for any that is free */
export const begin = (
  folder: string,
  port = 0,
  env: NodeJS.ProcessEnv = {},
  args: readonly string[] = [],
): ChildProcess =>
  spawn(process.execPath, [bundled(), ...args], {
    env: {
      ...{ ...process.env, PORT: String(port), WELCOME_DATA: folder, LOG_LEVEL: 'warn' },
      ...{ WELCOME_NOW: testNow().toISOString(), ...env },
    },
    stdio: ['ignore', 'pipe', 'inherit'],
  });

/** One that answers. @param port 0 for any that is free */
export function serve(...given: Parameters<typeof begin>): Promise<Served> {
  const child = begin(...given);
  return new Promise((resolve, reject) => {
    child.once('exit', (code) => reject(new Error(`the server did not start (${code})`)));
    child.stdout!.on('data', (chunk: Buffer) => {
      const address = /Welcome is open at (\S+)/.exec(chunk.toString())?.[1];
      if (address) resolve({ process: child, address });
    });
  });
}
