/** Keeps what was worked out for each key. */
export function kept<K, V>(make: (key: K) => V): (key: K) => V {
  const have = new Map<K, V>();
  return (key) => {
    let value = have.get(key);
    if (value === undefined) {
      value = make(key);
      have.set(key, value);
    }
    return value;
  };
}

/** Keeps what was worked out for each pair of keys. */
export function kept2<K, L, V>(make: (a: K, b: L) => V): (a: K, b: L) => V {
  const rows = kept((a: K) => kept((b: L) => make(a, b)));
  return (a, b) => rows(a)(b);
}
