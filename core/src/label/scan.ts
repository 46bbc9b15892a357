/** Which record a square code names, whatever server it was printed by; nothing where it is another code. */
export function recordIn(code: string): string | undefined {
  try {
    const [, id] = /^\/r\/([^/]{1,120})$/.exec(new URL(code).pathname) ?? [];
    return id === undefined ? undefined : decodeURIComponent(id);
  } catch {
    return undefined;
  }
}
