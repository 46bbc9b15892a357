import { useState } from 'react';
import {
  IDENTITY_TEXTS,
  identityInWords,
  LATCH_WORDS,
  LATCHES,
  type ConnectorIdentity,
  type HarnessNode,
  type IdentityText,
} from '@mendum/core';
import { NumberField, Select, TextField } from '../../ui/field.tsx';
import { numberOf } from '../../ui/typed.ts';

/** Most cavities of a connector. */
const MOST_WAYS = 400;
const LONGEST = 60;
const THICKEST_MM = 200;

interface IdentityProps {
  readonly node: HarnessNode;
  readonly onChange: (change: Pick<HarnessNode, 'identity' | 'ways'>) => boolean;
  /** The field that is asked for: then all of them stand open. */
  readonly isAsked: boolean;
}

/** What is left of an identity once empty words are taken out. */
function kept(identity: ConnectorIdentity): ConnectorIdentity | undefined {
  const known = Object.entries(identity).filter(([, value]) => value !== undefined && value !== '');
  return known.length === 0 ? undefined : Object.fromEntries(known);
}

/** What is moulded and printed on a connector: parts are found by it, and the tool that frees its terminals. */
export function Identity({ node, onChange, isAsked }: IdentityProps) {
  const { identity = {}, face } = node;
  const [typed, setTyped] = useState<Partial<Record<IdentityText | 'ways' | 'capMm', string>>>({});
  const [wrong, setWrong] = useState<Partial<Record<'ways' | 'capMm', string | undefined>>>({});
  const forget = (key: IdentityText | 'ways' | 'capMm'): void => setTyped({ ...typed, [key]: undefined });
  const save = (key: IdentityText): void => {
    const text = typed[key]?.trim();
    if (text !== undefined && text !== (identity[key] ?? ''))
      onChange({ ways: node.ways, identity: kept({ ...identity, [key]: text }) });
    forget(key);
  };
  const saveWays = (): void => {
    const text = typed.ways?.trim();
    const ways = numberOf(text ?? '');
    const bad = text !== undefined && text !== '' && !(Number.isInteger(ways) && ways >= 1 && ways <= MOST_WAYS);
    setWrong({
      ...wrong,
      ways: bad ? `A connector has 1 to ${MOST_WAYS} cavities: enter a whole number, or leave it empty.` : undefined,
    });
    if (bad || text === undefined) return;
    onChange({ identity: node.identity, ways: text === '' ? undefined : ways });
    forget('ways');
  };
  const saveCap = (): void => {
    const text = typed.capMm?.trim();
    const capMm = numberOf(text ?? '');
    const bad = text !== undefined && text !== '' && !(capMm > 0 && capMm <= THICKEST_MM);
    setWrong({
      ...wrong,
      capMm: bad ? `Enter its diameter, above 0 to ${THICKEST_MM} mm, or leave it empty.` : undefined,
    });
    if (bad || text === undefined) return;
    onChange({ ways: node.ways, identity: kept({ ...identity, capMm: text === '' ? undefined : capMm }) });
    forget('capMm');
  };
  const words = identityInWords(identity);
  return (
    <details className="border-t border-rule" open={isAsked || undefined}>
      <summary className="flex min-h-11 cursor-pointer flex-wrap items-center gap-x-2 text-lg">
        <span className="font-semibold underline underline-offset-4">What is printed on it</span>
        <span className="text-soft">{words === '' ? 'nothing noted; parts fit by family' : words}</span>
      </summary>
      <div className="grid gap-3 pb-4 sm:grid-cols-2 lg:grid-cols-3">
        {(Object.keys(IDENTITY_TEXTS) as IdentityText[]).map((key) => (
          <TextField
            key={key}
            label={IDENTITY_TEXTS[key]}
            name={key}
            maxLength={LONGEST}
            value={typed[key] ?? identity[key] ?? ''}
            onChange={(event) => setTyped({ ...typed, [key]: event.target.value })}
            onBlur={() => save(key)}
          />
        ))}
        <Select
          label="Halves are held by"
          value={identity.latch ?? ''}
          onChange={(event) =>
            onChange({
              ways: node.ways,
              identity: kept({
                ...identity,
                latch: event.target.value === '' ? undefined : LATCHES.find((one) => one === event.target.value),
              }),
            })
          }
        >
          <option value="">not noted</option>
          {LATCHES.map((one) => (
            <option key={one} value={one}>
              {LATCH_WORDS[one].name}
            </option>
          ))}
        </Select>
        <NumberField
          label="Back cap, outside"
          name="capMm"
          unit="mm"
          wrong={wrong.capMm}
          value={typed.capMm ?? String(identity.capMm ?? '')}
          onChange={(event) => setTyped({ ...typed, capMm: event.target.value })}
          onBlur={saveCap}
        />
        {face ? null : (
          <NumberField
            label="Cavities"
            unit="ways"
            wrong={wrong.ways}
            value={typed.ways ?? String(node.ways ?? '')}
            onChange={(event) => setTyped({ ...typed, ways: event.target.value })}
            onBlur={saveWays}
          />
        )}
      </div>
    </details>
  );
}
