/** The shop's own network, where the start was told to open to it: another listener for the same application, with the shop's certificate. */
import { isIP } from 'node:net';

export interface Lan {
  readonly address: string;
  readonly port: number;
  readonly keyFile: string;
  readonly certFile: string;
  /** SHA-256 of the certificate, to be compared where a browser warns. */
  readonly fingerprint: string;
}

/** Set by the start script; undefined: loopback only. */
export function lanFromStart(environment: NodeJS.ProcessEnv = process.env): Lan | undefined {
  const text = environment['FOX_TEMPO_LAN'];
  return text === undefined || text === '' ? undefined : (JSON.parse(text) as Lan);
}

/** What a telephone in the shop opens. */
export function lanOrigin({ address, port }: Pick<Lan, 'address' | 'port'>): string {
  return `https://${isIP(address) === 6 ? `[${address}]` : address}:${port}`;
}
