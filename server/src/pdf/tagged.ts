import { createRequire } from 'node:module';
import type { Content, PageSize, TDocumentDefinitions } from 'pdfmake/interfaces.js';
import { FONTS, isFont } from './fonts.ts';
import { structureOf, type Part } from './structure.ts';

/** A text, picture or line as the layout has put it on a page; `part` where it belongs to the content. */
interface Laid {
  readonly part?: Part;
  readonly of?: { readonly part?: Part };
}
interface Page {
  readonly items: readonly { readonly type: string; readonly item: Laid }[];
}
/** An element of a PDF's structure. */
interface Element {
  add(inside: object): void;
}
/** The PDF as the library below the PDF maker writes it, as far as it is asked here. */
interface Pdf {
  readonly page: object;
  struct(type: string, said: object): Element;
  addStructure(element: Element): void;
  markStructureContent(type: string): object;
  markContent(type: 'Artifact', said: { readonly type: 'Layout' }): void;
  endMarkedContent(): void;
  on(event: 'data', then: (part: Buffer) => void): void;
  on(event: 'end', then: () => void): void;
  on(event: 'error', then: (error: Error) => void): void;
  end(): void;
}

/** The parts of the PDF maker that put content on pages and draw them: its own front joins them without structure. */
interface Maker {
  readonly Document: new (fonts: object, images: object, patterns: object, files: object, ...more: unknown[]) => Pdf;
  readonly Layout: new (size: object, margins: object, svg: object) => LayoutOf;
  readonly Renderer: new (pdf: Pdf) => RendererOf;
  readonly Svg: new () => object;
}
interface LayoutOf {
  buildNextLine(node: { readonly part?: Part }): Laid | null;
  registerTableLayouts(layouts: object): void;
  layoutDocument(content: Content, pdf: Pdf, ...more: unknown[]): Page[];
}
interface RendererOf {
  renderPages(pages: readonly Page[]): void;
  renderLine(line: Laid, x: number, y: number): void;
  renderVector(vector: Laid): void;
  renderImage(image: Laid): void;
  renderSVG(svg: Laid): void;
}
const require = createRequire(import.meta.url);
const partOf = <T>(name: string): T => (require(`pdfmake/js/${name}.js`) as { default: T }).default;
const maker: Maker = {
  Document: partOf('PDFDocument'),
  Layout: partOf('LayoutBuilder'),
  Renderer: partOf('Renderer'),
  Svg: partOf('SVGMeasure'),
};
const { tableLayouts } = require('pdfmake/js/tableLayouts.js') as { tableLayouts: object };
const { normalizePageSize, normalizePageMargin } = require('pdfmake/js/PageSize.js') as {
  normalizePageSize: (size: PageSize) => { readonly width: number; readonly height: number };
  normalizePageMargin: (margins: unknown) => object;
};

/** Keeps with each line which text it is of. */
class TaggedLayout extends maker.Layout {
  override buildNextLine(node: { readonly part?: Part }): Laid | null {
    const line = super.buildNextLine(node);
    return line && Object.assign(line, { of: node });
  }
}

/** Draws, and marks what is drawn: what belongs to the content with its part, all else as mere ornament. */
class TaggedRenderer extends maker.Renderer {
  readonly #pdf: Pdf;
  readonly #elements = new Map<Part, Element>();
  /** The page on which a header was read. */
  readonly #readOn = new Map<Part, object>();

  constructor(pdf: Pdf, document: Part) {
    super(pdf);
    this.#pdf = pdf;
    const root = this.#elementOf(document);
    pdf.addStructure(root);
  }
  #elementOf({ type, alt, scope, parts }: Part): Element {
    const element = this.#pdf.struct(type, { ...(alt ? { alt } : {}), ...(scope ? { scope } : {}) });
    for (const part of parts) {
      const inner = this.#elementOf(part);
      this.#elements.set(part, inner);
      element.add(inner);
    }
    return element;
  }
  /** A header that stands again on the next page is read once. */
  #isAgain(part: Part): boolean {
    if (!part.repeats) return false;
    const { page } = this.#pdf;
    if (!this.#readOn.has(part)) this.#readOn.set(part, page);
    return this.#readOn.get(part) !== page;
  }
  #marked(part: Part | undefined, draw: () => void): void {
    const element = part && !this.#isAgain(part) ? this.#elements.get(part) : undefined;
    if (part && element) element.add(this.#pdf.markStructureContent(part.type));
    else this.#pdf.markContent('Artifact', { type: 'Layout' });
    draw();
    this.#pdf.endMarkedContent();
  }
  override renderLine(line: Laid, x: number, y: number): void {
    this.#marked(line.of?.part, () => super.renderLine(line, x, y));
  }
  override renderVector(vector: Laid): void {
    this.#marked(undefined, () => super.renderVector(vector));
  }
  override renderImage(image: Laid): void {
    this.#marked(image.part, () => super.renderImage(image));
  }
  override renderSVG(svg: Laid): void {
    this.#marked(svg.part, () => super.renderSVG(svg));
  }
}

/** What is made here of all that a document may ask for. */
export type Asked = Pick<TDocumentDefinitions, 'footer' | 'pageMargins' | 'defaultStyle' | 'content'> & {
  readonly title: string;
  readonly paper: PageSize;
};

/**
 * A PDF that is kept for good and can be read aloud: PDF/A-2a. Every text and picture of its content stands in its
 * structure, headings, tables with their header cells, lists, pictures with what they show; footers and rules do not.
 * @throws Error a picture without `alt`
 */
export function taggedPdf(asked: Asked): Promise<Buffer> {
  const { content, document } = structureOf(asked.content);
  const size = normalizePageSize(asked.paper);
  const pdf = new maker.Document(
    FONTS,
    {},
    {},
    {},
    {
      size: [size.width, size.height],
      pdfVersion: '1.7',
      subset: 'PDF/A-2a',
      tagged: true,
      displayTitle: true,
      lang: 'en',
      autoFirstPage: false,
      font: null,
      info: { Title: asked.title, Creator: 'Mendum', Producer: 'Mendum' },
    },
    null,
    isFont,
  );
  const layout = new TaggedLayout(size, normalizePageMargin(asked.pageMargins), new maker.Svg());
  layout.registerTableLayouts(tableLayouts);
  const pages = layout.layoutDocument(content, pdf, {}, asked.defaultStyle, undefined, undefined, asked.footer);
  new TaggedRenderer(pdf, document).renderPages(pages);
  const parts: Buffer[] = [];
  return new Promise((done, fail) => {
    pdf.on('data', (part: Buffer) => parts.push(part));
    pdf.on('end', () => done(Buffer.concat(parts)));
    pdf.on('error', fail);
    pdf.end();
  });
}
