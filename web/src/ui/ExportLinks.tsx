import type { ExportAsked } from '@mendum/core/operations';

const AS = [
  { as: 'csv', title: 'CSV' },
  { as: 'xlsx', title: 'XLSX' },
  { as: 'json', title: 'JSON' },
  { as: 'zip', title: 'Parcel (ZIP)' },
] as const;

/** Records to take along: as a table, or as a parcel with sheets, photos and the proof that nothing in it was changed. */
export function ExportLinks({ of, label = 'Take along' }: { readonly of: ExportAsked; readonly label?: string }) {
  const query = new URLSearchParams(of as Record<string, string>).toString();
  return (
    <p className="no-print flex flex-wrap items-baseline gap-x-5 text-lg">
      <span className="text-soft">{label}:</span>
      {AS.map(({ as, title }) => (
        <a
          key={as}
          href={`/api/export/records.${as}${query === '' ? '' : `?${query}`}`}
          download
          title={as === 'zip' ? 'Records with their proof, sheets and photos' : undefined}
          className="inline-flex min-h-11 items-center underline underline-offset-4"
        >
          {title}
        </a>
      ))}
    </p>
  );
}
