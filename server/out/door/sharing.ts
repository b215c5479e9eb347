import {
  createServer as createPlain,
  type RequestListener,
  type Server,
  type ServerResponse,
} from 'node:http';
import { createServer as createSealed, type Server as SealedServer } from 'node:https';
import { type Socket } from 'node:net';
import { hostname, networkInterfaces } from 'node:os';
import QRCode from 'qrcode';
import { type ShareWay, type SharingDoor as Answer } from '#contract/devices';
import { fingerprintOf, isPrivate, type Sealed, sealed } from '#server/base/security/authority';
import { Pairing } from '#server/base/security/pairing';
import { type DeviceStore } from '#server/kept/devices';

/** Addresses of this machine in its own network. */
export function ownAddresses(): string[] {
  return Object.values(networkInterfaces())
    .flatMap((all) => all ?? [])
    .filter(({ internal, family }) => !internal && family === 'IPv4')
    .map(({ address }) => address);
}

const localName = (): string =>
  `${hostname()
    .toLowerCase()
    .replace(/\.local$/, '')}.local`;

/** Names under which the open door answers: its addresses, its name, and loopback for who tries it here. */
export const ownNames = (): string[] => {
  const name = hostname().toLowerCase();
  return [
    ...ownAddresses(),
    ...(name.endsWith('.local') ? [name] : [name, `${name}.local`]),
    '127.0.0.1',
    'localhost',
  ];
};

/** Who says nothing for so long is shut out again; a page with its streams has some dozen connections. */
const SILENT_MS = 15_000;
const MOST_CONNECTIONS = 64;
const PATIENCE = {
  ...{ headersTimeout: SILENT_MS, requestTimeout: 10 * 60_000, connectionsCheckingInterval: 2000 },
} as const;
const SEAL_EVERY_MS = 60_000;

/** So many connections from one address, and no more. */
function limitConnections(server: Server): void {
  const open = new Map<string, number>();
  server.on('connection', (socket: Socket) => {
    const from = socket.remoteAddress ?? '';
    const count = (open.get(from) ?? 0) + 1;
    open.set(from, count);
    socket.once('close', () => {
      const left = (open.get(from) ?? 1) - 1;
      if (left > 0) open.set(from, left);
      else open.delete(from);
    });
    if (count > MOST_CONNECTIONS) socket.destroy();
  });
}

export interface Door {
  data: string;
  port: number;
  now: () => Date;
  /** Of the machine itself: phones look at a certificate by their own clocks. */
  machineNow: () => Date;
  /** Under which names it can be reached; those of this machine where nothing is said. */
  names?: () => readonly string[];
  /** How often its certificate is looked after; a minute where nothing is said. */
  sealEveryMs?: number;
  /** What answers who comes in by it. */
  listener: RequestListener;
}

/** The door to the nursery's own network: shut, behind a certificate, or plain. */
export class Sharing {
  private server: Server | null = null;
  private way: ShareWay = 'off';
  problem = '';
  private sealing: ReturnType<typeof setInterval> | undefined;
  private readonly answering = new Map<number, Set<ServerResponse>>();
  readonly pairing: Pairing;

  constructor(private readonly door: Door) {
    this.pairing = new Pairing(door.now);
  }

  get isOpen(): boolean {
    return this.server !== null;
  }

  /** Addresses that a phone can reach; none while it is shut. */
  get addresses(): string[] {
    if (!this.server) return [];
    const at = this.server.address();
    const port = typeof at === 'object' && at ? at.port : this.door.port;
    // In no network it is open to this machine alone.
    const own = ownAddresses();
    // The certificate is for private ones: one in the open is reached by the machine's name.
    const sealable = this.way === 'sealed' && own.length > 0 ? own.filter(isPrivate) : own;
    const byName = own.length > 0 ? localName() : '127.0.0.1';
    return (sealable.length > 0 ? sealable : [byName]).map(
      (address) => `${this.way === 'plain' ? 'http' : 'https'}://${address}:${port}`,
    );
  }

  /** Notes what is being answered to a device, as its streams: so that it can be ended. */
  answers(device: number, res: ServerResponse): void {
    const open = this.answering.get(device) ?? new Set();
    this.answering.set(device, open.add(res));
    res.once('close', () => {
      open.delete(res);
      if (open.size === 0 && this.answering.get(device) === open) this.answering.delete(device);
    });
  }

  /** Ends all that is being answered to a device whose leave was taken away. */
  end(device: number): void {
    for (const res of this.answering.get(device) ?? []) res.destroy();
  }

  /** Opens or shuts it; what could not be opened is told in words. */
  async set(way: ShareWay): Promise<void> {
    await this.shut();
    this.way = way;
    this.problem = '';
    if (way === 'off') return;
    const { data, machineNow, listener, port, names = ownNames } = this.door;
    try {
      const seal = (): Sealed => sealed(data, names(), machineNow());
      const server =
        way === 'plain'
          ? createPlain(PATIENCE, listener)
          : createSealed({ ...PATIENCE, ...seal(), handshakeTimeout: SILENT_MS }, listener);
      limitConnections(server);
      await new Promise<void>((open, failed) => {
        server.once('error', failed);
        server.listen(port, '0.0.0.0', () => {
          server.off('error', failed);
          open();
        });
      });
      this.server = server;
      if ('setSecureContext' in server) this.keepSealed(server, seal);
    } catch (error) {
      const { code, message } = error as NodeJS.ErrnoException;
      this.problem =
        code === 'EADDRINUSE' ? `port ${port} is taken: choose another with WELCOME_SHARE_PORT` : message;
    }
  }

  /** The machine may come to have other addresses, and a certificate its end: looked after while the door is open. */
  private keepSealed(server: SealedServer, seal: () => Sealed): void {
    let { cert } = seal();
    this.sealing = setInterval(() => {
      const now = seal();
      if (now.cert !== cert) server.setSecureContext(now);
      ({ cert } = now);
    }, this.door.sealEveryMs ?? SEAL_EVERY_MS);
    this.sealing.unref();
  }

  async shut(): Promise<void> {
    clearInterval(this.sealing);
    const { server } = this;
    this.server = null;
    if (!server) return;
    server.closeAllConnections();
    await new Promise((shut) => server.close(shut));
  }

  async answer(devices: DeviceStore): Promise<Answer> {
    const { way, addresses, problem } = this;
    const waiting = this.pairing.waiting;
    const [first] = addresses;
    const address = waiting && first ? `${first}/pair?code=${waiting.text}` : '';
    return {
      ...{ way, addresses, problem, devices: devices.all() },
      fingerprint: way === 'sealed' ? fingerprintOf(this.door.data) : null,
      code: waiting && {
        ...{ ...waiting, address },
        picture: address
          ? `data:image/svg+xml;base64,${Buffer.from(await QRCode.toString(address, { type: 'svg', margin: 2 })).toString('base64')}`
          : '',
      },
    };
  }
}
