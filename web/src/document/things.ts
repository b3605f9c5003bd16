/** Changes the thing with an id in a list. */
export function on<T extends { id: string }>(list: T[], id: string, set: (thing: T) => void): void {
  for (const thing of list) if (thing.id === id) set(thing);
}

/** Takes the thing with an id out of a list that is being edited. */
export function drop(list: { id: string }[], id: string): void {
  const at = list.findIndex((thing) => thing.id === id);
  if (at >= 0) list.splice(at, 1);
}

export function newId(taken: readonly { id: string }[], name: string): string {
  const stem =
    name
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-+|-+$/g, '')
      .slice(0, 40) || 'thing';
  // Random, so that two browsers that add at the same time do not meet in one id.
  const id = `${stem}-${Math.random().toString(36).slice(2, 7)}`;
  return taken.some((thing) => thing.id === id) ? newId(taken, name) : id;
}
