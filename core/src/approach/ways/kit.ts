import type { Catalogue } from '../../catalogue/index.ts';
import { terminalInWords, type HarnessNode } from '../../harness/index.ts';
import { holds, takesJacket } from '../../sizing/index.ts';
import type { ConnectorKitPart, TerminalPart, WireSealPart } from '../../stock/index.ts';
import { figure } from '../../units/index.ts';
import { wireFacts } from '../../wire/index.ts';
import { isOfFamily, type Bar, type OldWire } from './belongs.ts';

const terminalId = ({ id }: ConnectorKitPart): string => `${id}/terminal`;
const sealId = ({ id }: ConnectorKitPart): string => `${id}/seal`;

/**
 * Whether a kit is known to be for a connector: of its family, or with the terminals that are noted in all its
 * cavities.
 */
export const isKitFor = (kit: ConnectorKitPart, node: HarnessNode, wires: readonly OldWire[]): boolean =>
  isOfFamily(kit, node) === true ||
  (wires.length > 0 && wires.every(({ cavity }) => node.fittings?.[cavity]?.terminal === kit.terminal));

/** Why a kit's terminals or seals do not take a wire of the connector. */
export function kitBar(kit: ConnectorKitPart, node: HarnessNode, wires: readonly OldWire[]): Bar | undefined {
  for (const { circuit, cavity } of wires) {
    const noted = node.fittings?.[cavity]?.terminal;
    const where = `cavity ${cavity}`;
    if (noted !== undefined && noted !== kit.terminal)
      return {
        ruleId: 'way.noHousing',
        because: `${kit.name} takes the ${terminalInWords(kit.terminal)}; ${where} of ${node.name} has the ${terminalInWords(noted)}.`,
      };
    const { areaMm2, jacketMm } = wireFacts(circuit.wire);
    if (!holds(kit.range, areaMm2))
      return {
        ruleId: 'way.terminalUnknown',
        because: `${kit.name}: its terminals hold ${figure(kit.range.minMm2)}–${figure(kit.range.maxMm2)} mm², and ${where} has ${figure(areaMm2)}.`,
      };
    const tight = [kit.jacketMm, kit.sealMm].find((range) => range !== undefined && !takesJacket(range, jacketMm));
    if (tight)
      return {
        ruleId: 'way.terminalUnknown',
        because: `${kit.name} takes jackets of ${figure(tight.minMm)}–${figure(tight.maxMm)} mm, and ${where} has ${figure(jacketMm)}.`,
      };
  }
  return undefined;
}

/**
 * A shelf on which the terminals and seals are those of a kit: what is fitted out of a kit is judged as everything
 * else.
 */
export function shelfOfKit(kit: ConnectorKitPart, catalogue: Catalogue): Catalogue {
  const common = { quantity: 1, ratedC: kit.ratedC, figuresFrom: kit.figuresFrom };
  const terminal: TerminalPart = {
    ...common,
    kind: 'terminal',
    id: terminalId(kit),
    name: `${terminalInWords(kit.terminal)} out of the kit`,
    family: kit.terminal,
    range: kit.range,
    jacketMm: kit.jacketMm,
    stripMm: kit.stripMm,
  };
  const seal: readonly WireSealPart[] = kit.sealMm
    ? [{ ...common, kind: 'wireSeal', id: sealId(kit), name: 'wire seal out of the kit', jacketMm: kit.sealMm }]
    : [];
  const others = catalogue.parts.filter(
    ({ kind }) => kind !== 'terminal' && (kind !== 'wireSeal' || kit.sealMm === undefined),
  );
  return { ...catalogue, parts: [...others, terminal, ...seal] };
}

/** Of the parts that a terminal takes those that do not come out of the kit. */
export const notOutOf = (kit: ConnectorKitPart, partIds: readonly string[]): readonly string[] =>
  partIds.filter((id) => id !== terminalId(kit) && id !== sealId(kit));
