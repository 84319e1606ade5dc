import ts from 'typescript';
import { isOfCode, isSaid, isShown, looksSaid, NOT_SAID, SAID } from './whatIsSaid';

/** Gives the text of another language for an English one; undefined: it stays as it is. */
export type Translate = (text: string) => string | undefined;

/**
 * A source file in another language: each text that a person reads is replaced by what `translate` gives for it.
 *
 * A text is a whole sentence as it stands in the source. What is worked out in it is a numbered hole, `{0}`; an element in it is
 * `<0/>`, or `<0>…</0>` round words of its own: `<0>{1} trays</0> in {2}`. So a language may put them in an order of its own.
 *
 * @param source  TypeScript, with or without JSX
 * @param fileName  tells which it is; in files of words and tables (`*words.ts`, `*Library.ts`) single words in small letters are texts as well
 * @throws RangeError when a translation does not have the holes and elements of its text
 */
export function translated(source: string, fileName: string, translate: Translate): string {
  const file = ts.createSourceFile(
    fileName,
    source,
    ts.ScriptTarget.ES2022,
    true,
    fileName.endsWith('x') ? ts.ScriptKind.TSX : ts.ScriptKind.TS,
  );
  const isWords = /words\.tsx?$|Library\.ts$/i.test(fileName);

  /** The source of a node, its texts replaced. */
  function render(node: ts.Node): string {
    const own = replaced(node);
    if (own !== undefined) return own;
    const start = node.getStart(file);
    let out = '';
    let from = start;
    ts.forEachChild(node, (child) => {
      const at = child.getStart(file);
      if (at < from) return; // a doc comment
      out += source.slice(from, at) + render(child);
      from = child.end;
    });
    return out + source.slice(from, node.end);
  }

  /** What stands instead of a node that is a text; undefined where it is none, or stays. */
  function replaced(node: ts.Node): string | undefined {
    if (ts.isJsxElement(node) || ts.isJsxFragment(node)) {
      const sentence = isSentence(node.children) && sentenceOf(node.children);
      if (!sentence) return undefined;
      // The words of elements in it belong to it, translated or not.
      const said = translate(sentence.text) ?? sentence.text;
      const [open, close] = ts.isJsxElement(node)
        ? [node.openingElement, node.closingElement]
        : [node.openingFragment, node.closingFragment];
      return render(open) + filled(sentence, said) + close.getText(file);
    }
    const stated = ts.isJsxAttribute(node) && node.initializer && literalIn(node.initializer);
    if (stated) {
      const { text } = stated;
      const name = node.name.getText(file);
      const said = isSaid(text) && !NOT_SAID.test(name) && (SAID.test(name) || looksSaid(text)) ? translate(text) : undefined;
      return said === undefined ? node.getText(file) : `${name}={${JSON.stringify(said)}}`;
    }
    if (ts.isStringLiteralLike(node)) {
      if (!isSaid(node.text) || !(isWords || looksSaid(node.text) || isShown(node)) || isOfCode(node)) return undefined;
      const said = translate(node.text);
      return said === undefined ? undefined : JSON.stringify(said);
    }
    if (ts.isTemplateExpression(node)) {
      const parts = [node.head.text, ...node.templateSpans.map((s) => s.literal.text)];
      const text = parts.map((part, i) => (i === 0 ? part : `{${i - 1}}${part}`)).join('');
      if (!isSaid(parts.join(' ')) || !(isWords || looksSaid(text.replace(/\{\d+\}/g, 'x'))) || isOfCode(node)) return undefined;
      const said = translate(text);
      if (said === undefined) return undefined;
      mustHold(text, said);
      const inside = said.replace(/[`\\]|\$(?=\{)/g, '\\$&');
      return `\`${inside.replace(/\{(\d+)\}/g, (_, n) => `\${${render(node.templateSpans[Number(n)]!.expression)}}`)}\``;
    }
    return undefined;
  }

  interface Sentence {
    readonly text: string;
    /** What stands in its holes, by number. */
    readonly parts: readonly ts.JsxChild[];
  }

  function sentenceOf(children: readonly ts.JsxChild[], parts: ts.JsxChild[] = []): Sentence {
    let text = '';
    for (const child of children) {
      const words = literalOf(child);
      if (words !== null) {
        text += words;
        continue;
      }
      if (ts.isJsxFragment(child)) {
        text += sentenceOf(child.children, parts).text;
        continue;
      }
      const n = parts.push(child) - 1;
      if (ts.isJsxExpression(child)) text += `{${n}}`;
      else if (ts.isJsxElement(child) && isSentence(child.children)) text += `<${n}>${sentenceOf(child.children, parts).text}</${n}>`;
      else text += `<${n}/>`;
    }
    return { text, parts };
  }

  /** A translation as children of JSX, its holes filled. */
  function filled({ text, parts }: Sentence, said: string): string {
    mustHold(text, said);
    return said
      .split(/(\{\d+\}|<\/?\d+\/?>)/)
      .map((piece) => {
        const n = /^(?:\{|<\/?)(\d+)/.exec(piece)?.[1];
        if (n === undefined) return piece === '' ? '' : `{${JSON.stringify(piece)}}`;
        const part = parts[Number(n)]!;
        if (piece.startsWith('</')) return (part as ts.JsxElement).closingElement.getText(file);
        return piece.startsWith('<') && !piece.endsWith('/>') ? render((part as ts.JsxElement).openingElement) : render(part);
      })
      .join('');
  }

  return source.slice(0, file.getStart(file)) + render(file);
}

/** @throws RangeError unless a translation has each hole and element of its text once, and elements close as they open */
export function mustHold(text: string, said: string): void {
  const holes = (of: string) => of.match(/\{\d+\}|<\/?\d+\/?>/g) ?? [];
  const open: string[] = [];
  const isClosed = holes(said).every((h) => {
    if (h.startsWith('</')) return open.pop() === h.slice(2, -1);
    if (h.startsWith('<') && !h.endsWith('/>')) open.push(h.slice(1, -1));
    return true;
  });
  if (!isClosed || [...holes(said)].sort().join() !== [...holes(text)].sort().join())
    throw new RangeError(`“${said}” must have the same holes as “${text}”: ${holes(text).join(' ') || 'none'}`);
}

/** The literal that an attribute or a child in braces is. */
function literalIn(node: ts.Node): ts.StringLiteralLike | null {
  const inner = ts.isJsxExpression(node) ? node.expression : node;
  return inner && ts.isStringLiteralLike(inner) ? inner : null;
}

/** The words that a child of an element is; null for any other. */
function literalOf(child: ts.JsxChild): string | null {
  if (ts.isJsxText(child)) return wordsOf(child.text);
  if (!ts.isJsxExpression(child)) return null;
  if (!child.expression) return '';
  return literalIn(child)?.text ?? null;
}

/** Text of JSX as it is shown: lines are joined by a space, and what only indents them is none of it. */
function wordsOf(raw: string): string {
  const lines = raw.split('\n');
  return lines
    .map((line, i) => (i > 0 ? line.trimStart() : line))
    .map((line, i) => (i < lines.length - 1 ? line.trimEnd() : line))
    .filter((line) => line !== '')
    .join(' ')
    .replace(/&(amp|lt|gt|quot|apos|nbsp);/g, (_, name: string) => ENTITIES[name]!);
}
const ENTITIES: Readonly<Record<string, string>> = { amp: '&', lt: '<', gt: '>', quot: '"', apos: "'", nbsp: '\u00a0' };

const isSentence = (children: readonly ts.JsxChild[]): boolean => children.some((c) => isSaid(literalOf(c) ?? ''));
