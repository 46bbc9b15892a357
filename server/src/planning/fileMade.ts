/** A file to send: its name and its content. */
export interface FileMade {
  readonly name: string;
  readonly content: Uint8Array | string;
}
