/** Addresses that lead nowhere but to the device on which they are read. */
const OWN_ONLY = new Set(['localhost', '127.0.0.1', '[::1]']);

/** Says that what carries this page's address leads nowhere for others. @param what "the code" */
export function OwnOnly({ what, toDo }: { readonly what: string; readonly toDo: string }) {
  // A sheet that the server makes is read by no address.
  const host = typeof location === 'undefined' ? '' : location.hostname;
  return OWN_ONLY.has(host) ? (
    <p className="text-rework">
      ▲ Opened by {host}, {what} leads to this device only. Open Mendum by its network name {toDo}.
    </p>
  ) : null;
}
