/** All words of a document, in order. */
export function words(node: unknown): string {
  if (typeof node === 'string') return node;
  if (Array.isArray(node)) return node.map(words).join(' ');
  if (!node || typeof node !== 'object') return '';
  const { text, stack, columns, table, body, ol, content } = node as Record<string, unknown>;
  return [text, stack, columns, table, body, ol, content].map(words).join(' ');
}
/** As it is compared: single spaces, thirds spelled out. */
export const plain = (text: string): string => text.replace(/\s+/g, ' ');
