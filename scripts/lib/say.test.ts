import { describe, expect, it } from '@jest/globals';
import { fileTrouble } from './say.mjs';

describe('what the disk says', () => {
  it.each([
    ['ENOSPC', 'write', /no space left.*the data stay/],
    ['EROFS', 'open', /read-only/],
    ['EACCES', 'open', /may not write/],
    ['ENOENT', 'mkdir', /cannot be made.*read-only/],
  ])('%s is a sentence with the place', (code, syscall, words) => {
    const said = fileTrouble({ code, syscall, path: '/shop/data' });
    expect(said).toMatch(words);
    expect(said).toContain('/shop/data');
  });

  it('other failures keep their stack', () => {
    expect(fileTrouble({ code: 'ENOENT', syscall: 'open', path: '/x' })).toBeUndefined();
    expect(fileTrouble({ code: 'ERR_BUG' })).toBeUndefined();
  });
});
