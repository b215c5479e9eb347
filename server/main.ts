import { join } from 'node:path';
import { pino } from 'pino';
import { createApp } from '#server/app';
import { holdFolder } from '#server/database/lock';
import { openDatabase } from '#server/database/open';
import { seedDemo } from '#server/demo/seed';
import { Workers } from '#server/heavy/workers';
import { InstrumentHub } from '#server/instruments/hub';
import { simulatedBench } from '#server/simulated/instruments';
import { CropStore } from '#server/season/crops';
import { LibraryStore } from '#server/library/store';
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
const db = openDatabase(folder);
new LibraryStore(db).refreshStarter();
new CropStore(db).refreshStarter();
if (process.env['WELCOME_DEMO'] !== '0') seedDemo(db, new Date());

const app = createApp({
  db,
  webFolder: join(root, 'dist', 'web', 'browser'),
  log,
  now: () => new Date(),
  instruments: new InstrumentHub(simulatedBench()),
  heavy: new Workers(),
});
const server = app.listen(port, HOST, (error?: Error) => {
  if (error) {
    const inUse = (error as NodeJS.ErrnoException).code === 'EADDRINUSE';
    console.error(inUse ? `Port ${port} is taken. Choose another: PORT=4181 npm start` : error.message);
    process.exit(1);
  }
  const address = server.address();
  const at = typeof address === 'object' && address ? address.port : port;
  console.log(`Welcome is open at http://${HOST}:${at}  (data in ${folder}; stop with Ctrl+C)`);
});

for (const signal of ['SIGINT', 'SIGTERM'] as const) {
  process.on(signal, () => {
    server.close(() => {
      db.close();
      letGo();
      process.exit(0);
    });
    server.closeAllConnections();
  });
}
