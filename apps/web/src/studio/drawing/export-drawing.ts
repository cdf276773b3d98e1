import { download, fileName } from '../../parts/download.js';
import { LIGHT } from '../../parts/tokens.js';
import { PHASE_DEFS_ID } from '../../parts/phases.js';
import { say } from '../../words/studio.js';

const SVG = 'http://www.w3.org/2000/svg';
/** Scale of PNGs, for sharp prints. */
const PNG_SCALE = 3;

/** The theme's colours and the phases' hatches, which an exported drawing must contain. */
function supplies(): string {
  const variables = Object.entries(LIGHT)
    .map(([name, value]) => `--${name}:${String(value)};`)
    .join('');
  const defs = document.getElementById(PHASE_DEFS_ID)?.innerHTML ?? '';
  return `<style>svg{${variables}font-family:sans-serif}.mono{font-family:monospace}.ring{visibility:hidden}</style>${defs}`;
}

/** Attributes without meaning outside the page. Ids stay, because hatches and clips are referenced by them. */
const ONLY_ON_SCREEN = ['tabindex', 'style', 'role', 'aria-pressed'];

interface Size {
  readonly width: number;
  readonly height: number;
}

/** A copy of a drawing without what belongs to the page, with the same view. */
function copyOf(drawing: SVGSVGElement): { copy: SVGSVGElement; size: Size } {
  const copy = drawing.cloneNode(true) as SVGSVGElement;
  const { width, height } = drawing.getBoundingClientRect();
  for (const element of [copy, ...copy.querySelectorAll('*')])
    for (const name of ONLY_ON_SCREEN) element.removeAttribute(name);
  if (!copy.hasAttribute('viewBox')) copy.setAttribute('viewBox', `0 0 ${width} ${height}`);
  copy.setAttribute('width', String(width));
  copy.setAttribute('height', String(height));
  return { copy, size: { width, height } };
}

const GAP_PX = 16;

/** Drawings side by side as one SVG file, in the light theme. */
export function drawingsAsSvg(drawings: readonly SVGSVGElement[]): string {
  const sheet = document.createElementNS(SVG, 'svg');
  let x = 0;
  let height = 0;
  for (const drawing of drawings) {
    const { copy, size } = copyOf(drawing);
    copy.setAttribute('x', String(x));
    sheet.append(copy);
    x += size.width + GAP_PX;
    height = Math.max(height, size.height);
  }
  const width = Math.max(0, x - GAP_PX);
  sheet.setAttribute('width', String(width));
  sheet.setAttribute('height', String(height));
  sheet.setAttribute('viewBox', `0 0 ${width} ${height}`);
  sheet.insertAdjacentHTML('afterbegin', supplies());
  return new XMLSerializer().serializeToString(sheet);
}

/**
 * The same as a PNG.
 * @throws if the browser cannot draw it
 */
export async function drawingsAsPng(drawings: readonly SVGSVGElement[]): Promise<Blob> {
  const image = new Image();
  image.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(drawingsAsSvg(drawings))}`;
  await image.decode();
  const canvas = document.createElement('canvas');
  canvas.width = image.width * PNG_SCALE;
  canvas.height = image.height * PNG_SCALE;
  canvas.getContext('2d')?.drawImage(image, 0, 0, canvas.width, canvas.height);
  return new Promise((resolve, reject) =>
    canvas.toBlob((blob) => (blob ? resolve(blob) : reject(new Error(say('drawingEmpty'))))),
  );
}

/** Saves the drawings that a selector matches as one file. */
export async function downloadDrawings(
  selector: string,
  name: string,
  kind: 'svg' | 'png',
): Promise<void> {
  const drawings = [...document.querySelectorAll<SVGSVGElement>(selector)];
  if (drawings.length === 0) return;
  if (kind === 'svg') download(fileName(name, kind), drawingsAsSvg(drawings), 'image/svg+xml');
  else download(fileName(name, kind), await drawingsAsPng(drawings));
}
