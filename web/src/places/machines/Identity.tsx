import { IDENTITY_TEXTS, identityInWords, LATCH_WORDS, LATCHES, type IdentityText } from '@mendum/core/connector';
import type { HarnessNode } from '@mendum/core/harness';
import type { Form } from '../../form/useThing.ts';
import { NumberField, Select, TextField } from '../../ui/field.tsx';

const LONGEST = 60;

interface IdentityProps {
  readonly node: HarnessNode;
  readonly field: Form<HarnessNode>['field'];
  /** The field that is asked for: then all of them stand open. */
  readonly isAsked: boolean;
}

/** What is moulded and printed on a connector: parts are found by it, and the tool that frees its terminals. */
export function Identity({ node, field, isAsked }: IdentityProps) {
  const words = identityInWords(node.identity ?? {});
  return (
    <details className="border-t border-rule" open={isAsked || undefined}>
      <summary className="flex min-h-11 cursor-pointer flex-wrap items-center gap-x-2 text-lg">
        <span className="font-semibold underline underline-offset-4">What is printed on it</span>
        <span className="text-soft">{words === '' ? 'nothing noted; parts fit by family' : words}</span>
      </summary>
      <div className="grid items-start gap-3 pb-4 sm:grid-cols-2 lg:grid-cols-3">
        {(Object.keys(IDENTITY_TEXTS) as IdentityText[]).map((key) => (
          <TextField key={key} label={IDENTITY_TEXTS[key]} maxLength={LONGEST} {...field(`identity.${key}`)} />
        ))}
        <Select label="Halves are held by" {...field('identity.latch')}>
          <option value="">not noted</option>
          {LATCHES.map((one) => (
            <option key={one} value={one}>
              {LATCH_WORDS[one].name}
            </option>
          ))}
        </Select>
        <NumberField label="Back cap, outside" unit="mm" {...field('identity.capMm')} />
        {node.face ? null : <NumberField label="Cavities" unit="ways" {...field('ways')} />}
      </div>
    </details>
  );
}
