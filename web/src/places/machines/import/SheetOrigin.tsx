import type { PinoutSource } from '@mendum/core/harness';
import { TextField } from '../../../ui/field.tsx';

/** Where a sheet is from, as it is typed; blank is not said. */
export interface Origin {
  readonly source: string;
  readonly year: string;
  readonly variant: string;
}
/** Letters of a source, as they are kept. */
const SOURCE_MOST = 200;
export const NO_ORIGIN: Origin = { source: '', year: '', variant: '' };

/** A sheet out of a file is from that file until somebody says otherwise. */
export const originOf = (fileName = ''): Origin => ({ ...NO_ORIGIN, source: fileName.slice(0, SOURCE_MOST) });

/** What was typed, as it is kept; nothing where no source is named. */
export function sourceOf({ source, year, variant }: Origin): PinoutSource | undefined {
  const [from, of, which] = [source.trim(), year.trim(), variant.trim()];
  if (from === '') return undefined;
  return { source: from, ...(of === '' ? {} : { year: of }), ...(which === '' ? {} : { variant: which }) };
}

/** A source as it is typed. */
export const typed = ({ source, year = '', variant = '' }: PinoutSource): Origin => ({ source, year, variant });

/** Source, year and variant of a sheet. */
export function OriginFields({ of, onChange }: { readonly of: Origin; readonly onChange: (of: Origin) => void }) {
  const set = (part: Partial<Origin>): void => onChange({ ...of, ...part });
  return (
    <div className="grid gap-3 sm:grid-cols-3">
      <TextField
        label="Where it is from"
        placeholder="Service manual, page 214"
        value={of.source}
        maxLength={SOURCE_MOST}
        onChange={(event) => set({ source: event.target.value })}
      />
      <TextField
        label="Model year"
        placeholder="2029 to 2031"
        value={of.year}
        maxLength={40}
        onChange={(event) => set({ year: event.target.value })}
      />
      <TextField
        label="Variant"
        placeholder="with cab heater"
        value={of.variant}
        maxLength={SOURCE_MOST}
        onChange={(event) => set({ variant: event.target.value })}
      />
    </div>
  );
}
