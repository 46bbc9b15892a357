import type { Highs } from 'highs';
import { apartOf, kindOf } from '../kinds.ts';
import { isBefore, levelsOf, PEAK_GRACE, type Level } from '../levels.ts';
import { sectionDiameterMm } from '../objective.ts';
import { asItem, legalPlaces, madeWith } from '../place.ts';
import type { LaidOut } from '../solve/laidOut.ts';
import { EASE_LEAST_MM, EASE_SHARE, waysOf, wireOf, type BodyVar, type Way } from './anyWays.ts';
import type { PlacedItem, RunToLayOut } from '../types.ts';

const BIG = 5000;
const TOUCH_MM = 1e-6;
/**
 * Any layout of a run with up to two bodies over one place, as a mixed-integer programme made from the definitions
 * alone: where a body may lie by its wire and the keep-outs, an order or an overlap for every two. It knows nothing of
 * the search.
 */
export class AnyLayout {
  private readonly rows: string[] = [];
  private readonly binaries = new Set<string>();
  private readonly ways: readonly Way[];
  private readonly bodies: readonly BodyVar[];
  private readonly overlaps: { readonly over: string; readonly thickMm: number }[] = [];
  private readonly overlapOf = new Map<string, string>();
  private readonly old;

  constructor(
    private readonly highs: Highs,
    private readonly run: RunToLayOut,
    private readonly seconds = 60,
  ) {
    this.old = (run.lying ?? []).filter(({ kind }) => kind === 'splice');
    this.ways = waysOf(run);
    this.bodies = this.ways.flatMap(({ bodies }) => bodies);
    this.ways.forEach(({ use }) => this.binaries.add(use));
    this.bodies.forEach(({ name }) => this.binaries.add(`n${name}`));
    run.items.forEach((item) => {
      const own = this.ways.filter((way) => way.item === item);
      this.rows.push(`${own.map(({ use }) => use).join(' + ')} = 1`);
      // A splice that is pinned tells how its circuit is made.
      for (const { use, bodies } of own)
        if (run.pins.some((pin) => pin.findingId === item.findingId && !bodies.some(({ side }) => side === pin.side)))
          this.rows.push(`${use} = 0`);
    });
    this.bodies.forEach((body) => this.placed(body));
    this.bodies.forEach((a, i) => this.bodies.slice(i + 1).forEach((b, k) => this.beside(a, b, i, i + 1 + k)));
    this.bodies.forEach((body, i) => this.old.forEach((_, f) => this.besideOld(body, i, f)));
    this.pairsAlike();
    this.ofItsKind();
  }

  /** What an even or a short layout does not allow. */
  private ofItsKind(): void {
    const kind = kindOf(this.run);
    if (kind === 'even') this.rows.push(...this.atMostOver(1), `gap >= ${apartOf(this.run)}`);
    if (kind === 'short')
      this.rows.push(
        ...this.atMostOver(2),
        ...this.overlaps.flatMap(({ over, thickMm }) =>
          thickMm > (this.run.twoAtMostMm ?? Infinity) + TOUCH_MM ? [`${over} = 0`] : [],
        ),
      );
  }

  private placed({ wish, name, use, pinnedMm }: BodyVar): void {
    const places = pinnedMm === undefined ? legalPlaces(this.run, wish) : [{ fromMm: pinnedMm, toMm: pinnedMm }];
    const rooms = places.map((room, index) => ({ room, z: `z${name}_${index}` }));
    rooms.forEach(({ z }) => this.binaries.add(z));
    this.rows.push(rooms.length > 0 ? `${rooms.map(({ z }) => z).join(' + ')} - ${use} = 0` : `${use} = 0`);
    for (const { room, z } of rooms)
      this.rows.push(`${name} - ${BIG} ${z} >= ${room.fromMm - BIG}`, `${name} + ${BIG} ${z} <= ${room.toMm + BIG}`);
  }

  private thickness(...bodies: readonly BodyVar[]): number {
    return sectionDiameterMm(
      this.run.wires ?? [],
      bodies.map(({ item, wish }) => ({ circuitId: item.circuitId, bodyMm: wish.joint.bodyDiameterMm })),
    );
  }

  private orderOf(id: string): { readonly before: string; readonly after: string; readonly over: string } {
    const names = { before: `b${id}`, after: `a${id}`, over: `o${id}` };
    Object.values(names).forEach((name) => this.binaries.add(name));
    this.overlapOf.set(id, names.over);
    return names;
  }

  private beside(a: BodyVar, b: BodyVar, i: number, j: number): void {
    if (a.item === b.item && a.use !== b.use) return;
    const { before, after, over } = this.orderOf(`${i}_${j}`);
    const apart = (a.wish.joint.bodyLengthMm + b.wish.joint.bodyLengthMm) / 2;
    this.rows.push(
      `${before} + ${after} + ${over} - ${a.use} - ${b.use} >= -1`,
      `${over} - ${a.use} <= 0`,
      `${over} - ${b.use} <= 0`,
      `${b.name} - ${a.name} - gap - ${BIG} ${before} >= ${apart - BIG}`,
      `${a.name} - ${b.name} - gap - ${BIG} ${after} >= ${apart - BIG}`,
    );
    if (a.item === b.item) this.rows.push(`${over} = 0`);
    this.overlaps.push({ over, thickMm: this.thickness(a, b) });
  }

  private besideOld(body: BodyVar, i: number, f: number): void {
    const old = this.old[f];
    if (!old) return;
    const { before, after, over } = this.orderOf(`${i}_e${f}`);
    const half = body.wish.joint.bodyLengthMm / 2;
    this.rows.push(
      `${before} + ${after} + ${over} - ${body.use} >= 0`,
      `${over} - ${body.use} <= 0`,
      `- ${body.name} - gap - ${BIG} ${before} >= ${half - BIG - old.fromMm}`,
      `${body.name} - gap - ${BIG} ${after} >= ${old.toMm + half - BIG}`,
    );
    this.overlaps.push({
      over,
      thickMm: sectionDiameterMm(this.run.wires ?? [], [
        { circuitId: body.item.circuitId, bodyMm: body.wish.joint.bodyDiameterMm },
        { circuitId: old.circuitId, bodyMm: old.diameterMm },
      ]),
    });
  }

  private pairsAlike(): void {
    for (const a of this.ways)
      for (const b of this.ways) {
        if (a.item.pairFindingId !== b.item.findingId || a.item.findingId > b.item.findingId) continue;
        const [one, other] = [wireOf(a), wireOf(b)];
        if (!one || !other) continue;
        const text = [...one.terms, ...other.terms.map(([sign, name]) => [-sign, name] as const)]
          .map(([sign, name]) => `${sign > 0 ? '+' : '-'} ${name}`)
          .join(' ');
        const off = other.mm + other.addedMm - one.mm - one.addedMm;
        this.rows.push(
          `${text} - ${BIG} ${a.use} - ${BIG} ${b.use} >= ${off - 2 * BIG}`,
          `${text} + ${BIG} ${a.use} + ${BIG} ${b.use} <= ${off + 2 * BIG}`,
        );
      }
  }

  private solved(objective: string, more: readonly string[]): readonly PlacedItem[] | undefined {
    const all = [...this.rows, ...more].map((row, index) => ` r${index}: ${row}`).join('\n');
    const text = `${objective}\nSubject To\n${all}\nBounds\n 0 <= gap <= ${this.run.betweenBodiesMm}\n${this.bodies
      .map(({ name }) => ` 0 <= ${name} <= ${BIG}`)
      .join('\n')}\n left >= -${BIG}\nBinary\n ${[...this.binaries].join(' ')}\nEnd`;
    const answer = this.highs.solve(text, {
      output_flag: false,
      mip_rel_gap: 0,
      mip_abs_gap: 1e-4,
      time_limit: this.seconds,
    });
    if (answer.Status !== 'Optimal') return undefined;
    const columns = answer.Columns as Record<string, { readonly Primal: number } | undefined>;
    const value = (name: string): number => columns[name]?.Primal ?? 0;
    return this.run.items.map((item) => {
      const way = this.ways.find((one) => one.item === item && value(one.use) > 0.5);
      return asItem(
        way ? madeWith(item, new Set(way.bodies.map(({ side }) => side))) : item,
        new Map(
          (way?.bodies ?? []).map(({ side, name, pinnedMm }) => [
            side,
            { centreMm: pinnedMm ?? Math.round(value(name) * 1e4) / 1e4, pinned: pinnedMm !== undefined },
          ]),
        ),
      );
    });
  }

  /** Rows that hold all levels before one as they are reached. */
  private holding(level: Level, { over, pairs, splices, clearMm, peakMm, openedMm, insertedMm }: LaidOut['objective']) {
    const order = levelsOf(this.run);
    const holds = (one: Level): boolean => isBefore(order, one, level);
    const rows: string[] = [];
    if (holds('over')) rows.push(...this.atMostOver(over));
    if (holds('pairs')) rows.push(`${this.sum(this.overlaps.map((one) => one.over))} <= ${pairs}`);
    if (holds('splices')) rows.push(`${this.splices()} <= ${splices}`);
    rows.push(holds('clearMm') ? `gap >= ${clearMm}` : level === 'clearMm' ? 'gap >= 0' : `gap = ${apartOf(this.run)}`);
    if (holds('peakMm')) rows.push(...this.noThicker(peakMm));
    if (holds('openedMm')) rows.push(...this.opening(), `right - left <= ${openedMm}`);
    if (holds('insertedMm')) rows.push(`${this.wires()} <= ${insertedMm}`, ...this.wireRows());
    return rows;
  }

  private atMostOver(over: number): string[] {
    if (over === 1) return this.overlaps.map((one) => `${one.over} = 0`);
    // More than two are not held back here: what is found is measured.
    if (over > 2) return [];
    const rows: string[] = [];
    const of = (a: string, b: string): string | undefined => this.overlapOf.get(`${a}_${b}`);
    const n = this.bodies.length;
    for (let i = 0; i < n; i += 1) {
      for (let j = i + 1; j < n; j += 1) {
        const ij = of(`${i}`, `${j}`);
        for (let k = j + 1; k < n; k += 1) {
          const three = [ij, of(`${j}`, `${k}`), of(`${i}`, `${k}`)];
          if (three.every((one) => one !== undefined)) rows.push(`${three.join(' + ')} <= 2`);
        }
        this.old.forEach((_, f) => {
          const three = [ij, of(`${i}`, `e${f}`), of(`${j}`, `e${f}`)];
          if (three.every((one) => one !== undefined)) rows.push(`${three.join(' + ')} <= 2`);
        });
      }
      this.old.forEach((a, f) =>
        this.old.slice(f + 1).forEach((b, g) => {
          if (a.fromMm < b.toMm && b.fromMm < a.toMm)
            rows.push(`${of(`${i}`, `e${f}`) ?? '0 gap'} + ${of(`${i}`, `e${f + 1 + g}`) ?? '0 gap'} <= 1`);
        }),
      );
    }
    return rows;
  }

  private noThicker(mm: number): string[] {
    return [
      ...this.bodies.flatMap((body) => (this.thickness(body) > mm + TOUCH_MM ? [`${body.use} = 0`] : [])),
      ...this.overlaps.flatMap(({ over, thickMm }) => (thickMm > mm + TOUCH_MM ? [`${over} = 0`] : [])),
    ];
  }

  private opening(): string[] {
    const rows = this.bodies.flatMap(({ name, use, wish }) => [
      `right - ${name} - ${BIG} ${use} >= ${wish.joint.bodyLengthMm / 2 - BIG}`,
      `left - ${name} + ${BIG} ${use} <= ${BIG - wish.joint.bodyLengthMm / 2}`,
    ]);
    const lost = [...this.run.items.map(({ lost: one }) => one), ...(this.run.alsoOpened ?? [])];
    return [
      ...rows,
      `right >= ${Math.max(...lost.map(({ toMm }) => toMm))}`,
      `left <= ${Math.min(...lost.map(({ fromMm }) => fromMm))}`,
    ];
  }

  private wireRows(): string[] {
    return this.ways.flatMap((way) => {
      const wire = wireOf(way);
      if (!wire) return [];
      const { mm, addedMm } = wire;
      const minus = (share: number): string =>
        wire.terms.map(([sign, name]) => `${sign > 0 ? '-' : '+'} ${share} ${name}`).join(' ');
      return [
        `w${way.use} ${minus(1)} - ${BIG} ${way.use} >= ${mm + addedMm + EASE_LEAST_MM - BIG}`,
        `w${way.use} ${minus(1 + EASE_SHARE)} - ${BIG} ${way.use} >= ${(1 + EASE_SHARE) * mm + addedMm - BIG}`,
      ];
    });
  }

  private wires(): string {
    return this.sum(this.ways.flatMap((way) => (wireOf(way) ? [`w${way.use}`] : [])));
  }

  /** Rows that make a body without the preferred room at a connector, at whichever end of the run, count. */
  private nearRows(): string[] {
    const beyondMm = this.run.preferFromConnectorMm - this.run.connectorClearMm;
    return this.bodies.flatMap(({ name, use, wish }) => {
      const half = wish.joint.bodyLengthMm / 2;
      const free = `+ ${BIG} n${name} - ${BIG} ${use}`;
      return this.run.keepOuts
        .filter(({ kind }) => kind === 'connector')
        .flatMap(({ fromMm, toMm }) => [
          ...(Number.isFinite(toMm) ? [`${name} ${free} >= ${toMm + beyondMm + half - BIG}`] : []),
          ...(Number.isFinite(fromMm) ? [`- ${name} ${free} >= ${half - fromMm + beyondMm - BIG}`] : []),
        ]);
    });
  }

  private readonly sum = (terms: readonly string[]): string => (terms.length > 0 ? terms.join(' + ') : '0 gap');
  private readonly splices = (): string => this.sum(this.ways.map(({ use, bodies }) => `${bodies.length} ${use}`));

  /** Any layout that lies in no keep-out, with its pairs alike. */
  legal(): readonly PlacedItem[] | undefined {
    return this.solved('Minimize\n 0 gap', [`gap = ${apartOf(this.run)}`, ...this.atMostOver(2)]);
  }

  /** The best on a level that the programme finds with all levels before as they are reached. */
  best(level: Level, reached: LaidOut['objective'], bound: LaidOut['bound']): readonly PlacedItem[] | undefined {
    const rows = this.holding(level, reached);
    if (level === 'over') {
      for (let over = 1; over < Math.min(3, bound.over); over += 1) {
        const found = this.solved('Minimize\n 0 gap', [...rows, ...this.atMostOver(over)]);
        if (found) return found;
      }
      return undefined;
    }
    if (level === 'pairs') return this.solved(`Minimize\n ${this.sum(this.overlaps.map((one) => one.over))}`, rows);
    if (level === 'splices') return this.solved(`Minimize\n ${this.splices()}`, rows);
    if (level === 'clearMm') return this.solved('Maximize\n gap', rows);
    if (level === 'peakMm')
      return this.solved('Minimize\n 0 gap', [...rows, ...this.noThicker(bound.peakMm / (1 + PEAK_GRACE) - 0.01)]);
    if (level === 'openedMm') return this.solved('Minimize\n right - left', [...rows, ...this.opening()]);
    if (level === 'near')
      return this.solved(`Minimize\n ${this.sum(this.bodies.map(({ name }) => `n${name}`))}`, [
        ...rows,
        ...this.nearRows(),
      ]);
    if (level === 'insertedMm') return this.solved(`Minimize\n ${this.wires()}`, [...rows, ...this.wireRows()]);
    return undefined;
  }
}
