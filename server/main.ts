import { createServer } from 'node:http';
import { join } from 'node:path';
import { pino } from 'pino';
import { holdFolder } from '#server/database/lock';
import { Workers } from '#server/heavy/workers';
import { InstrumentHub } from '#server/instruments/hub';
import { simulatedBench } from '#server/simulated/instruments';
import { Opened } from '#server/opened';
import { root } from '#server/root';

const HOST = '127.0.0.1';
const port = Number(process.env['PORT'] ?? 4180);
if (!Number.isInteger(port) || port < 0 || port > 65535) {
  throw new RangeError(`PORT must be a whole number from 0 to 65535, was ${process.env['PORT'] ?? ''}`);
}
const folder = process.env['WELCOME_DATA'] ?? './data';
const log = pino({ level: process.env['LOG_LEVEL'] ?? 'warn' });

let letGo: () => void;
try {
  letGo = holdFolder(folder);
} catch (error) {
  console.error(error instanceof Error ? `Welcome cannot start: ${error.message}` : error);
  process.exit(1);
}
const opened = new Opened({
  ...{ data: folder, webFolder: join(root, 'dist', 'web', 'browser'), log, now: () => new Date() },
  ...{ instruments: new InstrumentHub(simulatedBench()), heavy: new Workers() },
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
server.on('error', (error) => {
  const inUse = (error as NodeJS.ErrnoException).code === 'EADDRINUSE';
  console.error(inUse ? `Port ${port} is taken. Choose another: PORT=4181 npm start` : error.message);
  process.exit(1);
});
server.listen(port, HOST, () => {
  const address = server.address();
  const at = typeof address === 'object' && address ? address.port : port;
  console.log(`Welcome is open at http://${HOST}:${at}  (data in ${folder}; stop with Ctrl+C)`);
});

for (const signal of ['SIGINT', 'SIGTERM'] as const) {
  process.on(signal, () => {
    server.close(() => {
      opened.close();
      letGo();
      process.exit(0);
    });
    server.closeAllConnections();
  });
}
