import { describe, expect, it } from '@jest/globals';
import { largestPixels, photoSize, smallPhoto } from './photo.ts';

function png(width: number, height: number): Uint8Array {
  const bytes = new Uint8Array(33);
  bytes.set([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]);
  const view = new DataView(bytes.buffer);
  view.setUint32(16, width);
  view.setUint32(20, height);
  return bytes;
}

function jpeg(width: number, height: number): Uint8Array {
  // Start, a table of 4 bytes, and a baseline frame.
  const bytes = new Uint8Array([
    0xff, 0xd8, 0xff, 0xe0, 0, 4, 1, 2, 0xff, 0xc0, 0, 17, 8, 0, 0, 0, 0, 3, 0, 0, 0, 0, 0,
  ]);
  const view = new DataView(bytes.buffer);
  view.setUint16(13, height);
  view.setUint16(15, width);
  return bytes;
}

describe('a photograph', () => {
  it('tells its size before it is decoded', () => {
    expect(photoSize(png(4000, 3000))).toEqual([4000, 3000]);
    expect(photoSize(jpeg(4032, 3024))).toEqual([4032, 3024]);
    expect(photoSize(new TextEncoder().encode('<svg onload="alert(1)">'))).toBeNull();
    expect(photoSize(new Uint8Array([0xff, 0xd8, 0x00, 0x01, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0]))).toBeNull();
  });

  it('is refused when it is none, or would fill the memory', async () => {
    const blob = (bytes: Uint8Array) =>
      ({ slice: () => ({ arrayBuffer: () => Promise.resolve(bytes.buffer) }) }) as unknown as Blob;
    expect(await smallPhoto(blob(new TextEncoder().encode('a text, whatever its name says')))).toBe('not-a-photo');
    const side = Math.ceil(Math.sqrt(largestPixels)) + 1;
    expect(await smallPhoto(blob(png(side, side)))).toBe('too-many-pixels');
  });
});
