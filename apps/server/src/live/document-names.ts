import { ID_FORM } from '../common/ids.js';

/** `kind:id`, exactly: a name with a blank behind it would be another document to some and the same one to others. */
export function readDocumentName(name: string): { kind: string; id: string } | null {
  const [kind, id, ...more] = name.split(':');
  return kind && /^[a-z]{1,20}$/.test(kind) && id && ID_FORM.test(id) && more.length === 0 ? { kind, id } : null;
}
