import { createServer as createPlain, type RequestListener, type Server } from 'node:http';
import { createServer as createSealed } from 'node:https';
import { hostname, networkInterfaces } from 'node:os';
import QRCode from 'qrcode';
import { type ShareWay, type Sharing as Answer } from '#contract/devices';
import { sealed } from '#server/devices/authority';
import { Pairing } from '#server/devices/pairing';
import { type DeviceStore } from '#server/devices/store';

/** Addresses of this machine in its own network. */
export function ownAddresses(): string[] {
  return Object.values(networkInterfaces())
    .flatMap((all) => all ?? [])
    .filter(({ internal, family }) => !internal && family === 'IPv4')
    .map(({ address }) => address);
}

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

export interface Door {
  data: string;
  port: number;
  now: () => Date;
  /** Of the machine itself: phones look at a certificate by their own clocks. */
  machineNow: () => Date;
  /** What answers who comes in by it. */
  listener: RequestListener;
}

/** The door to the nursery's own network: shut, behind a certificate, or plain. */
export class Sharing {
  private server: Server | null = null;
  private way: ShareWay = 'off';
  problem = '';
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
    return (own.length > 0 ? own : ['127.0.0.1']).map(
      (address) => `${this.way === 'plain' ? 'http' : 'https'}://${address}:${port}`,
    );
  }

  /** Opens or shuts it; what could not be opened is told in words. */
  async set(way: ShareWay): Promise<void> {
    await this.shut();
    this.way = way;
    this.problem = '';
    if (way === 'off') return;
    const { data, machineNow, listener, port } = this.door;
    try {
      const server =
        way === 'plain'
          ? createPlain(listener)
          : createSealed(sealed(data, ownNames(), machineNow()), listener);
      await new Promise<void>((open, failed) => {
        server.once('error', failed);
        server.listen(port, '0.0.0.0', () => {
          server.off('error', failed);
          open();
        });
      });
      this.server = server;
    } catch (error) {
      const { code, message } = error as NodeJS.ErrnoException;
      this.problem =
        code === 'EADDRINUSE' ? `port ${port} is taken: choose another with WELCOME_SHARE_PORT` : message;
    }
  }

  async shut(): Promise<void> {
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
      code: waiting && {
        ...{ ...waiting, address },
        picture: address
          ? `data:image/svg+xml;base64,${Buffer.from(await QRCode.toString(address, { type: 'svg', margin: 2 })).toString('base64')}`
          : '',
      },
    };
  }
}
