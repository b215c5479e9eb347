import { createServer } from 'node:http';
import { join } from 'node:path';
import { pino } from 'pino';
import { clockFrom } from '#server/base/clock';
import { holdFolder } from '#server/base/database/lock';
import { door } from '#server/out/door/door';
import { ownNames, Sharing } from '#server/out/door/sharing';
import { startPool } from '#server/out/heavy/heavy';
import { InstrumentHub } from '#server/base/instruments/hub';
import { simulatedBench } from '#server/base/simulated/instruments';
import { OpenedNursery } from '#server/opened';
import { root } from '#server/base/root';

// What is written is for this user alone: data, backups, keys.
process.umask(0o077);

const HOST = '127.0.0.1';
const port = Number(process.env['PORT'] ?? 4180);
if (!Number.isInteger(port) || port < 0 || port > 65535) {
  throw new RangeError(`PORT must be a whole number from 0 to 65535, was ${process.env['PORT'] ?? ''}`);
}
const folder = process.env['WELCOME_DATA'] ?? './data';
const now = clockFrom(process.env['WELCOME_NOW']);
const log = pino({ level: process.env['LOG_LEVEL'] ?? 'warn' });

const sharePort = Number(process.env['WELCOME_SHARE_PORT'] ?? (port === 0 ? 0 : port + 1));
if (!Number.isInteger(sharePort) || sharePort < 0 || sharePort > 65535)
  throw new RangeError(
    `WELCOME_SHARE_PORT must be a whole number from 0 to 65535, was ${process.env['WELCOME_SHARE_PORT'] ?? ''}`,
  );
/** Asked for at the start: npm start -- --share, or --share=plain. */
const asked = process.argv.includes('--share=plain')
  ? 'plain'
  : process.argv.includes('--share')
    ? 'sealed'
    : null;
const sharing: Sharing = new Sharing({
  ...{ data: folder, port: sharePort, now, machineNow: () => new Date() },
  listener: door({
    ...{ data: folder, now, names: ownNames },
    pairing: () => sharing.pairing,
    devices: () => opened.devices,
    answers: (device, res) => sharing.answers(device, res),
    inside: (req, res) => opened.listener(req, res),
  }),
});

let letGo: () => void;
try {
  letGo = holdFolder(folder);
} catch (error) {
  console.error(error instanceof Error ? `Welcome cannot start: ${error.message}` : error);
  process.exit(1);
}
const opened: OpenedNursery = new OpenedNursery({
  ...{ data: folder, log, now },
  webFolder: process.env['WELCOME_WEB'] ?? join(root, 'dist', 'web', 'browser'),
  ...{ instruments: new InstrumentHub(simulatedBench(now()), undefined, now), heavy: startPool() },
  sharing,
  demo: process.env['WELCOME_DEMO'] !== '0',
});

/** Once a day, and at the start: a backup is checked as it is made, so that damage is noticed. */
async function backUp(): Promise<void> {
  try {
    await opened.backups?.daily();
  } catch (error) {
    log.error(error);
  }
}
const HOUR_MS = 3_600_000;
void backUp();
setInterval(() => void backUp(), HOUR_MS).unref();

const server = createServer(opened.listener);
// Pages and scripts of this machine may take their time: the usual five seconds end a connection just as it is used again.
server.keepAliveTimeout = 75_000;
server.on('error', (error) => {
  const inUse = (error as NodeJS.ErrnoException).code === 'EADDRINUSE';
  console.error(inUse ? `Port ${port} is taken. Choose another: PORT=4181 npm start` : error.message);
  process.exit(1);
});
server.listen(port, HOST, () => {
  const address = server.address();
  const at = typeof address === 'object' && address ? address.port : port;
  console.log(`Welcome is open at http://${HOST}:${at}  (data in ${folder}; stop with Ctrl+C)`);
  void openDoor(at);
});

/** Open to the nursery's own network, where that was asked for or is set. */
async function openDoor(at: number): Promise<void> {
  const way = asked ?? opened.shareWay;
  if (way === 'off') return;
  await sharing.set(way);
  const { addresses, problem } = sharing;
  console.log(
    problem
      ? `It is not open to the network: ${problem}`
      : `It is open to paired devices at ${addresses.join(', ')}. Pair one in Settings: http://${HOST}:${at}/settings`,
  );
}

for (const signal of ['SIGINT', 'SIGTERM'] as const) {
  process.on(signal, () => {
    void sharing.shut();
    server.close(() => {
      opened.close();
      letGo();
      process.exit(0);
    });
    server.closeAllConnections();
  });
}
