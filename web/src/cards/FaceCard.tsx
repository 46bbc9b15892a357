import { Link, useParams, useSearchParams } from 'react-router';
import {
  cavitiesOf,
  identityInWords,
  mateCavities,
  RELEASE_GUIDES,
  releaseToolInWords,
  seenCavities,
  viewInWords,
  type FaceView,
} from '@mendum/core/connector';
import { sourceInWords, terminalInWords } from '@mendum/core/harness';
import { colourInWords, sizeInWords } from '@mendum/core/wire';
import { useHarnessQuery } from '../app/api.ts';
import { circuitInCavity } from '../connector/ConnectorView.tsx';
import { FaceDrawing } from '../connector/FaceDrawing.tsx';
import { WireChip } from '../shapes/WireLine.tsx';
import { SEAL_WORDS } from '../connector/words.ts';
import { Empty, Working } from '../ui/empty.tsx';
import { ConnectorFiles } from '../places/machines/PinoutFiles.tsx';
import { CardPage } from './CardPage.tsx';
import { HandCard } from './HandCard.tsx';

const SIDES: readonly FaceView[] = [
  { side: 'wire', latch: 'up' },
  { side: 'mating', latch: 'up' },
];

/** Whole page or card for the hand; each has an address of its own. */
function Forms({ isHand }: { readonly isHand: boolean }) {
  const forms = [
    { words: 'Whole page', to: '?', isHere: !isHand },
    { words: 'Card for the hand', to: '?as=hand', isHere: isHand },
  ];
  return (
    <nav aria-label="How it is printed" className="no-print mb-4 flex flex-wrap gap-x-5 text-lg">
      {forms.map(({ words, to, isHere }) => (
        <Link
          key={words}
          to={to}
          replace
          aria-current={isHere ? 'page' : undefined}
          className={`inline-flex min-h-11 items-center ${isHere ? 'border-b-4 border-copper font-semibold' : 'underline underline-offset-4'}`}
        >
          {words}
        </Link>
      ))}
    </nav>
  );
}

/** A connector's card: both sides with the latch up, every cavity in words, and how a terminal comes out. */
export function FaceCard() {
  const { harnessId = '', nodeId } = useParams();
  const isHand = useSearchParams()[0].get('as') === 'hand';
  const { data: view, error } = useHarnessQuery({ harnessId });
  if (!view && !error)
    return (
      <div className="p-8">
        <Working words="Fetching the connector…" />
      </div>
    );
  const node = view?.nodes.find((one) => one.id === nodeId);
  if (!view || !node?.face)
    return (
      <div className="p-8">
        <Empty title="This connector is not described">Describe its face in Machines.</Empty>
      </div>
    );
  const { face } = node;
  const nameOf = (id: string): string => view.nodes.find((one) => one.id === id)?.name ?? id;
  const printed = [identityInWords(node.identity ?? {}), releaseToolInWords(node.identity ?? {})].filter(Boolean);
  const sources = (view.sources ?? []).map(sourceInWords);
  const guide = node.lock === undefined ? undefined : RELEASE_GUIDES[node.lock];
  const page = {
    title: `Connector ${node.name}`,
    about: `${view.machine}, ${view.name}`,
    back: { to: `/machines/${view.id}`, words: view.name },
  };
  if (isHand)
    return (
      <CardPage {...page} onlyCard>
        <Forms isHand />
        <p className="no-print mb-3 text-lg text-soft">
          Print it at 100 %, cut along the outer line, fold between the two sides.
        </p>
        <HandCard view={view} node={{ ...node, face }} />
      </CardPage>
    );
  return (
    <CardPage {...page}>
      <Forms isHand={false} />
      <div className="grid items-start gap-6 lg:grid-cols-2 print:grid-cols-2">
        {SIDES.map((side) => (
          <div key={side.side}>
            <FaceDrawing
              title={node.name}
              own
              seen={seenCavities(face, side)}
              view={side}
              circuitIn={(cavity) => circuitInCavity(view.circuits, node.id, cavity)}
              picked={undefined}
              onPick={() => undefined}
            />
            <p className="text-lg">{viewInWords(side)}</p>
          </div>
        ))}
      </div>
      {printed.length === 0 ? null : <p className="mt-3 text-lg">{printed.join('; ')}.</p>}
      {sources.length === 0 ? null : <p className="mt-1 text-lg">Known from: {sources.join(' · ')}.</p>}
      <ConnectorFiles harness={view} node={node} />
      <p className="my-3 text-lg">
        The mate’s face shows the same numbers mirrored: on its mating side, latch up, the top row reads{' '}
        <b className="figure">{topRow(mateCavities(face, { side: 'mating', latch: 'up' }))}</b>.
      </p>
      <div className="overflow-x-auto print:overflow-visible" tabIndex={0} role="region" aria-label="Cavities">
        <table className="w-full text-left text-lg print:text-sm [&_td]:pr-3 [&_th]:pr-3">
          <thead className="border-b border-ink text-soft">
            <tr>
              <th className="font-normal">Cavity</th>
              <th className="font-normal">Circuit</th>
              <th className="font-normal">Wire</th>
              <th className="font-normal">Goes to</th>
              <th className="font-normal">Terminal</th>
              <th className="font-normal">Seal</th>
            </tr>
          </thead>
          <tbody>
            {cavitiesOf(face).map(({ cavity }) => {
              const circuit = circuitInCavity(view.circuits, node.id, cavity);
              const far =
                circuit &&
                (circuit.from.nodeId === node.id && circuit.from.cavity === cavity ? circuit.to : circuit.from);
              const fit = node.fittings?.[cavity];
              return (
                <tr key={cavity} className="border-b border-rule">
                  <td className="figure py-1 font-semibold">{cavity}</td>
                  {circuit && far ? (
                    <>
                      <td>
                        <b className="figure">{circuit.number}</b> {circuit.function}
                        {circuit.remark === undefined ? null : (
                          <span className="block text-base text-soft">{circuit.remark}</span>
                        )}
                      </td>
                      <td>
                        <span className="flex items-center gap-2">
                          <WireChip width={44} colour={circuit.wire.colour} title="" />
                          {colourInWords(circuit.wire.colour)}, {sizeInWords(circuit.wire.size)}
                        </span>
                      </td>
                      <td>
                        {nameOf(far.nodeId)} <span className="figure">{far.cavity}</span>
                      </td>
                    </>
                  ) : (
                    <td colSpan={3} className="text-soft">
                      {fit?.seal === 'plug' ? 'plugged' : 'empty'}
                    </td>
                  )}
                  <td>{fit?.terminal === undefined ? '' : terminalInWords(fit.terminal)}</td>
                  <td className={fit?.seal === 'missing' ? 'font-semibold text-scrap' : ''}>
                    {fit?.seal === undefined ? '' : SEAL_WORDS[fit.seal]}
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </div>
      {guide ? (
        <section className="mt-5 text-lg">
          <h2 className="text-xl font-semibold">Free a terminal: {guide.name.toLowerCase()}</h2>
          <ol className="list-decimal pl-7">
            {guide.steps.map((step) => (
              <li key={step}>{step}</li>
            ))}
          </ol>
          <p className="border-l-4 border-rework pl-3">{guide.never}</p>
          <p>
            {guide.lift} {guide.refit}
          </p>
        </section>
      ) : null}
    </CardPage>
  );
}

/** The numbers of the uppermost row from left to right. */
function topRow(seen: ReturnType<typeof seenCavities>): string {
  const top = Math.min(...seen.map((one) => one.y));
  return seen
    .filter((one) => one.y - top < 0.3)
    .sort((a, b) => a.x - b.x)
    .map((one) => one.cavity)
    .join(' ');
}
