import { writeCavities, writePinout } from '@mendum/core/pinout';
import type { Harness, HarnessNode } from '@mendum/core/harness';
import { download } from './import/sheets.ts';

interface Sort {
  readonly title: string;
  readonly name: string;
  readonly rows: () => string[][];
}

const LINK = 'min-h-11 min-w-11 underline underline-offset-4';

/** Files of a pinout to take along, each sort as CSV and as XLSX. */
function Files({ sorts }: { readonly sorts: readonly Sort[] }) {
  return sorts.map(({ title, name, rows }) => (
    <span key={title} className="flex flex-wrap items-center gap-x-4">
      <span className="text-soft">{title}</span>
      {(['csv', 'xlsx'] as const).map((kind) => (
        <button
          key={kind}
          type="button"
          className={LINK}
          aria-label={`${title} ${kind.toUpperCase()}`}
          onClick={() => void download(kind, rows(), name)}
        >
          {kind.toUpperCase()}
        </button>
      ))}
    </span>
  ));
}

/** A harness as a sheet: one line a circuit, or one a cavity. */
export function PinoutFiles({ harness }: { readonly harness: Harness }) {
  if (harness.circuits.length === 0) return null;
  return (
    <p className="no-print flex flex-wrap items-center gap-x-6 text-lg">
      <span className="text-soft">Take along:</span>
      <Files
        sorts={[
          { title: 'one line a circuit', name: harness.name, rows: () => writePinout(harness) },
          { title: 'one line a cavity', name: `${harness.name} cavities`, rows: () => writeCavities(harness) },
        ]}
      />
    </p>
  );
}

/** The cavities of one connector as a sheet. */
export function ConnectorFiles({ harness, node }: { readonly harness: Harness; readonly node: HarnessNode }) {
  return (
    <p className="no-print flex flex-wrap items-center gap-x-6 text-lg">
      <Files
        sorts={[
          {
            title: 'Its cavities as a sheet:',
            name: `${harness.name} ${node.name}`,
            rows: () => writeCavities(harness, [node]),
          },
        ]}
      />
    </p>
  );
}
