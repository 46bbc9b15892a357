import type { KeepOut } from '../../harness/index.ts';
import type { LayoutItem, LyingBody, RunToLayOut } from '../index.ts';
import { onlyFinding, WET_SHAKING } from '../../test/samples.ts';

const JOINT = onlyFinding({ kind: 'parted', slackMm: 40 }, { zone: WET_SHAKING }).splices[0]?.joint;

/** Numbers that are the same every time. */
export function seeded(seed: number): () => number {
  let state = (seed * 7919) % 2147483647;
  return () => {
    state = (state * 48271) % 2147483647;
    return state / 2147483647;
  };
}

/**
 * A made-up run with damage: connectors at both ends, a flexing stretch, a clip, and circuits of which some could have
 * one splice.
 */
export function randomRun(
  seed: number,
  {
    items,
    lengthMm,
    earlier = 0,
    covers = 0,
  }: { readonly items: number; readonly lengthMm: number; readonly earlier?: number; readonly covers?: number },
): RunToLayOut {
  if (!JOINT) throw new RangeError('The sample finding has no splice.');
  const random = seeded(seed);
  const flexMm = Math.round(lengthMm * (0.3 + 0.3 * random()));
  const clipMm = Math.round(lengthMm * (0.65 + 0.2 * random()));
  const keepOuts: KeepOut[] = [
    { kind: 'connector', name: 'X1 back', fromMm: -Infinity, toMm: 40 },
    { kind: 'flex', name: 'arm', fromMm: flexMm, toMm: flexMm + 50 },
    { kind: 'clip', name: 'clip', fromMm: clipMm - 25, toMm: clipMm + 25 },
    { kind: 'connector', name: 'X2 back', fromMm: lengthMm - 40, toMm: Infinity },
  ];
  const list = Array.from({ length: items }, (_, index): LayoutItem => {
    const fromMm = Math.round(100 + random() * (lengthMm - 230));
    const lost = { fromMm, toMm: fromMm + 4 + Math.round(20 * random()) };
    const joint = random() < 0.4 ? { ...JOINT, bodyLengthMm: 41, bodyDiameterMm: 6.9 } : JOINT;
    const one = random() < 0.35;
    const spare = Math.round(30 * random());
    return {
      findingId: `F${index}`,
      circuitId: `C${index}`,
      lost,
      joints: one ? [joint] : [joint, joint],
      twoJoints: one ? [joint, joint] : undefined,
      slackMm: one ? lost.toMm - lost.fromMm + spare : 0,
    };
  });
  const old = seeded(seed + 100_000);
  const lying = Array.from({ length: earlier + covers }, (_, index): LyingBody => {
    const fromMm = Math.round(60 + old() * (lengthMm - 170));
    return {
      kind: index < earlier ? 'splice' : 'cover',
      // On wires of their own, so that nothing but the place is in the way.
      circuitId: `C${items + (index % 8)}`,
      fromMm,
      toMm: fromMm + 30 + Math.round(20 * old()),
      diameterMm: 4 + Math.round(4 * old()),
      words: 'sealed butt, job 0126',
    };
  });
  return {
    lengthMm,
    ...(lying.length > 0 ? { lying } : {}),
    keepOuts,
    items: list,
    pins: [],
    betweenBodiesMm: 40,
    preferFromConnectorMm: 75,
    connectorClearMm: 40,
    wires: Array.from({ length: items + 8 }, (_, index) => ({
      circuitId: `C${index}`,
      jacketMm: 1.8 + (index % 4) * 0.4,
    })),
  };
}
