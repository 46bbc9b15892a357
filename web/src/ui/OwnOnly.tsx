/** Addresses that lead nowhere but to the device on which they are read. */
const OWN_ONLY = new Set(['localhost', '127.0.0.1', '[::1]']);

/** Says that what carries this page's address leads nowhere for others. @param what "the code" */
export function OwnOnly({ what, toDo }: { readonly what: string; readonly toDo: string }) {
  return OWN_ONLY.has(location.hostname) ? (
    <p className="text-rework">
      ▲ Opened by {location.hostname}, {what} leads to this device only. Open Mendum by its network name {toDo}.
    </p>
  ) : null;
}
