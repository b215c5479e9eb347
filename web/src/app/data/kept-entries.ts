import { type Entry } from '#contract/record';

/** Where the answers are that the page may show without a network; whoever is shut out loses them. */
const KEPT = 'welcome-answers';
/** A record of years is read again when the network is there. */
const MOST = 3000;
const nameOf = (batchKey: string): string => `/kept/entries/${batchKey}`;

/** Entries of a batch as this device saw them last; none where it keeps nothing. */
export async function keptEntries(batchKey: string): Promise<Entry[]> {
  if (!('caches' in globalThis) || !batchKey) return [];
  try {
    const kept = await (await caches.open(KEPT)).match(nameOf(batchKey));
    return kept ? ((await kept.json()) as Entry[]) : [];
  } catch {
    return [];
  }
}

export async function keepEntries(batchKey: string, entries: readonly Entry[]): Promise<void> {
  if (!('caches' in globalThis) || !batchKey || entries.length > MOST) return;
  try {
    await (await caches.open(KEPT)).put(nameOf(batchKey), new Response(JSON.stringify(entries)));
  } catch {
    // A device without room shows less when it is out of reach.
  }
}
