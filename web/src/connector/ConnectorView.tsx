import { useState } from 'react';
import {
  cavitiesOf,
  DIRECTIONS,
  mateCavities,
  neighbour,
  otherSide,
  RELEASE_GUIDES,
  seenCavities,
  turnedOn,
  viewInWords,
  type ConnectorFace,
  type Direction,
  type FaceView,
} from '@mendum/core/connector';
import type { Circuit, Harness, HarnessNode } from '@mendum/core/harness';
import { colourInWords, sizeInWords } from '@mendum/core/wire';
import { WireChip } from '../shapes/WireLine.tsx';
import { Button } from '../ui/button.tsx';
import { CavityList } from './CavityList.tsx';
import { CircuitWay } from './CircuitWay.tsx';
import { FacePhotos } from './FacePhotos.tsx';
import { FaceDrawing } from './FaceDrawing.tsx';
import { useKeptView } from './keptView.ts';

interface ConnectorViewProps {
  readonly node: HarnessNode & { readonly face: ConnectorFace };
  readonly circuits: readonly Circuit[];
  readonly nodeName: (nodeId: string) => string;
  /** The harness that it is on, to show the way of what is picked. */
  readonly harness?: Pick<Harness, 'id' | 'nodes' | 'runs'> | undefined;
  /** The cavity that is picked to begin with. */
  readonly startCavity?: string | undefined;
}

const WAY: Record<Direction, string> = {
  left: 'left of it',
  right: 'right of it',
  above: 'above it',
  below: 'below it',
};

/** The circuit in a cavity of a connector. */
export const circuitInCavity = (circuits: readonly Circuit[], nodeId: string, cavity: string): Circuit | undefined =>
  circuits.find(
    (circuit) =>
      (circuit.from.nodeId === nodeId && circuit.from.cavity === cavity) ||
      (circuit.to.nodeId === nodeId && circuit.to.cavity === cavity),
  );

/** Which cavity is under the finger: its circuit, where the other end goes, and what lies round it in this view. */
function Picked({
  node,
  circuits,
  nodeName,
  cavity,
  view,
}: ConnectorViewProps & { readonly cavity: string; readonly view: FaceView }) {
  const circuit = circuitInCavity(circuits, node.id, cavity);
  const seen = seenCavities(node.face, view);
  const round = DIRECTIONS.flatMap((direction) => {
    const next = neighbour(seen, cavity, direction);
    return next === undefined ? [] : [`${next} ${WAY[direction]}`];
  });
  const far =
    circuit && (circuit.from.nodeId === node.id && circuit.from.cavity === cavity ? circuit.to : circuit.from);
  return (
    <section aria-label={`Cavity ${cavity}`} className="border-l-4 border-copper pl-4 text-lg">
      <p className="text-3xl font-semibold">
        Cavity <span className="figure">{cavity}</span>
      </p>
      {circuit && far ? (
        <>
          <p className="flex items-center gap-3">
            <b>
              <span className="figure">{circuit.number}</span> {circuit.function}
            </b>
            <WireChip colour={circuit.wire.colour} title={colourInWords(circuit.wire.colour)} />
          </p>
          <p>
            {colourInWords(circuit.wire.colour)}, {sizeInWords(circuit.wire.size)}; goes to {nodeName(far.nodeId)}{' '}
            <span className="figure">{far.cavity}</span>
          </p>
        </>
      ) : (
        <p>Empty: a plug goes here where the connector is sealed.</p>
      )}
      <p className="text-soft">In this view: {round.length > 0 ? round.join(', ') : 'nothing round it'}.</p>
    </section>
  );
}

/** How its terminals come out and go back in, for its lock family. */
function Release({ node }: { readonly node: HarnessNode }) {
  if (node.lock === undefined) return null;
  const guide = RELEASE_GUIDES[node.lock];
  return (
    <details className="border-y border-rule">
      <summary className="flex min-h-11 cursor-pointer items-center text-lg font-semibold">
        Free a terminal: {guide.name.toLowerCase()}
      </summary>
      <ol className="list-decimal pb-2 pl-7">
        {guide.steps.map((step) => (
          <li key={step}>{step}</li>
        ))}
      </ol>
      <p className="border-l-4 border-rework pl-3">{guide.never}</p>
      <p className="pt-1">
        <b>How far it lifts:</b> {guide.lift}
      </p>
      <p className="pb-3">
        <b>Refit:</b> {guide.refit} The maker's manual comes first.
      </p>
    </details>
  );
}

/**
 * A connector's face with its mate: turned over and round as it is held, in words too, so that no wire goes into the
 * wrong cavity.
 */
export function ConnectorView(props: ConnectorViewProps) {
  const { node, circuits } = props;
  const [view, setView] = useKeptView(`${props.harness?.id ?? ''} ${node.id}`);
  const [picked, setPicked] = useState(props.startCavity);
  const circuitIn = (cavity: string): Circuit | undefined => circuitInCavity(circuits, node.id, cavity);
  const shared = { view, circuitIn, picked, onPick: setPicked };
  return (
    <div className="grid gap-4">
      <div className="flex flex-wrap items-center gap-3">
        <Button look="copper" onClick={() => setView(otherSide(view))}>
          Turn over to the {view.side === 'wire' ? 'mating' : 'wire'} side
        </Button>
        <Button onClick={() => setView(turnedOn(view))}>Turn round</Button>
        <p className="text-xl font-semibold" role="status">
          {viewInWords(view)}
        </p>
      </div>
      <div className="grid items-start gap-6 lg:grid-cols-2">
        <FaceDrawing own title={node.name} seen={seenCavities(node.face, view)} {...shared} />
        <FaceDrawing own={false} title={`Mate of ${node.name}`} seen={mateCavities(node.face, view)} {...shared} />
      </div>
      {picked === undefined ? (
        <p className="text-lg text-soft">
          Tap a cavity to see its circuit, its place in the mate, and what lies round it.
        </p>
      ) : (
        <Picked {...props} cavity={picked} view={view} />
      )}
      {props.harness ? (
        <CircuitWay harness={props.harness} runIds={picked === undefined ? [] : (circuitIn(picked)?.runIds ?? [])} />
      ) : null}
      {props.harness ? (
        <FacePhotos
          harnessId={props.harness.id}
          nodeId={node.id}
          cavities={cavitiesOf(node.face).map(({ cavity }) => cavity)}
          side={view.side}
          picked={picked}
          onPick={setPicked}
        />
      ) : null}
      <CavityList node={node} circuitIn={circuitIn} picked={picked} onPick={setPicked} />
      <Release node={node} />
    </div>
  );
}
