/** A photograph made small enough to keep: looked at before it is decoded, so that a picture of a million lines never is. */

export const largestPixels = 60e6;
const longestSide = 2000;
const largestBytes = 400_000;

export type PhotoTrouble = 'not-a-photo' | 'too-many-pixels';

/** Width and height as its first bytes say; null where they are no photograph of a kind that is taken. */
export function photoSize(bytes: Uint8Array): readonly [number, number] | null {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const starts = (...values: number[]) => values.every((value, at) => bytes[at] === value);
  if (starts(0x89, 0x50, 0x4e, 0x47) && bytes.length > 24) return [view.getUint32(16), view.getUint32(20)];
  if (starts(0x52, 0x49, 0x46, 0x46) && bytes.length > 30) return webpSize(bytes, view);
  return starts(0xff, 0xd8) ? jpegSize(bytes, view) : null;
}

function jpegSize(bytes: Uint8Array, view: DataView): readonly [number, number] | null {
  for (let at = 2; at + 9 < bytes.length;) {
    if (bytes[at] !== 0xff) return null;
    const marker = bytes[at + 1] ?? 0;
    // Frame headers, but not the tables and the arithmetic conditioning among them.
    if (marker >= 0xc0 && marker <= 0xcf && ![0xc4, 0xc8, 0xcc].includes(marker))
      return [view.getUint16(at + 7), view.getUint16(at + 5)];
    at += 2 + view.getUint16(at + 2);
  }
  return null;
}

function webpSize(bytes: Uint8Array, view: DataView): readonly [number, number] | null {
  const kind = String.fromCharCode(...bytes.slice(12, 16));
  const three = (at: number) => view.getUint8(at) | (view.getUint8(at + 1) << 8) | (view.getUint8(at + 2) << 16);
  if (kind === 'VP8X') return [three(24) + 1, three(27) + 1];
  if (kind === 'VP8 ') return [view.getUint16(26, true) & 0x3fff, view.getUint16(28, true) & 0x3fff];
  if (kind !== 'VP8L') return null;
  const bits = view.getUint32(21, true);
  return [(bits & 0x3fff) + 1, ((bits >> 14) & 0x3fff) + 1];
}

/** At most 2000 px long and 400 kB; a trouble where it is no photograph, or one that would fill the memory. */
export async function smallPhoto(file: Blob): Promise<Blob | PhotoTrouble> {
  const size = photoSize(new Uint8Array(await file.slice(0, 512 * 1024).arrayBuffer()));
  if (!size || size[0] === 0 || size[1] === 0) return 'not-a-photo';
  if (size[0] * size[1] > largestPixels) return 'too-many-pixels';
  const bitmap = await createImageBitmap(file).catch(() => null);
  if (!bitmap) return 'not-a-photo';
  const scale = Math.min(longestSide / Math.max(bitmap.width, bitmap.height), 1);
  const canvas = document.createElement('canvas');
  canvas.width = Math.round(bitmap.width * scale);
  canvas.height = Math.round(bitmap.height * scale);
  canvas.getContext('2d')?.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
  bitmap.close();
  for (const quality of [0.82, 0.7, 0.55, 0.4]) {
    const blob = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, 'image/jpeg', quality));
    if (blob && (blob.size <= largestBytes || quality === 0.4)) return blob;
  }
  return 'not-a-photo';
}
