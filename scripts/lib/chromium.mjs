/** Chromium from Debian's packages, for journeys and screenshots. */
import { existsSync } from 'node:fs';
import { ensureDebianPackage } from './debian.mjs';

export const chromiumPath = '/usr/bin/chromium';

/** Nothing it starts may look for a network. */
export const chromiumArguments = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
];

export async function ensureChromium() {
  await ensureDebianPackage('chromium', () => existsSync(chromiumPath), 'Chromium, for the journeys');
}
