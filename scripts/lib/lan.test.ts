import { describe, expect, it } from '@jest/globals';
import { X509Certificate } from 'node:crypto';
import { mkdtempSync, readFileSync, rmSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ensureCertificate, lanOf, lanOrigin } from './lan.mjs';

const interfaces = {
  lo: [{ address: '127.0.0.1' }],
  eth0: [{ address: '192.168.7.20' }, { address: 'fe80::1' }, { address: 'fd00::20' }],
};

describe('opening to the shop’s network', () => {
  it.each([
    ['192.168.7.20', { address: '192.168.7.20', port: 4443 }, 'https://192.168.7.20:4443'],
    ['192.168.7.20:8443', { address: '192.168.7.20', port: 8443 }, 'https://192.168.7.20:8443'],
    ['fd00::20', { address: 'fd00::20', port: 4443 }, 'https://[fd00::20]:4443'],
    ['[fd00::20]:8443', { address: 'fd00::20', port: 8443 }, 'https://[fd00::20]:8443'],
  ])('takes %s', (text, lan, origin) => {
    expect(lanOf(text, interfaces)).toEqual(lan);
    expect(lanOrigin(lan)).toBe(origin);
  });

  it.each(['0.0.0.0', '::', 'shop.local', '192.168.7.21', '192.168.7.20:70000', ''])(
    'refuses %s, and names what this machine has',
    (text) => {
      expect(() => lanOf(text, interfaces)).toThrow(/192\.168\.7\.20|1 to 65535/);
    },
  );

  it('makes a certificate once, with a key that nobody else reads, and another for another address or at its end', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'fox-tempo-lan-'));
    try {
      const first = await ensureCertificate(folder, '192.168.7.20');
      expect(first.isNew).toBe(true);
      expect(statSync(first.keyFile).mode & 0o077).toBe(0);
      const certificate = new X509Certificate(readFileSync(first.certFile));
      expect(certificate.checkIP('192.168.7.20')).toBe('192.168.7.20');
      expect(certificate.fingerprint256).toBe(first.fingerprint);
      expect(await ensureCertificate(folder, '192.168.7.20')).toEqual({ ...first, isNew: false });
      const moved = await ensureCertificate(folder, '192.168.7.21');
      expect(moved.fingerprint).not.toBe(first.fingerprint);
      const late = await ensureCertificate(folder, '192.168.7.21', moved.until.getTime() - 10 * 86_400_000);
      expect(late.isNew).toBe(true);
    } finally {
      rmSync(folder, { recursive: true, force: true });
    }
  });
});
