import { lackOfSize } from '../../catalogue/index.ts';
import { terminalInWords, type EndUse, type TerminalFamily } from '../../harness/index.ts';
import { deciding, equalTo, ONLY_ONE, statusOf, type MethodStatus, type RuleHit } from '../../method/index.ts';
import { partOfSize } from '../../family/index.ts';
import { bodyOf, formOf, FORMS } from '../../terminal/index.ts';
import { figure } from '../../units/index.ts';
import { hit } from '../hits.ts';
import { casesOf, familiesFor, terminalsOf } from './candidates.ts';
import { compareEnds, whyBefore } from './order.ts';
import { hitsOf } from './rules.ts';
import type { EndCase, EndSite, RankedEnd } from './types.ts';

const ORDER: Readonly<Record<MethodStatus, number>> = { allowed: 0, shelf: 1, refused: 2 };

interface Judged {
  readonly where: EndCase;
  readonly hits: readonly RuleHit[];
  readonly status: MethodStatus;
}

const isBar = ({ verdict }: RuleHit): boolean => verdict === 'refuse';
const bars = ({ hits }: Judged): number => hits.filter(isBar).length;
const compare = (a: Judged, b: Judged): number =>
  ORDER[a.status] - ORDER[b.status] ||
  (a.status === 'refused' ? bars(a) - bars(b) : 0) ||
  compareEnds(a.where, b.where);

const idOf = ({ part, attach }: EndCase): string =>
  attach === 'solder' ? `${part.family} solder` : `${part.family} ${bodyOf(part)}`;
const nameOf = ({ part, attach }: EndCase): string => (attach === 'solder' ? `${part.name}, soldered` : part.name);

/** The best of its family, body and hold, and why its like in another size that would go before it is refused. */
interface Shown extends Judged {
  readonly passed: readonly string[];
}

/** Only the best of each family, body and hold is shown: the others are its own like in another size. */
function bestOfEach(all: readonly Judged[]): readonly Shown[] {
  const byId = new Map<string, Judged[]>();
  for (const one of [...all].sort(compare)) byId.set(idOf(one.where), [...(byId.get(idOf(one.where)) ?? []), one]);
  return [...byId.values()].flatMap(([best, ...others]): Shown[] => {
    if (!best) return [];
    const passed = others.filter(
      ({ where, status }) => status === 'refused' && best.status !== 'refused' && compareEnds(where, best.where) < 0,
    );
    return [{ ...best, passed: passed.flatMap(({ hits }) => hits.find(isBar)?.because ?? []) }];
  });
}

const refused = (id: string, name: string, family: TerminalFamily | undefined, why: RuleHit): RankedEnd => ({
  id,
  name,
  attach: 'crimp',
  family,
  status: 'refused',
  because: why.because,
  hits: [why],
  stripMm: 0,
  folded: false,
  toolNames: [],
  lacks: [],
  passed: [],
  usesPartIds: [],
});

/** A family of which no part takes the wire. */
function noneHolds(family: TerminalFamily, { wire, placeC, catalogue }: EndSite): RankedEnd {
  const words = terminalInWords(family);
  const jacketMm = formOf(family).form === 'housing' ? figure(wire.jacketMm) : undefined;
  const jacket = jacketMm === undefined ? '' : ` with a jacket of ${jacketMm} mm`;
  const name = `${words.charAt(0).toUpperCase()}${words.slice(1)}`;
  const ranges = terminalsOf(catalogue).flatMap((part) => (part.family === family ? [part.range] : []));
  const wanted = partOfSize(name, ranges, [wire.areaMm2], jacketMm === undefined ? '' : `, jacket ${jacketMm} mm`);
  return refused(
    family,
    name,
    family,
    hit(
      'size.noPartHolds',
      'refuse',
      `No ${words} holds ${figure(wire.areaMm2, 3)} mm²${jacket}.`,
      'stamped on the part, else usual: copper range, 2 % at both limits',
      undefined,
      wanted && [lackOfSize(wanted.name, wanted.takes, placeC)],
    ),
  );
}

/** The forms that the use of an end leaves out, each with its reason. */
const leftOut = (use: EndUse): readonly RankedEnd[] =>
  Object.values(FORMS).flatMap(({ form, serves }) => {
    const because = serves[use];
    if (typeof because !== 'string') return [];
    const name = form === 'housing' ? 'Housing terminal' : `${form.charAt(0).toUpperCase()}${form.slice(1)}`;
    return [refused(form, name, undefined, hit('end.use', 'refuse', because, 'trade practice'))];
  });

/** Why one stands before the other, told from its own side; nothing where they are equals. */
function whyOf(one: EndCase, rival: EndCase, isBest: boolean): string | undefined {
  if (isBest) return whyBefore(one, rival);
  const why = whyBefore(rival, one);
  return why === undefined ? undefined : `After ${nameOf(rival)}: ${why}`;
}

/**
 * Every terminal that an end may have, the refused ones too: of the family noted there, or of those that its use asks
 * for; each crimped and soldered, bare, insulated and with a tube of its own. Allowed first by the order of preference,
 * then what has to be ordered, then what a rule refuses. None while neither family nor use is known.
 */
export function rankEnds(site: EndSite): readonly RankedEnd[] {
  const families = familiesFor(site.fitting);
  const byFamily = families.map((family) => ({ family, cases: casesOf(site, family) }));
  const judged = bestOfEach(
    byFamily
      .flatMap(({ cases }) => cases)
      .map((where): Judged => {
        const hits = hitsOf(where);
        return { where, hits, status: statusOf(hits) };
      }),
  );
  const [best, second] = judged;
  const ranked = judged.map((one, index): RankedEnd => {
    const { where, hits, status, passed } = one;
    const rival = index === 0 ? second : best;
    const why =
      status === 'allowed' && rival?.status === 'allowed' ? whyOf(where, rival.where, index === 0) : undefined;
    const said = deciding(hits)?.because;
    return {
      id: idOf(where),
      name: nameOf(where),
      attach: where.attach,
      family: where.part.family,
      part: where.part,
      status,
      because: said ?? why ?? (rival?.status === 'allowed' ? equalTo(nameOf(rival.where)) : ONLY_ONE),
      hits,
      stripMm: where.part.stripMm * (where.folded ? 2 : 1),
      folded: where.folded,
      seal: where.seal,
      crimpTool: where.attach === 'crimp' ? where.tool : undefined,
      toolNames: [where.tool, where.hotAir].flatMap((tool) => (tool ? [tool.name] : [])),
      lacks: where.lacks,
      passed,
      usesPartIds: [where.part.id, where.sealPart?.id, where.solderId].filter((id) => id !== undefined),
    };
  });
  const none = byFamily.filter(({ cases }) => cases.length === 0).map(({ family }) => noneHolds(family, site));
  const { fitting } = site;
  const forms = fitting?.terminal === undefined && fitting?.use !== undefined ? leftOut(fitting.use) : [];
  return [...ranked, ...none, ...forms];
}
