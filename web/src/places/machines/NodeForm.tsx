import { useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { cavitiesOf, LOCK_FAMILIES, RELEASE_GUIDES } from '@mendum/core/connector';
import { NODE_KINDS, type Harness, type HarnessNode, type NodeKind } from '@mendum/core/harness';
import type { HarnessEdit } from '@mendum/core/survey';
import { Button } from '../../ui/button.tsx';
import { nodeSchema } from '@mendum/core/schemas';
import { useKept } from '../../form/useKept.ts';
import { NumberField, Select, TextField } from '../../ui/field.tsx';
import { numberOf } from '../../ui/typed.ts';
import { NODE_WORDS } from '../../connector/words.ts';
import { Which, WhichLock } from '../../recognise/Which.tsx';
import { ExtendEnd } from './ExtendEnd.tsx';
import { Fittings } from './Fittings.tsx';
import { runBeyond } from './runBeyond.ts';
import { Identity } from './Identity.tsx';

interface NodeFormProps {
  readonly harness: Harness;
  readonly node: HarnessNode;
  readonly onEdit: (...edits: readonly HarnessEdit[]) => boolean;
  readonly onFace: () => void;
  readonly onShow: () => void;
  /** Its terminals are asked for: they stand open. */
  readonly isAsked?: boolean;
}

/** A new run that hangs on this node, with what is at its other end. */
function NewRun({ harness, node, onEdit }: Pick<NodeFormProps, 'harness' | 'node' | 'onEdit'>) {
  const [length, setLength] = useState('');
  const [kind, setKind] = useState<NodeKind>('connector');
  const [name, setName] = useState('');
  const lengthMm = length.trim() === '' ? undefined : numberOf(length);
  const add = (): void => {
    const done = onEdit(runBeyond(harness, node, { kind, name: name.trim() }, lengthMm));
    if (done) {
      setLength('');
      setName('');
    }
  };
  return (
    <fieldset className="grid items-start gap-2 border-t border-rule pt-3 sm:grid-cols-[1fr_1fr_1fr_auto]">
      <legend className="text-lg font-semibold">Another run from here</legend>
      <NumberField
        label="Length"
        unit="mm"
        hint="Empty: nobody has measured it."
        value={length}
        onChange={(event) => setLength(event.target.value)}
      />
      <Select label="At its end" value={kind} onChange={(event) => setKind(event.target.value as NodeKind)}>
        {NODE_KINDS.map((one) => (
          <option key={one} value={one}>
            {NODE_WORDS[one]}
          </option>
        ))}
      </Select>
      <TextField label="Its name" maxLength={60} value={name} onChange={(event) => setName(event.target.value)} />
      <Button
        className="mt-7"
        disabled={(lengthMm !== undefined && !(lengthMm >= 1)) || name.trim() === ''}
        onClick={add}
      >
        Add the run
      </Button>
    </fieldset>
  );
}

/** Without what a node of its kind cannot have; words printed on it that were all taken away are none. */
function asItsKind(node: HarnessNode): HarnessNode {
  const { face, identity = {}, lock, fittings, ...plain } = node;
  const printed = Object.values(identity).filter((words) => words !== undefined && words !== '');
  if (node.kind === 'end' || node.kind === 'splice') return fittings === undefined ? plain : { ...plain, fittings };
  return node.kind === 'connector' ? { ...node, identity: printed.length === 0 ? undefined : identity } : plain;
}

/** A node beside the drawing: what it is, its face and lock when it is a connector, runs added or joined. */
export function NodeForm({ harness, node, onEdit, onFace, onShow, isAsked = false }: NodeFormProps) {
  const asked = useSearchParams()[0].get('field');
  const { field } = useKept(nodeSchema, node, (changed) => onEdit({ do: 'changeNode', node: changed }), {
    tidy: asItsKind,
  });
  const meeting = harness.runs.filter((run) => run.fromNodeId === node.id || run.toNodeId === node.id).length;
  return (
    <form aria-label={`Node ${node.name}`} className="grid gap-4" onSubmit={(event) => event.preventDefault()}>
      <div className="grid items-start gap-3 sm:grid-cols-3">
        <TextField label="Name" maxLength={60} {...field('name')} />
        <Select label="It is a" {...field('kind')}>
          {NODE_KINDS.map((one) => (
            <option key={one} value={one}>
              {NODE_WORDS[one]}
            </option>
          ))}
        </Select>
        {node.kind === 'connector' ? (
          <div>
            <Select label="Its terminals are held by" {...field('lock')}>
              <option value="">not known yet</option>
              {LOCK_FAMILIES.map((one) => (
                <option key={one} value={one}>
                  {RELEASE_GUIDES[one].name}
                </option>
              ))}
            </Select>
            <Which words="Which one is it?">
              {(close) => (
                <WhichLock
                  onClose={close}
                  onPick={(lock) => {
                    if (onEdit({ do: 'changeNode', node: { ...node, lock } })) close();
                  }}
                />
              )}
            </Which>
          </div>
        ) : null}
      </div>
      {node.kind === 'connector' ? (
        <div className="flex flex-wrap items-center gap-3">
          <p className="text-lg">
            {node.face ? <>{cavitiesOf(node.face).length} cavities.</> : 'Where its cavities lie is not described yet.'}
          </p>
          <Button look={node.face ? 'plain' : 'copper'} onClick={onFace}>
            {node.face ? 'Change its face' : 'Describe its face'}
          </Button>
          {node.face ? (
            <>
              <Button onClick={onShow}>Show face and mate</Button>
              <Link
                to={`/machines/${harness.id}/face/${node.id}`}
                className="inline-flex min-h-11 items-center px-2 text-lg underline underline-offset-4"
              >
                Card to print
              </Link>
            </>
          ) : null}
        </div>
      ) : null}
      {node.kind === 'connector' ? (
        <Identity
          key={node.id}
          node={node}
          field={field}
          isAsked={asked !== null && ['family', 'keying', 'capMm'].includes(asked)}
        />
      ) : null}
      {node.kind === 'end' && meeting === 1 ? (
        <ExtendEnd key={`beyond ${node.id}`} harness={harness} node={node} onEdit={onEdit} />
      ) : null}
      <Fittings harness={harness} node={node} onEdit={onEdit} isAsked={isAsked} />
      <NewRun harness={harness} node={node} onEdit={onEdit} />
      {meeting === 2 ? (
        <Button look="quiet" className="justify-self-start" onClick={() => onEdit({ do: 'joinRuns', nodeId: node.id })}>
          Take it out: join the two runs that meet here
        </Button>
      ) : null}
    </form>
  );
}
