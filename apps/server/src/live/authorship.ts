import * as Y from 'yjs';

const STAMP = Symbol('authorship');
const LISTS = ['topics', 'links', 'wordBank'] as const;

/**
 * Keeps `by` truthful: whoever's connection first brought a topic, link or bank entry is its author, whatever the client
 * says, and nobody changes it afterwards.
 * @param accountOf the account behind a transaction's origin; null for the server's own transactions
 */
export function keepAuthors(doc: Y.Doc, accountOf: (origin: unknown) => string | null): void {
  const authors = new Map<string, unknown>();
  for (const name of LISTS) {
    for (const [id, member] of list(doc, name))
      if (member instanceof Y.Map) authors.set(`${name}/${id}`, member.get('by'));
  }
  doc.on('afterTransaction', (transaction: Y.Transaction) => {
    if (transaction.origin === STAMP) return;
    const account = accountOf(transaction.origin);
    const wrong: [Y.Map<unknown>, unknown][] = [];
    for (const name of LISTS) {
      for (const id of touchedIds(transaction, list(doc, name))) {
        const member = list(doc, name).get(id);
        if (!(member instanceof Y.Map)) continue;
        const key = `${name}/${id}`;
        if (!authors.has(key)) authors.set(key, account ?? member.get('by'));
        const right = authors.get(key);
        if (member.get('by') !== right) wrong.push([member, right]);
      }
    }
    if (wrong.length === 0) return;
    doc.transact(() => {
      for (const [member, right] of wrong) {
        if (right === undefined) member.delete('by');
        else member.set('by', right);
      }
    }, STAMP);
  });
}

const list = (doc: Y.Doc, name: string): Y.Map<unknown> => doc.getMap(name);

/** Ids of the members that were added, or whose `by` was set, in a transaction. */
function touchedIds(transaction: Y.Transaction, members: Y.Map<unknown>): Set<string> {
  const ids = new Set<string>();
  for (const [type, keys] of transaction.changed as Map<Y.AbstractType<unknown>, Set<string | null>>) {
    if ((type as unknown) === members) for (const key of keys) if (key !== null) ids.add(key);
    const key = type.parent === (members as unknown) && keys.has('by') ? type._item?.parentSub : null;
    if (key) ids.add(key);
  }
  return ids;
}
