/**
 * Every error the server answers with: its status and, where the words are always the same, its sentence and remedy.
 */
export const ERRORS = {
  NOT_JSON: { status: 400, hint: 'Send one JSON object with the content type application/json.' },
  EMPTY_BODY: { status: 400, hint: 'Send one JSON object.' },
  BAD_REQUEST: { status: 400, hint: 'Correct the address or the head of the request.' },
  NOT_UNDERSTOOD: { status: 415, hint: 'Send UTF-8, plain or compressed with gzip, deflate or br.' },
  RANGE_REFUSED: { status: 416, hint: 'Ask for a part that is there, or for the whole.' },
  PRECONDITION: { status: 412, hint: 'Load it again, and send the change anew.' },
  BODY_TOO_LARGE: { status: 413, hint: 'Send less at once; a job file of 400 circuits is under 1 MB.' },
  BAD_INPUT: { status: 422, hint: 'Correct the field named and send it again; nothing was changed.' },
  JOB_FILE: { status: 422, hint: 'Correct every place named and import again; nothing was imported.' },
  HOST_REFUSED: {
    status: 403,
    hint: 'Use its address in figures, or have MENDUM_HOSTS name it and start the server again.',
  },
  ORIGIN_REFUSED: { status: 403, hint: 'Do it on a page of this server; nothing was changed.' },
  SIGN_IN_NEEDED: { status: 401, hint: 'Sign in; what you entered stays here meanwhile.' },
  SIGN_IN_REFUSED: { status: 401, hint: 'Check the name, and type the PIN or passphrase again.' },
  SIGN_IN_WAITS: { status: 429, hint: 'Wait; or ask an admin for a new PIN.' },
  TOO_MANY: { status: 429, hint: 'Wait a minute and send it again; nothing was changed.' },
  NOT_ALLOWED: { status: 403, hint: 'Ask a lead or an admin to do it; nothing was changed.' },
  CONFIRM_NEEDED: { status: 403, hint: 'Type it, and it is sent again; nothing was changed.' },
  SECRET_TO_CHANGE: { status: 403, hint: 'Change it where you signed in; nothing was changed.' },
  SECRET_REFUSED: { status: 422, hint: 'Take another one; nothing was changed.' },
  ACCOUNT_REFUSED: { status: 409, hint: 'Nothing was changed.' },
  NOT_FOUND: { status: 404, hint: 'It may have been removed; go back to the list.' },
  PARCEL_REFUSED: { status: 422, hint: 'Nothing was read in.' },
  PHOTO_GONE: { status: 404, hint: 'Bring it back from a backup: npm run restore -- FILE.' },
  STALE: { status: 409, hint: 'Somebody saved in between. Look at both, and save again on top of the newer one.' },
  WRITE_ID_REUSED: { status: 409, hint: 'Use a new write id for a new write.' },
  JOB_SIGNED: { status: 409, hint: 'The record stands. Add a correction to it instead.' },
  EDIT_REFUSED: { status: 422, hint: 'Undo that edit and save again; nothing was changed.' },
  HAS_WORK: { status: 409, hint: 'Make the joint again in Prove (rework), or leave the finding as it is.' },
  GATE_CLOSED: { status: 409, hint: 'Open the gate in Survey first.' },
  PLACE_NOT_LEGAL: { status: 422, hint: 'Put the splice where the board lets it lie.' },
  NO_SUCH_SPLICE: { status: 409, hint: 'The plan has changed since: load the job again.' },
  NOT_DUE: { status: 409, hint: 'Look at Due back again.' },
  TODO_TAKEN: { status: 409, hint: 'Look at the list again; nothing was changed.' },
  PRINTER_REFUSED: {
    status: 503,
    hint: 'Switch the printer on and send it again, or print the PDF; nothing was changed.',
  },
  RECORD_REFUSED: { status: 409, hint: 'Finish what is named and sign again.' },
  SHELF_FILE: { status: 422, hint: 'Correct every line named and import again; nothing was imported.' },
  PRACTICE_USED: { status: 409, hint: 'Give those jobs another practice first.' },
  PHOTO_REFUSED: { status: 422, hint: 'Attach a JPEG, PNG or WebP photo of 10 MB at most.' },
  MAPPING_REFUSED: { status: 422, hint: 'Map cavity by cavity, never by colour.' },
  PLAN_TOO_LONG: {
    status: 503,
    hint: 'Split the job, circuits of one connector together; or give planning more time with PLAN_SECONDS.',
  },
  CHANGED_MEANWHILE: { status: 409, hint: 'Nothing was saved. Send it again.' },
  DATA_MOVED: { status: 503, hint: 'Put the data folder back and start the server again; then send it again.' },
  DATA_READ_ONLY: { status: 503, hint: 'Make the data folder writable for the server; then send it again.' },
  DATA_DAMAGED: { status: 503, hint: 'Stop the server, and bring a backup back: npm run restore -- FILE.' },
  DATA_UNREADABLE: { status: 503, hint: 'Send it again; if it happens again, check the disk of the server.' },
  DISK_FULL: { status: 507, hint: 'Make room on the disk of the server; then send it again.' },
  INTERNAL: { status: 500, hint: 'Nothing was saved. Try again; if it happens again, check the log.' },
} as const;

export type ErrorCode = keyof typeof ERRORS;

/** What an error carries besides its sentence. */
export interface ErrorMore {
  readonly field?: string | undefined;
  readonly hint?: string | undefined;
  /** For a stale write, what is stored now; for a file, every bad place. */
  readonly details?: unknown;
}

/** An error that is shown to people as it is: it names the thing, the value, the limit and what to do. */
export class AppError extends Error {
  constructor(
    readonly code: ErrorCode,
    message: string,
    readonly more: ErrorMore = {},
  ) {
    super(message);
    this.name = 'AppError';
  }

  get status(): number {
    return ERRORS[this.code].status;
  }

  /** The one error shape. */
  body(): { error: { code: ErrorCode; message: string; field?: string; hint: string; details?: unknown } } {
    const { field, hint, details } = this.more;
    return {
      error: {
        code: this.code,
        message: this.message,
        ...(field === undefined ? {} : { field }),
        hint: hint ?? ERRORS[this.code].hint,
        ...(details === undefined ? {} : { details }),
      },
    };
  }
}
