import { useSearchParams } from 'react-router';
import { cavitiesOf } from '@mendum/core/connector';
import {
  END_USES,
  SEAL_STATES,
  STUDS,
  TABS_MM,
  TERMINAL_FAMILIES,
  terminalInWords,
  type CavityFitting,
  type Harness,
  type HarnessNode,
  type TerminalFamily,
} from '@mendum/core/harness';
import type { HarnessEdit } from '@mendum/core/survey';
import { fieldName } from '../../answer/path.ts';
import { circuitInCavity } from '../../connector/ConnectorView.tsx';
import { SEAL_WORDS, USE_WORDS } from '../../connector/words.ts';
import { Which, WhichTerminal } from '../../recognise/Which.tsx';
import { Select } from '../../ui/field.tsx';
import { Scroller } from '../../ui/scroller.tsx';

/** What the name of a place's field begins with. */
const ASKED = fieldName.fitting('');

/**
 * Where wires end at a node: the cavities of its face, else the places that its circuits name, that something is noted
 * of, and that is asked about.
 */
const placesOf = (harness: Harness, node: HarnessNode, asked: string | null): string[] =>
  node.face
    ? cavitiesOf(node.face).map(({ cavity }) => cavity)
    : [
        ...new Set([
          ...harness.circuits.flatMap(({ from, to }) =>
            [from, to].filter((end) => end.nodeId === node.id).map((end) => end.cavity),
          ),
          ...Object.keys(node.fittings ?? {}),
          ...(asked?.startsWith(ASKED) ? [asked.slice(ASKED.length)] : []),
        ]),
      ];

/** One thing that is noted at a place: what it is called, where it stands in the fitting, and what it may be. */
interface Noted {
  readonly title: string;
  readonly field: keyof CavityFitting;
  readonly choices: readonly { readonly value: string; readonly words: string; readonly is: CavityFitting }[];
}

const TERMINAL: Noted = {
  title: 'Terminal',
  field: 'terminal',
  choices: TERMINAL_FAMILIES.map((terminal) => ({
    value: terminal,
    words: terminalInWords(terminal),
    is: { terminal },
  })),
};
const SEAL: Noted = {
  title: 'Seal',
  field: 'seal',
  choices: SEAL_STATES.map((seal) => ({ value: seal, words: SEAL_WORDS[seal], is: { seal } })),
};
const USE: Noted = {
  title: 'What it is for',
  field: 'use',
  choices: END_USES.filter((use) => use !== 'housing').map((use) => ({
    value: use,
    words: USE_WORDS[use],
    is: { use },
  })),
};
const STUD: Noted = {
  title: 'Stud or screw',
  field: 'stud',
  choices: STUDS.map((stud) => ({ value: stud, words: stud, is: { stud } })),
};
const TAB: Noted = {
  title: 'Tab',
  field: 'tabMm',
  choices: TABS_MM.map((tabMm) => ({ value: String(tabMm), words: `${tabMm} mm`, is: { tabMm } })),
};
const AT_CONNECTOR: readonly Noted[] = [TERMINAL, SEAL];
const AT_END: readonly Noted[] = [TERMINAL, USE, STUD, TAB];

interface FittingsProps {
  readonly harness: Harness;
  readonly node: HarnessNode;
  readonly onEdit: (...edits: readonly HarnessEdit[]) => boolean;
  /** Somebody came here to note one: it stands open. */
  readonly isAsked: boolean;
}

/**
 * Terminal and seal of each cavity; at studs, tabs and clamps the terminal, or what the end is for while nobody knows
 * which terminal it was.
 */
export function Fittings({ harness, node, onEdit, isAsked }: FittingsProps) {
  const asked = useSearchParams()[0].get('field');
  const places = node.kind === 'connector' || node.kind === 'end' ? placesOf(harness, node, asked) : [];
  if (places.length === 0) return null;
  const isConnector = node.kind === 'connector';
  const columns = isConnector ? AT_CONNECTOR : AT_END;
  const change = (fittings: HarnessNode['fittings']): void =>
    void onEdit({ do: 'changeNode', node: { ...node, fittings } });
  const set = (cavity: string, part: CavityFitting): void =>
    change({ ...node.fittings, [cavity]: { ...node.fittings?.[cavity], ...part } });
  const all = (part: CavityFitting): void =>
    change(Object.fromEntries(places.map((cavity) => [cavity, { ...node.fittings?.[cavity], ...part }])));
  return (
    <details className="border-t border-rule" open={isAsked}>
      <summary className="flex min-h-11 cursor-pointer items-center text-lg font-semibold underline underline-offset-4">
        {isConnector ? 'Terminals and seals in its cavities' : 'Terminals at its places'}
      </summary>
      {isConnector ? null : (
        <p className="mb-2 max-w-[60ch] text-soft">
          The terminal that was there; or, where nobody knows it, what the end is for, and the right one is proposed.
        </p>
      )}
      <div className="mb-2 flex flex-wrap items-end gap-2">
        <Select
          label="All its terminals"
          value=""
          onChange={(event) => {
            if (event.target.value !== '') all({ terminal: event.target.value as TerminalFamily });
          }}
        >
          <option value="">not noted</option>
          {TERMINAL.choices.map(({ value, words }) => (
            <option key={value} value={value}>
              {words}
            </option>
          ))}
        </Select>
        <Which words="Which terminal is it?">
          {(close) => (
            <WhichTerminal
              onClose={close}
              onPick={(terminal) => {
                all({ terminal });
                close();
              }}
            />
          )}
        </Which>
      </div>
      <Scroller label="What sits in each cavity">
        <table className="w-full text-left">
          <thead className="border-b border-ink text-soft">
            <tr>
              <th className="font-normal">{isConnector ? 'Cavity' : 'Place'}</th>
              <th className="font-normal">Circuit</th>
              {columns.map(({ title }) => (
                <th key={title} className="font-normal">
                  {title}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {places.map((cavity) => (
              <tr key={cavity} className="border-b border-rule">
                <td className="figure">{cavity}</td>
                <td>
                  {circuitInCavity(harness.circuits, node.id, cavity)?.number ?? (
                    <span className="text-soft">empty</span>
                  )}
                </td>
                {columns.map(({ title, field, choices }) => (
                  <td key={field}>
                    <select
                      name={field === 'terminal' ? fieldName.fitting(cavity) : undefined}
                      aria-label={`${title} ${isConnector ? (field === 'seal' ? 'of' : 'in') : 'at'} ${isConnector ? 'cavity' : 'place'} ${cavity}`}
                      className="min-h-11 bg-paper"
                      value={String(node.fittings?.[cavity]?.[field] ?? '')}
                      onChange={(event) =>
                        set(
                          cavity,
                          choices.find(({ value }) => value === event.target.value)?.is ?? { [field]: undefined },
                        )
                      }
                    >
                      <option value="">not noted</option>
                      {choices.map(({ value, words }) => (
                        <option key={value} value={value}>
                          {words}
                        </option>
                      ))}
                    </select>
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </Scroller>
    </details>
  );
}
