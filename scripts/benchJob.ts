import type { Finding } from '@mendum/core/damage';
import type { Circuit } from '@mendum/core/harness';
import type { Job } from '@mendum/core/job';

/** A job with so many damaged circuits, on one run long enough to hold their splices. */
export function jobOf(count: number): Job {
  const sizes = [0.5, 0.75, 1.5, 2.5, 4];
  const circuits = Array.from({ length: count }, (_, index): Circuit => ({
    id: `C${index}`,
    number: String(index + 1),
    function: `Function ${index + 1}`,
    kind: (['power', 'signal', 'ground', 'lowLevel', 'data'] as const)[index % 5] ?? 'power',
    wire: {
      size: { basis: 'metric', areaMm2: sizes[index % 5] ?? 1 },
      conductor: { kind: 'stranded' },
      jacket: { material: 'xlpe', wall: 'thin' },
      colour: { base: 'red' },
    },
    from: { nodeId: 'X1', cavity: String(index + 1) },
    to: { nodeId: 'X2', cavity: String(index + 1) },
    runIds: ['R1'],
    loadA: 0.5,
  }));
  const findings = circuits.map((circuit, index): Finding => ({
    id: `F${index}`,
    circuitId: circuit.id,
    runId: 'R1',
    kind: 'parted',
    fromMm: 300 + index * 160,
    toMm: 310 + index * 160,
    cutBackLeftMm: 3,
    cutBackRightMm: 3,
    slackMm: index % 3 === 0 ? 40 : 0,
  }));
  return {
    id: 'bench',
    number: 'bench',
    title: 'bench',
    machine: { id: 'M', name: 'bench', kind: 'bench', systemVoltageV: 24 },
    harness: {
      id: 'H',
      name: 'H',
      nodes: [
        { id: 'X1', kind: 'connector', name: 'X1' },
        { id: 'X2', kind: 'connector', name: 'X2' },
      ],
      circuits,
      runs: [
        {
          id: 'R1',
          name: 'R1',
          fromNodeId: 'X1',
          toNodeId: 'X2',
          lengthMm: 1000 + count * 170,
          zone: { area: 'chassis', vibration: 'moderate', moisture: 'wet', fuelVapour: false },
          features: [],
        },
      ],
    },
    findings,
    gate: { isolation: { how: 'provedDead', by: 'bench', at: '2030-01-01T00:00:00Z' } },
    choices: [],
    pins: [],
    redos: [],
  };
}
