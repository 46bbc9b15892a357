/** Answers of the server that came with the page itself, by the address that they are the answer to. */
export type Given = Map<string, unknown>;

/** The element of the page in which they stand. */
const GIVEN_ID = 'given';

/** What came with this page: nothing, where the server did not draw it. */
export function givenOf(page: Document): Given {
  const text = page.getElementById(GIVEN_ID)?.textContent ?? '';
  return new Map(text === '' ? [] : Object.entries(JSON.parse(text) as Record<string, unknown>));
}

/** Takes the answer to an address, once: whoever asks again wants what holds then. */
export function takeGiven(given: unknown, address: string): { readonly data: unknown } | undefined {
  if (!(given instanceof Map) || !given.has(address)) return undefined;
  const data: unknown = given.get(address);
  given.delete(address);
  return { data };
}
