/** Every string of a document, in its order. */
export function textOf(node: unknown): string {
  if (typeof node === 'string') return node;
  if (typeof node === 'number') return String(node);
  if (Array.isArray(node)) return node.map(textOf).join(' ');
  if (typeof node !== 'object' || node === null) return '';
  return Object.entries(node)
    .filter(([key]) => ['content', 'text', 'stack', 'columns', 'table', 'body', 'ul', 'ol'].includes(key))
    .map(([, value]) => textOf(value))
    .join(' ');
}
