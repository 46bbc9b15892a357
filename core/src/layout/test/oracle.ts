import type { Highs } from 'highs';
import type { RunToLayOut } from '../index.ts';
import { buildProblem } from '../solve/build.ts';
import type { Piece } from '../solve/problem.ts';

/** What a general solver finds for a run, level by level. */
export interface OracleAnswer {
  readonly over: number;
  readonly pairs: number;
  readonly splices: number;
  readonly clearMm?: number;
  readonly openedMm?: number;
  readonly insertedMm?: number;
  readonly near?: number;
}

const BIG = 5000;

interface Model {
  rows: string[];
  readonly binaries: Set<string>;
}

/**
 * The layout of a run as a mixed-integer programme, solved level by level: an order for every two bodies, a room for
 * every body. Slow and plain, and nothing of the search is in it but the windows in which bodies may lie. From two
 * bodies over one place on, the levels after the splices are left out. Without pairs.
 */
export function layoutByProgramme(highs: Highs, run: RunToLayOut): OracleAnswer | undefined {
  const { problem } = buildProblem(run, 0);
  const modes = problem.units.flatMap((unit, u) => unit.modes.map((mode, m) => ({ u, m, mode })));
  const bodies: { piece: Piece; name: string; use: string; u: number; m: number }[] = modes.flatMap(({ u, m, mode }) =>
    mode.map((piece, p) => ({ piece, name: `x${u}_${m}_${p}`, use: `m${u}_${m}`, u, m })),
  );
  const model: Model = { rows: [], binaries: new Set() };
  const { rows, binaries } = model;
  problem.units.forEach((unit, u) => rows.push(`${unit.modes.map((_, m) => `m${u}_${m}`).join(' + ')} = 1`));
  for (const { use } of modes.map(({ u, m }) => ({ use: `m${u}_${m}` }))) binaries.add(use);
  const nearTerms: string[] = [];
  bodies.forEach(({ piece, name, use }) => {
    const rooms = piece.rooms.map((room, r) => ({ room, z: `z${name}_${r}` }));
    rooms.forEach(({ z }) => binaries.add(z));
    rows.push(`${rooms.map(({ z }) => z).join(' + ')} - ${use} = 0`);
    for (const { room, z } of rooms) {
      rows.push(`${name} - ${BIG} ${z} >= ${room.fromMm - BIG}`, `${name} + ${BIG} ${z} <= ${room.toMm + BIG}`);
      if (room.near > 0) nearTerms.push(`${room.near} ${z}`);
    }
  });
  const overlaps: string[] = [];
  const pairOf = new Map<string, string>();
  bodies.forEach((a, i) =>
    bodies.slice(i + 1).forEach((b, k) => {
      if (a.u === b.u && a.m !== b.m) return;
      const id = `${i}_${i + 1 + k}`;
      const [before, after, over] = [`b${id}`, `a${id}`, `o${id}`];
      for (const binary of [before, after, over]) binaries.add(binary);
      pairOf.set(id, over);
      // Both used: one of the three. A body that is not made has no order.
      rows.push(
        `${before} + ${after} + ${over} - ${a.use} - ${b.use} >= -1`,
        `${over} - ${a.use} <= 0`,
        `${over} - ${b.use} <= 0`,
      );
      rows.push(
        `${b.name} - ${a.name} - gap - ${BIG} ${before} >= ${a.piece.lengthMm - BIG}`,
        `${a.name} - ${b.name} - gap - ${BIG} ${after} >= ${b.piece.lengthMm - BIG}`,
      );
      if (a.u === b.u) rows.push(`${over} = 0`, `${before} - ${a.use} = 0`);
      overlaps.push(over);
    }),
  );
  // What is on the wires already: a body before it, behind it, or over it.
  const lying = (run.lying ?? []).filter(({ kind }) => kind === 'splice');
  bodies.forEach(({ piece, name, use }, i) =>
    lying.forEach(({ fromMm, toMm }, f) => {
      const id = `${i}_e${f}`;
      const [before, after, over] = [`b${id}`, `a${id}`, `o${id}`];
      for (const binary of [before, after, over]) binaries.add(binary);
      pairOf.set(id, over);
      rows.push(`${before} + ${after} + ${over} - ${use} >= 0`, `${over} - ${use} <= 0`);
      rows.push(
        `- ${name} - gap - ${BIG} ${before} >= ${piece.lengthMm - BIG - fromMm}`,
        `${name} - gap - ${BIG} ${after} >= ${toMm - BIG}`,
      );
      overlaps.push(over);
    }),
  );
  const solve = (objective: string, more: readonly string[]): { value: number } | undefined => {
    const text = `${objective}\nSubject To\n${[...rows, ...more].map((row, index) => ` r${index}: ${row}`).join('\n')}\nBounds\n 0 <= gap <= ${run.betweenBodiesMm}\n${bodies.map(({ name }) => ` 0 <= ${name} <= ${BIG}`).join('\n')}\n left >= -${BIG}\n 0 <= ease\nBinary\n ${[...binaries].join(' ')}\nEnd`;
    const answer = highs.solve(text, { output_flag: false, mip_rel_gap: 0, mip_abs_gap: 1e-7, time_limit: 120 });
    if (answer.Status === 'Infeasible') return undefined;
    if (answer.Status !== 'Optimal') throw new Error(`The programme ended ${answer.Status}.`);
    return { value: answer.ObjectiveValue };
  };
  const sum = (terms: readonly string[]): string => (terms.length > 0 ? terms.join(' + ') : '0 gap');
  const counted = bodies.map(({ u, m }) => `m${u}_${m}`);
  const splicesOf = new Map<string, number>();
  for (const use of counted) splicesOf.set(use, (splicesOf.get(use) ?? 0) + 1);
  const splices = [...splicesOf].map(([use, count]) => `${count} ${use}`);
  for (let over = 1; over <= 3; over += 1) {
    const crowd: string[] = [];
    if (over === 1) crowd.push(`${sum(overlaps)} = 0`);
    if (over === 2) {
      bodies.forEach((_, i) =>
        bodies.slice(i + 1).forEach((__, j) =>
          bodies.slice(i + j + 2).forEach((___, k) => {
            const [a, b, c] = [i, i + j + 1, i + j + k + 2];
            const three = [pairOf.get(`${a}_${b}`), pairOf.get(`${b}_${c}`), pairOf.get(`${a}_${c}`)];
            if (three.every((one) => one !== undefined)) crowd.push(`${three.join(' + ')} <= 2`);
          }),
        ),
      );
    }
    if (over === 2) {
      const both = (a: string, b: string, c: string | undefined): void => {
        const [one, other] = [pairOf.get(a), pairOf.get(b)];
        if (one && other && c !== undefined) crowd.push(`${one} + ${other}${c} <= ${c === '' ? 1 : 2}`);
      };
      bodies.forEach((_, i) =>
        lying.forEach((old, f) => {
          for (let j = i + 1; j < bodies.length; j += 1) {
            const over_ = pairOf.get(`${i}_${j}`);
            both(`${i}_e${f}`, `${j}_e${f}`, over_ && ` + ${over_}`);
          }
          lying.slice(f + 1).forEach((other, g) => {
            if (old.fromMm < other.toMm && other.fromMm < old.toMm) both(`${i}_e${f}`, `${i}_e${f + 1 + g}`, '');
          });
        }),
      );
    }
    const none = [...crowd, 'gap = 0'];
    const pairs = solve(`Minimize\n ${sum(overlaps)}`, none);
    if (!pairs) continue;
    const withPairs = [...crowd, `${sum(overlaps)} <= ${Math.round(pairs.value)}`];
    const fewest = solve(`Minimize\n ${sum(splices)}`, [...withPairs, 'gap = 0']);
    if (!fewest) return undefined;
    const answer = { over, pairs: Math.round(pairs.value), splices: Math.round(fewest.value) };
    if (over > 1) return answer;
    const withSplices = [...withPairs, `${sum(splices)} <= ${answer.splices}`];
    const clear = solve('Maximize\n gap', withSplices);
    const atGap = [...withSplices, `gap >= ${(clear?.value ?? 0) - 1e-5}`];
    const span: string[] = bodies.flatMap(({ piece, name, use }) => [
      `right - ${name} - ${BIG} ${use} >= ${piece.lengthMm - BIG}`,
      `left - ${name} + ${BIG} ${use} <= ${BIG}`,
    ]);
    if (problem.lost) span.push(`right >= ${problem.lost.toMm}`, `left <= ${problem.lost.fromMm}`);
    const opened = solve('Minimize\n right - left', [...atGap, ...span]);
    const atSpan = [...atGap, ...span, `right - left <= ${(opened?.value ?? 0) + 1e-4}`];
    const wires = new Map<number, string[]>();
    const uses = new Map<number, { use: string; constant: number; added: number }>();
    bodies.forEach(({ piece, name, use }) =>
      piece.ends.forEach((end) => {
        wires.set(end.wire, [...(wires.get(end.wire) ?? []), `${end.sign > 0 ? '+' : '-'} ${name}`]);
        const so = uses.get(end.wire) ?? { use, constant: 0, added: 0 };
        uses.set(end.wire, {
          use,
          constant: so.constant + end.sign * end.offsetMm,
          added: so.added + (end.addMm ?? 0),
        });
      }),
    );
    const lengths: string[] = [];
    for (const [wire, terms] of wires) {
      const { use, constant, added } = uses.get(wire) ?? { use: '', constant: 0, added: 0 };
      // Inserted: distance, added, and ease of 3 or a hundredth.
      lengths.push(
        `w${wire} ${terms.map((term) => (term.startsWith('+') ? `- ${term.slice(2)}` : `+ ${term.slice(2)}`)).join(' ')} - ${BIG} ${use} >= ${constant + added + 3 - BIG}`,
      );
      lengths.push(
        `w${wire} ${terms.map((term) => (term.startsWith('+') ? `- 1.01 ${term.slice(2)}` : `+ 1.01 ${term.slice(2)}`)).join(' ')} - ${BIG} ${use} >= ${1.01 * constant + added - BIG}`,
      );
    }
    const inserted =
      wires.size > 0
        ? solve(`Minimize\n ${[...wires.keys()].map((wire) => `w${wire}`).join(' + ')}`, [...atSpan, ...lengths])
        : { value: 0 };
    const atLength =
      wires.size > 0
        ? [
            ...atSpan,
            ...lengths,
            `${[...wires.keys()].map((wire) => `w${wire}`).join(' + ')} <= ${(inserted?.value ?? 0) + 0.01}`,
          ]
        : atSpan;
    const near = nearTerms.length > 0 ? solve(`Minimize\n ${sum(nearTerms)}`, atLength) : { value: 0 };
    return {
      ...answer,
      clearMm: clear?.value ?? 0,
      openedMm: opened?.value ?? 0,
      insertedMm: inserted?.value ?? 0,
      near: Math.round(near?.value ?? 0),
    };
  }
  return undefined;
}
