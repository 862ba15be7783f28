/** Things by what they have in common, each group and the groups in the order of their first. */
export function groupedBy<One, Key>(list: Iterable<One>, keyOf: (one: One) => Key): Map<Key, One[]> {
  const groups = new Map<Key, One[]>();
  for (const one of list) {
    const key = keyOf(one);
    const known = groups.get(key);
    if (known) known.push(one);
    else groups.set(key, [one]);
  }
  return groups;
}
