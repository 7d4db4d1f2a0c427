/** Opening a shop to its own network: one chosen address of this machine, and a certificate of the shop's own for it. */
import { createHash, X509Certificate } from 'node:crypto';
import { chmodSync, existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { isIP } from 'node:net';
import { networkInterfaces } from 'node:os';
import { join } from 'node:path';
import { generate } from 'selfsigned';
import { Refusal } from './say.mjs';

export const usualLanPort = 4443;
/** Browsers refuse certificates that are good for longer than this, days. */
const lifeDays = 820;
/** Made anew this long before it ends, days. */
const spareDays = 30;
const dayMs = 86_400_000;

/**
 * Reads `ADDRESS` or `ADDRESS:PORT`. Only an address that this machine has: every address at once, or a name, opens more than was meant.
 * @param {string} text
 * @param {Readonly<Record<string, readonly { readonly address: string }[] | undefined>>} interfaces
 */
export function lanOf(text, interfaces = networkInterfaces()) {
  const match = /^\[?([0-9a-fA-F.:]+?)\]?(?::(\d{1,5}))?$/.exec(text);
  const whole = isIP(text) ? text : undefined;
  const address = whole ?? match?.[1];
  const port = whole === undefined && match?.[2] !== undefined ? Number(match[2]) : usualLanPort;
  const own = Object.values(interfaces).flatMap((list) => (list ?? []).map((one) => one.address));
  const named = own.filter((one) => !one.startsWith('127.') && one !== '::1' && !one.startsWith('fe80'));
  const advice = named.length > 0 ? ` This machine has ${named.join(', ')}.` : ' This machine is in no network now.';
  if (address === undefined || isIP(address) === 0)
    throw new Refusal(`--lan wants an address such as 192.168.1.20 or 192.168.1.20:4443; got "${text}".${advice}`);
  if (port < 1 || port > 65_535) throw new Refusal(`The port of --lan must be from 1 to 65535; got ${port}.`);
  if (!own.includes(address) && !address.startsWith('127.'))
    throw new Refusal(`--lan ${address} is no address of this machine.${advice}`);
  return { address, port };
}

export function lanOrigin({ address, port }) {
  return `https://${isIP(address) === 6 ? `[${address}]` : address}:${port}`;
}

/** The certificate in the data folder, made where there is none, where it ends soon, or where it was made for another address. */
export async function ensureCertificate(folder, address, now = Date.now()) {
  const place = join(folder, 'lan');
  const keyFile = join(place, 'key.pem');
  const certFile = join(place, 'certificate.pem');
  const stands = existsSync(keyFile) && existsSync(certFile) && isGood(readFileSync(certFile), address, now);
  if (!stands) {
    mkdirSync(place, { recursive: true, mode: 0o700 });
    const made = await generate([{ name: 'commonName', value: `Fox Tempo at ${address}` }], {
      keyType: 'ec',
      curve: 'P-256',
      algorithm: 'sha256',
      notBeforeDate: new Date(now - dayMs),
      notAfterDate: new Date(now + lifeDays * dayMs),
      extensions: [
        { name: 'basicConstraints', cA: false, critical: true },
        { name: 'keyUsage', digitalSignature: true, critical: true },
        { name: 'extKeyUsage', serverAuth: true },
        { name: 'subjectAltName', altNames: [{ type: 7, ip: address }] },
      ],
    });
    writeFileSync(keyFile, made.private, { mode: 0o600 });
    chmodSync(keyFile, 0o600);
    writeFileSync(certFile, made.cert);
  }
  const { raw, validTo } = new X509Certificate(readFileSync(certFile));
  const fingerprint = createHash('sha256').update(raw).digest('hex').toUpperCase().match(/../g).join(':');
  return { keyFile, certFile, fingerprint, until: new Date(validTo), isNew: !stands };
}

function isGood(pem, address, now) {
  try {
    const certificate = new X509Certificate(pem);
    return certificate.checkIP(address) !== undefined && Date.parse(certificate.validTo) - now > spareDays * dayMs;
  } catch {
    return false;
  }
}
