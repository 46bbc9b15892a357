import { GAPS, type Gaps } from '@mendum/core/connector';
import { NumberField, Select, TextField } from '../../ui/field.tsx';
import { RING_KINDS, type FaceDraft } from './faceDraft.ts';
import type { FaceFields } from './faceFields.ts';

const KIND_WORDS: Record<(typeof RING_KINDS)[number], string> = {
  rowWise: 'in numbers, one after the other',
  letters: 'in letters',
  rowFirsts: 'each ring from what is moulded there',
};

const GAP_WORDS: Record<Gaps, string> = { skip: 'takes no number', count: 'takes a number' };

/** Whether a place that is not there takes a number: asked, never guessed. */
const GapsField = ({ draft, set }: FaceFields) => (
  <Select
    label="A place that is not there"
    value={draft.gaps ?? ''}
    onChange={(event) => set({ gaps: event.target.value === '' ? undefined : (event.target.value as Gaps) })}
  >
    <option value="">— choose —</option>
    {GAPS.map((gaps) => (
      <option key={gaps} value={gaps}>
        {GAP_WORDS[gaps]}
      </option>
    ))}
  </Select>
);

/** Rings: how many places, where each begins, in which sense it is counted; free places: how they are numbered. */
export function RingFields({ draft, set }: FaceFields) {
  const isRings = draft.layout === 'round';
  return (
    <div className="grid gap-3 sm:grid-cols-3">
      {isRings ? (
        <>
          <TextField
            label="Places in each ring"
            hint="From the outside in, such as 6, 1: a ring of one is a pin in the middle."
            value={draft.rings}
            onChange={(event) => set({ rings: event.target.value })}
          />
          <TextField
            label="Angle of the first of each ring"
            hint="Degrees clockwise from the top, such as 0, 0. Empty: at the top."
            value={draft.ringDegs}
            onChange={(event) => set({ ringDegs: event.target.value })}
          />
          <TextField
            label="Places that are not there"
            hint="Ring and place, clockwise from its first: 1.3."
            value={draft.ringMissing}
            onChange={(event) => set({ ringMissing: event.target.value })}
          />
        </>
      ) : null}
      {draft.isNamed ? null : (
        <>
          <Select
            label="They are marked"
            value={draft.ringKind}
            onChange={(event) => set({ ringKind: event.target.value as FaceDraft['ringKind'], renamed: {} })}
          >
            {RING_KINDS.filter((kind) => isRings || kind !== 'rowFirsts').map((kind) => (
              <option key={kind} value={kind}>
                {KIND_WORDS[kind]}
              </option>
            ))}
          </Select>
          {draft.ringKind === 'rowWise' ? (
            <NumberField
              label="First number"
              unit="no."
              value={draft.first}
              onChange={(event) => set({ first: event.target.value })}
            />
          ) : null}
          {draft.ringKind === 'rowFirsts' ? (
            <TextField
              label="First of each ring"
              hint="As moulded, from the outside in: 1, A."
              value={draft.ringFirsts}
              onChange={(event) => set({ ringFirsts: event.target.value })}
            />
          ) : null}
        </>
      )}
      {isRings && !draft.isNamed ? (
        <>
          <Select
            label="Counted"
            value={draft.anticlockwise ? 'anti' : 'clock'}
            onChange={(event) => set({ anticlockwise: event.target.value === 'anti' })}
          >
            <option value="clock">clockwise</option>
            <option value="anti">anticlockwise</option>
          </Select>
          <Select
            label="Rings are counted from the"
            value={draft.fromInside ? 'inside' : 'outside'}
            onChange={(event) => set({ fromInside: event.target.value === 'inside' })}
          >
            <option value="outside">outside</option>
            <option value="inside">inside</option>
          </Select>
          {draft.ringMissing.trim() === '' ? null : <GapsField draft={draft} set={set} />}
        </>
      ) : null}
    </div>
  );
}
