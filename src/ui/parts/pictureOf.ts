/** What of a drawn shape or word is decided by the page and not by its own attributes. */
const LOOKS = [
  'fill',
  'fill-opacity',
  'stroke',
  'stroke-width',
  'stroke-dasharray',
  'stroke-linecap',
  'stroke-linejoin',
  'stroke-opacity',
  'opacity',
  'paint-order',
  'font-family',
  'font-size',
  'font-weight',
  'text-anchor',
  'dominant-baseline',
] as const;

const OURS = /Barlow/;
const escaped = (text: string) => text.replace(/[&<>"]/g, (c) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' })[c]!);

/**
 * A part of the page as one flat SVG: its canvases as pictures, its drawings with the looks that the page gives them, its words as
 * words. It opens in any program; the fonts travel in it.
 */
export async function svgOf(root: HTMLElement): Promise<string> {
  const frame = root.getBoundingClientRect();
  const parts: string[] = [];
  walk(root);
  const [width, height] = [Math.ceil(frame.width), Math.ceil(frame.height)];
  const fonts = await fontsOf();
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}" viewBox="0 0 ${width} ${height}">`,
    fonts && `<style>${fonts}</style>`,
    `<rect width="${width}" height="${height}" fill="${groundOf(root)}"/>`,
    ...parts,
    '</svg>',
  ].join('\n');

  function walk(element: Element): void {
    const style = getComputedStyle(element);
    if (style.display === 'none' || style.visibility === 'hidden' || element.classList.contains('sr-only')) return;
    const box = element.getBoundingClientRect();
    if (element instanceof HTMLCanvasElement) {
      if (element.width > 0 && element.height > 0)
        parts.push(`<image href="${element.toDataURL('image/png')}" x="${box.x - frame.x}" y="${box.y - frame.y}" width="${box.width}" height="${box.height}" preserveAspectRatio="none"/>`); // prettier-ignore
      return;
    }
    if (element instanceof SVGSVGElement) {
      const own = element.getAttribute('viewBox') ?? `0 0 ${box.width} ${box.height}`;
      parts.push(`<svg x="${box.x - frame.x}" y="${box.y - frame.y}" width="${box.width}" height="${box.height}" viewBox="${escaped(own)}" overflow="visible">${[...element.children].map(drawn).join('')}</svg>`); // prettier-ignore
      return;
    }
    for (const child of element.childNodes) {
      if (child instanceof Element) walk(child);
      else if (child.nodeType === Node.TEXT_NODE && child.textContent!.trim()) parts.push(...words(child as Text, style));
    }
  }

  /** The words of a text, line by line as the page breaks them. */
  function words(text: Text, style: CSSStyleDeclaration): string[] {
    const lines: { x: number; y: number; height: number; words: string }[] = [];
    const range = document.createRange();
    for (const match of text.data.matchAll(/\S+/g)) {
      range.setStart(text, match.index);
      range.setEnd(text, match.index + match[0].length);
      const box = range.getClientRects()[0];
      const last = lines.at(-1);
      if (!box) continue;
      if (last && Math.abs(last.y - box.y) < 2) last.words += ` ${match[0]}`;
      else lines.push({ x: box.x, y: box.y, height: box.height, words: match[0] });
    }
    const size = parseFloat(style.fontSize);
    return lines.map(
      (l) =>
        `<text x="${l.x - frame.x}" y="${l.y - frame.y + l.height / 2 + size * 0.35}" font-family="${escaped(style.fontFamily)}" font-size="${style.fontSize}" font-weight="${style.fontWeight}" fill="${style.color}">${escaped(l.words)}</text>`,
    );
  }
}

/** A drawing with its looks written into it. */
function drawn(element: Element): string {
  if (!(element instanceof SVGElement)) return '';
  const style = getComputedStyle(element);
  if (style.display === 'none' || style.visibility === 'hidden') return '';
  const own = [...element.attributes]
    .filter((a) => !/^(class|style|role|tabindex|aria-|data-|on)/.test(a.name) && !(LOOKS as readonly string[]).includes(a.name))
    .map((a) => `${a.name}="${escaped(a.value)}"`);
  const looks = LOOKS.map((name) => [name, style.getPropertyValue(name)] as const)
    .filter(([, value]) => value !== '' && value !== 'none' && value !== 'normal' && value !== 'auto')
    .map(([name, value]) => `${name}="${escaped(value)}"`);
  // What is not painted has to be said: the usual fill is black.
  if (style.fill === 'none') looks.push('fill="none"');
  const inner = [...element.childNodes].map((c) => (c instanceof Element ? drawn(c) : escaped(c.textContent ?? ''))).join('');
  return `<${element.tagName} ${[...own, ...looks].join(' ')}>${inner}</${element.tagName}>`;
}

/** The colour that lies behind a part of the page. */
function groundOf(element: Element | null): string {
  for (let at = element; at; at = at.parentElement) {
    const ground = getComputedStyle(at).backgroundColor;
    if (ground !== 'transparent' && !/, 0\)$/.test(ground)) return ground;
  }
  return '#ffffff';
}

let kept: Promise<string> | null = null;

/** The fonts of the page as rules that need nothing from outside. */
function fontsOf(): Promise<string> {
  kept ??= Promise.all(
    [...document.styleSheets]
      .flatMap((sheet) => [...sheet.cssRules])
      .filter((rule): rule is CSSFontFaceRule => rule instanceof CSSFontFaceRule && OURS.test(rule.style.getPropertyValue('font-family')))
      .map(async (rule) => {
        const url = /url\("?([^")]+\.woff2)"?\)/.exec(rule.style.getPropertyValue('src'))?.[1];
        if (!url) return '';
        const bytes = new Uint8Array(await (await fetch(new URL(url, rule.parentStyleSheet?.href ?? location.href))).arrayBuffer());
        const text = btoa(bytes.reduce((all, b) => all + String.fromCharCode(b), ''));
        return `@font-face{font-family:${rule.style.getPropertyValue('font-family')};font-weight:${rule.style.getPropertyValue('font-weight')};src:url(data:font/woff2;base64,${text})}`;
      }),
  )
    .then((rules) => rules.join(''))
    // Without them the words stand in another font.
    .catch(() => '');
  return kept;
}

/** How much finer than the screen a picture is, so that it prints well. */
const FINER = 2;

/** The same as PNG. @throws Error when the browser does not draw it */
export async function pngOf(root: HTMLElement): Promise<Blob> {
  const svg = await svgOf(root);
  const image = new Image();
  const address = URL.createObjectURL(new Blob([svg], { type: 'image/svg+xml' }));
  try {
    image.src = address;
    await image.decode();
    const canvas = document.createElement('canvas');
    [canvas.width, canvas.height] = [image.width * FINER, image.height * FINER];
    canvas.getContext('2d')!.drawImage(image, 0, 0, canvas.width, canvas.height);
    const blob = await new Promise<Blob | null>((done) => canvas.toBlob(done, 'image/png'));
    if (!blob) throw new Error('no picture came');
    return blob;
  } finally {
    URL.revokeObjectURL(address);
  }
}
