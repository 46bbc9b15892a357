import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';

/** An element of a PDF's structure as another reader sees it: its sort, its words, its elements in reading order. */
export interface ReadPart {
  readonly type: string;
  readonly alt?: string | undefined;
  readonly words: string;
  readonly parts: readonly ReadPart[];
}
interface Node {
  readonly role?: string;
  readonly alt?: string;
  readonly type?: string;
  readonly id?: string;
  readonly children?: readonly Node[];
}

/** What a page says: all its words by the mark that they stand under; what stands under none has no name. */
interface Marks {
  readonly words: ReadonlyMap<string, string>;
  readonly bare: readonly string[];
}

function marksOf(items: readonly object[]): Marks {
  const words = new Map<string, string>();
  const bare: string[] = [];
  const open: (string | undefined)[] = [];
  for (const item of items as readonly { type?: string; id?: string; tag?: string; str?: string }[]) {
    if (item.type === 'beginMarkedContent') open.push(item.tag);
    else if (item.type === 'beginMarkedContentProps') open.push(item.id ?? item.tag);
    else if (item.type === 'endMarkedContent') open.pop();
    else if (item.str) {
      const under = open.findLast((mark) => mark !== undefined);
      if (under === undefined) bare.push(item.str);
      else words.set(under, `${words.get(under) ?? ''}${item.str}`);
    }
  }
  return { words, bare };
}

function partOf(node: Node, words: ReadonlyMap<string, string>): ReadPart {
  const children = node.children ?? [];
  const parts = children.filter(({ role }) => role !== undefined).map((child) => partOf(child, words));
  const own = children.flatMap(({ type, id }) => (type === 'content' && id !== undefined ? [words.get(id) ?? ''] : []));
  return { type: node.role ?? '', alt: node.alt, words: own.join('').replace(/\s+/g, ' ').trim(), parts };
}

/** Reads a PDF's structure page by page, with another library than the one that made it. */
export async function readStructure(pdf: Buffer): Promise<{
  /** One tree a page. */
  readonly pages: readonly ReadPart[];
  /** Words that are neither in the structure nor marked as ornament. */
  readonly unmarked: readonly string[];
  /** Words that are marked as ornament, such as the footer's. */
  readonly ornament: readonly string[];
  readonly all: string;
}> {
  const task = getDocument({ data: new Uint8Array(pdf), useSystemFonts: false, verbosity: 0 });
  const document = await task.promise;
  const pages: ReadPart[] = [];
  const [unmarked, ornament, all]: string[][] = [[], [], []];
  for (let at = 1; at <= document.numPages; at += 1) {
    const page = await document.getPage(at);
    const { items } = await page.getTextContent({ includeMarkedContent: true });
    const { words, bare } = marksOf(items);
    const tree = (await page.getStructTree()) as Node | null;
    pages.push(partOf(tree ?? {}, words));
    unmarked!.push(...bare);
    ornament!.push(words.get('Artifact') ?? '');
    all!.push(...items.flatMap((item) => ('str' in item ? [item.str] : [])));
  }
  await task.destroy();
  return { pages, unmarked: unmarked!, ornament: ornament!, all: all!.join('') };
}

/** All elements of a structure, in reading order. */
export const everyPart = (part: ReadPart): readonly ReadPart[] => [part, ...part.parts.flatMap(everyPart)];
