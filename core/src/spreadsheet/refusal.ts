/** A file that cannot be read as a sheet: why, and what to do. */
export class SheetRefused extends Error {
  constructor(
    message: string,
    readonly remedy: string,
  ) {
    super(message);
    this.name = 'SheetRefused';
  }
}
