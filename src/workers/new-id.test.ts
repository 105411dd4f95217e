import { newId } from './new-id';

test('an id is a UUID of version 4, and no two are alike, also where the browser has no randomUUID', () => {
  const own = Object.getOwnPropertyDescriptor(crypto, 'randomUUID');
  Object.defineProperty(crypto, 'randomUUID', { value: undefined, configurable: true });
  try {
    const ids = Array.from({ length: 2_000 }, newId);
    for (const id of ids)
      expect(id).toMatch(/^[0-9a-f]{8}-[0-9a-f]{4}-4[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/);
    expect(new Set(ids).size).toBe(ids.length);
  } finally {
    if (own) Object.defineProperty(crypto, 'randomUUID', own);
    else Reflect.deleteProperty(crypto, 'randomUUID');
  }
});
