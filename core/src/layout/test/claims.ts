import type { Highs } from 'highs';
import { compareLayouts, LEVELS, measure, PEAK_GRACE, sectionDiameterMm, type Level } from '../objective.ts';
import { asItem, legalPlaces, madeWith, windowsOf, type Wish } from '../place.ts';
import type { LaidOut } from '../solve/laidOut.ts';
import { type LayoutItem, type PlacedItem, type RunToLayOut, type SpliceSide } from '../types.ts';

const BIG = 5000;
const TOUCH_MM = 1e-6;

interface BodyVar {
  readonly item: LayoutItem;
  readonly side: SpliceSide;
  readonly wish: Wish;
  /** Its centre, and whether it is made. */
  readonly name: string;
  readonly use: string;
  readonly pinnedMm: number | undefined;
}

/** One way to make an item: with one splice or with two. */
interface Way {
  readonly item: LayoutItem;
  readonly use: string;
  readonly bodies: readonly BodyVar[];
}

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
    this.ways = run.items.flatMap((item, index): Way[] =>
      [item, ...(item.twoJoints ? [{ ...item, joints: item.twoJoints }] : [])].map((made, way) => {
        const use = `m${index}_${way}`;
        const sides = [...windowsOf({ ...made, twoJoints: undefined })];
        return {
          item,
          use,
          bodies: sides.map(([side, wish]) => ({
            item,
            side,
            wish,
            use,
            name: `x${index}_${side}`,
            pinnedMm: run.pins.find((pin) => pin.findingId === item.findingId && pin.side === side)?.centreMm,
          })),
        };
      }),
    );
    this.bodies = this.ways.flatMap(({ bodies }) => bodies);
    this.ways.forEach(({ use }) => this.binaries.add(use));
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

  /** What a wire gets, as terms of centres and a constant, when it is made in a way: without its ease. */
  private wireOf(
    way: Way,
  ): { readonly terms: readonly (readonly [number, string])[]; readonly mm: number } | undefined {
    const at = (centres: readonly number[]): number | undefined =>
      asItem(
        madeWith(way.item, new Set(way.bodies.map(({ side }) => side))),
        new Map(way.bodies.map(({ side }, index) => [side, { centreMm: centres[index] ?? 0, pinned: false }])),
      ).insertMm;
    // Linear while the ease is its least: measured there, over short wires.
    const start = way.bodies.map(({ wish }) => wish.atMm);
    const base = at(start);
    if (base === undefined) return undefined;
    const item = asItem(
      madeWith(way.item, new Set(way.bodies.map(({ side }) => side))),
      new Map(way.bodies.map(({ side, wish }) => [side, { centreMm: wish.atMm, pinned: false }])),
    );
    const betweenMm = item.x2Mm - item.x1Mm + (way.item.half?.beyondMm ?? 0);
    const signs = way.bodies.map(({ wish }): number => (wish.beside === 'left' ? -1 : 1));
    const distance = way.bodies.map(({ name }, index) => [signs[index] ?? 1, name] as const);
    const constant = betweenMm - signs.reduce((sum, sign, index) => sum + sign * (start[index] ?? 0), 0);
    return { terms: distance, mm: constant };
  }

  /** What is added to the distance of a wire's faces besides ease, mm. */
  private addedOf(way: Way): number {
    const places = new Map(way.bodies.map(({ side, wish }) => [side, { centreMm: wish.atMm, pinned: false }]));
    const item = asItem(madeWith(way.item, new Set(way.bodies.map(({ side }) => side))), places);
    const betweenMm = item.x2Mm - item.x1Mm + (way.item.half?.beyondMm ?? 0);
    return (item.insertMm ?? 0) - betweenMm - Math.max(3, 0.01 * betweenMm);
  }

  private pairsAlike(): void {
    for (const a of this.ways)
      for (const b of this.ways) {
        if (a.item.pairFindingId !== b.item.findingId || a.item.findingId > b.item.findingId) continue;
        const [one, other] = [this.wireOf(a), this.wireOf(b)];
        if (!one || !other) continue;
        const text = [...one.terms, ...other.terms.map(([sign, name]) => [-sign, name] as const)]
          .map(([sign, name]) => `${sign > 0 ? '+' : '-'} ${name}`)
          .join(' ');
        const off = other.mm + this.addedOf(b) - one.mm - this.addedOf(a);
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
    const upTo = LEVELS.indexOf(level);
    const holds = (one: Level): boolean => LEVELS.indexOf(one) < upTo;
    const rows: string[] = [];
    if (holds('over')) rows.push(...this.atMostOver(over));
    if (holds('pairs')) rows.push(`${this.sum(this.overlaps.map((one) => one.over))} <= ${pairs}`);
    if (holds('splices')) rows.push(`${this.splices()} <= ${splices}`);
    rows.push(holds('clearMm') ? `gap >= ${clearMm}` : level === 'clearMm' ? 'gap >= 0' : 'gap = 0');
    if (holds('peakMm')) rows.push(...this.noThicker(peakMm));
    if (holds('openedMm')) rows.push(...this.opening(), `right - left <= ${openedMm}`);
    if (holds('insertedMm')) rows.push(`${this.wires()} <= ${insertedMm}`, ...this.wireRows());
    return rows;
  }

  private atMostOver(over: number): string[] {
    if (over === 1) return this.overlaps.map((one) => `${one.over} = 0`);
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
      const wire = this.wireOf(way);
      if (!wire) return [];
      const added = this.addedOf(way);
      const minus = (share: number): string =>
        wire.terms.map(([sign, name]) => `${sign > 0 ? '-' : '+'} ${share} ${name}`).join(' ');
      return [
        `w${way.use} ${minus(1)} - ${BIG} ${way.use} >= ${wire.mm + added + 3 - BIG}`,
        `w${way.use} ${minus(1.01)} - ${BIG} ${way.use} >= ${1.01 * wire.mm + added - BIG}`,
      ];
    });
  }

  private wires(): string {
    return this.sum(this.ways.flatMap((way) => (this.wireOf(way) ? [`w${way.use}`] : [])));
  }

  private readonly sum = (terms: readonly string[]): string => (terms.length > 0 ? terms.join(' + ') : '0 gap');
  private readonly splices = (): string => this.sum(this.ways.map(({ use, bodies }) => `${bodies.length} ${use}`));

  /** Any layout that lies in no keep-out, with its pairs alike. */
  legal(): readonly PlacedItem[] | undefined {
    return this.solved('Minimize\n 0 gap', ['gap = 0', ...this.atMostOver(2)]);
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
    if (level === 'insertedMm') return this.solved(`Minimize\n ${this.wires()}`, [...rows, ...this.wireRows()]);
    return undefined;
  }
}

/** How much better a layout has to be on a level to show a claim wrong. */
const GRACE: Partial<Record<Level, number>> = { clearMm: 0.03, openedMm: 0.1, insertedMm: 0.6 };

/**
 * A layout that shows a bound of a level to be wrong: no worse on the levels before, and better than the bound; judged
 * by the definitions. None, where none was found.
 */
export function refuted(highs: Highs, run: RunToLayOut, laid: LaidOut, seconds?: number): string | undefined {
  const { objective, bound } = laid;
  if (objective.barred > 0 || objective.over > 2) return undefined;
  const any = new AnyLayout(highs, run, seconds);
  // Covers count for thickness beside any two: the programme does not know of them there.
  const last = objective.over > 1 && run.lying?.some(({ kind }) => kind === 'cover') ? 'clearMm' : 'insertedMm';
  for (const level of LEVELS.slice(1, LEVELS.indexOf(last) + 1)) {
    if (level === 'clearMm' ? bound.clearMm >= run.betweenBodiesMm : bound[level] <= 0) continue;
    const found = any.best(level, objective, bound);
    if (!found) continue;
    const better = measure(run, found);
    if (better.barred > 0) continue;
    // Within a hundredth of the least counts as equal, and the least may be less than what is reached.
    if (LEVELS.indexOf(level) > LEVELS.indexOf('peakMm') && better.peakMm > objective.peakMm + 1e-6) continue;
    const first = { ...better };
    for (const one of LEVELS.slice(LEVELS.indexOf(level))) first[one] = objective[one];
    if (compareLayouts(first, objective) > 0) continue;
    const gain = level === 'clearMm' ? better.clearMm - bound.clearMm : bound[level] - better[level];
    const grace = level === 'peakMm' ? PEAK_GRACE * bound.peakMm : (GRACE[level] ?? 0.5);
    if (gain > grace)
      return `${level}: ${bound[level]} said (${laid.open ?? 'all proven'}, reached ${objective[level]}), ${better[level]} found: ${found
        .flatMap(({ splices }) => splices.map(({ id, centreMm }) => `${id} ${centreMm}`))
        .join(', ')}`;
  }
  return undefined;
}
