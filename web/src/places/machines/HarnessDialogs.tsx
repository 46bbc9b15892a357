import type { Circuit, HarnessNode } from '@mendum/core/harness';
import { ConnectorView } from '../../connector/ConnectorView.tsx';
import { Dialog } from '../../ui/dialog.tsx';
import { CircuitForm } from './CircuitForm.tsx';
import type { HarnessDraft } from './draft.ts';
import { FaceForm } from './FaceForm.tsx';
import { ImportPinout } from './import/ImportPinout.tsx';

/** What is opened over a harness: a circuit, one that is new, a sheet, the face of a connector, or its cavities. */
export type Opened =
  | { readonly what: 'circuit'; readonly circuit: Circuit | undefined }
  | { readonly what: 'import' }
  | { readonly what: 'face' | 'show'; readonly node: HarnessNode; readonly cavity?: string | undefined };

interface HarnessDialogsProps {
  readonly draft: HarnessDraft;
  readonly open: Opened | undefined;
  readonly onClose: () => void;
  readonly nodeName: (id: string) => string;
}

/** The dialogs of a harness: each changes its draft. */
export function HarnessDialogs({ draft, open, onClose, nodeName }: HarnessDialogsProps) {
  const { harness } = draft;
  if (!open) return null;
  if (open.what === 'import')
    return <ImportPinout harness={harness} onTake={(edits) => draft.edit(...edits)} onClose={onClose} />;
  if (open.what === 'circuit') {
    const { circuit } = open;
    const remove = (one: Circuit): void => {
      if (draft.edit({ do: 'removeCircuit', circuitId: one.id })) onClose();
    };
    return (
      <Dialog shape="sheet" open onClose={onClose} title={circuit ? `Circuit ${circuit.number}` : 'A new circuit'}>
        <CircuitForm
          harness={harness}
          circuit={circuit}
          onSave={(changed) => draft.edit({ do: 'setCircuit', circuit: changed })}
          onRemove={circuit && (() => remove(circuit))}
          onClose={onClose}
        />
      </Dialog>
    );
  }
  const { node } = open;
  if (open.what === 'face')
    return (
      <Dialog shape="wide" open onClose={onClose} title={`The face of ${node.name}`}>
        <FaceForm
          name={node.name}
          face={node.face}
          onDone={(face, ways) => {
            if (draft.edit({ do: 'changeNode', node: { ...node, face, ways } })) onClose();
          }}
          onClose={onClose}
        />
      </Dialog>
    );
  const shown = harness.nodes.find((one) => one.id === node.id);
  if (!shown?.face) return null;
  return (
    <Dialog shape="wide" open onClose={onClose} title={`Connector ${shown.name}`}>
      <ConnectorView
        harness={harness}
        node={{ ...shown, face: shown.face }}
        circuits={harness.circuits}
        nodeName={nodeName}
        startCavity={open.cavity}
      />
    </Dialog>
  );
}
