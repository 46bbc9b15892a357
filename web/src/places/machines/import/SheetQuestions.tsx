import type { PinoutChoices, PinoutReading } from '@mendum/core/pinout';
import { COLOUR_SYSTEM_WORDS, COLOUR_SYSTEMS, type ColourSystem } from '@mendum/core/wire';
import { Select, TextField } from '../../../ui/field.tsx';

interface SheetQuestionsProps {
  readonly reading: PinoutReading;
  readonly choices: PinoutChoices;
  readonly connectors: readonly string[];
  readonly onChange: (change: Partial<PinoutChoices>) => void;
}

/** What the sheet leaves open is asked; what was concluded is shown with its evidence, and can be set otherwise. */
export function SheetQuestions({ reading, choices, connectors, onChange }: SheetQuestionsProps) {
  const asked = (kind: PinoutReading['questions'][number]['kind']): string | undefined =>
    reading.questions.find((one) => one.kind === kind)?.because;
  const gauges =
    reading.rows.some((row) => row.circuit.wire.size.basis !== 'metric') || choices.gaugeMeans !== undefined;
  const connector = (key: 'fromConnector' | 'toConnector', label: string) =>
    asked(key) === undefined && choices[key] === undefined ? null : (
      <TextField
        label={label}
        list="known-connectors"
        wrong={asked(key)}
        value={choices[key] ?? ''}
        onChange={(event) => onChange({ [key]: event.target.value === '' ? undefined : event.target.value })}
      />
    );
  return (
    <section aria-label="How it is read" className="grid gap-4 sm:grid-cols-2">
      <Select
        label="Colours are written in"
        value={choices.colours ?? reading.colours.system ?? ''}
        wrong={asked('colours')}
        hint={reading.colours.because}
        onChange={(event) =>
          onChange({ colours: event.target.value === '' ? undefined : (event.target.value as ColourSystem) })
        }
      >
        {reading.colours.system === undefined && choices.colours === undefined ? (
          <option value="">— choose —</option>
        ) : null}
        {COLOUR_SYSTEMS.map((system) => {
          const evidence = reading.colours.evidence.find((one) => one.system === system);
          return (
            <option
              key={system}
              value={system}
            >{`${COLOUR_SYSTEM_WORDS[system]}${evidence ? ` (reads ${evidence.reads} of ${evidence.of})` : ''}`}</option>
          );
        })}
      </Select>
      {asked('bareSizes') === undefined && choices.bareSizes === undefined ? null : (
        <Select
          label="Sizes without a unit are"
          value={choices.bareSizes ?? ''}
          wrong={asked('bareSizes')}
          onChange={(event) =>
            onChange({
              bareSizes: event.target.value === '' ? undefined : (event.target.value as 'metric' | 'awg' | 'trade'),
            })
          }
        >
          <option value="">— choose —</option>
          <option value="metric">mm²</option>
          <option value="awg">AWG, true copper</option>
          <option value="trade">trade labels (16 is 1.0 mm²)</option>
        </Select>
      )}
      {gauges ? (
        <Select
          label="“16 AWG” in this sheet is"
          hint="A trade label has less copper than the gauge: 16 is 1.0 mm² and not 1.31."
          value={choices.gaugeMeans ?? 'awg'}
          onChange={(event) => onChange({ gaugeMeans: event.target.value as 'awg' | 'trade' })}
        >
          <option value="awg">true gauge copper (1.31 mm²)</option>
          <option value="trade">a trade label (1.0 mm²)</option>
        </Select>
      ) : null}
      {connector('fromConnector', 'Lines without a connector are of')}
      {connector('toConnector', 'The far ends are at')}
      {asked('noColours') === undefined && choices.withoutColours === undefined ? null : (
        <label className="flex min-h-11 items-center gap-3 text-lg sm:col-span-2">
          <input
            type="checkbox"
            className="size-6 accent-(--copper)"
            checked={choices.withoutColours ?? false}
            onChange={(event) => onChange({ withoutColours: event.target.checked ? true : undefined })}
          />
          <span>
            This sheet has no colours.{' '}
            <span className={asked('noColours') === undefined ? 'text-soft' : 'text-scrap'}>
              {asked('noColours') ?? 'The wires are noted as natural.'}
            </span>
          </span>
        </label>
      )}
      <datalist id="known-connectors">
        {connectors.map((name) => (
          <option key={name} value={name} />
        ))}
      </datalist>
    </section>
  );
}
