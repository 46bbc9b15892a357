/** A question and its answer. */
export function Said({ title, children }: { readonly title: string; readonly children: React.ReactNode }) {
  return (
    <div className="grid gap-x-4 border-b border-rule py-2 sm:grid-cols-[9rem_1fr]">
      <dt className="text-soft">{title}</dt>
      <dd className="text-lg">{children}</dd>
    </div>
  );
}
