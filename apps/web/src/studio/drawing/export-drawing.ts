import { LIGHT } from '../../parts/tokens.js';
import { PHASE_DEFS_ID } from '../../parts/phases.js';

const SVG = 'http://www.w3.org/2000/svg';
/** PNGs are made this many times as large as the drawing is on the screen: sharp in print. */
const PNG_SCALE = 3;

/** The theme's colours and the phases' hatches, which a drawing on its own must carry along. */
function supplies(): string {
  const variables = Object.entries(LIGHT)
    .map(([name, value]) => `--${name}:${String(value)};`)
    .join('');
  const defs = document.getElementById(PHASE_DEFS_ID)?.innerHTML ?? '';
  return `<style>svg{${variables}font-family:sans-serif}.mono{font-family:monospace}.ring{visibility:hidden}</style>${defs}`;
}

/** What only makes sense on the page it came from. Ids stay: patterns and clips are named by them. */
const ONLY_ON_SCREEN = ['tabindex', 'style', 'role', 'aria-pressed'];

/** A drawing of this page as an SVG file of its own, with lights on. */
export function drawingAsSvg(drawing: SVGSVGElement): string {
  const copy = drawing.cloneNode(true) as SVGSVGElement;
  const { width, height } = drawing.getBoundingClientRect();
  copy.setAttribute('xmlns', SVG);
  copy.setAttribute('width', String(Math.round(width)));
  copy.setAttribute('height', String(Math.round(height)));
  if (!copy.hasAttribute('viewBox'))
    copy.setAttribute('viewBox', `0 0 ${Math.round(width)} ${Math.round(height)}`);
  for (const element of [copy, ...copy.querySelectorAll('*')])
    for (const name of ONLY_ON_SCREEN) element.removeAttribute(name);
  copy.insertAdjacentHTML('afterbegin', supplies());
  return new XMLSerializer().serializeToString(copy);
}

/** The same as a PNG. Throws when the browser cannot draw it. */
export async function drawingAsPng(drawing: SVGSVGElement): Promise<Blob> {
  const image = new Image();
  image.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(drawingAsSvg(drawing))}`;
  await image.decode();
  const canvas = document.createElement('canvas');
  canvas.width = image.width * PNG_SCALE;
  canvas.height = image.height * PNG_SCALE;
  canvas.getContext('2d')?.drawImage(image, 0, 0, canvas.width, canvas.height);
  return new Promise((resolve, reject) =>
    canvas.toBlob((blob) => (blob ? resolve(blob) : reject(new Error('The drawing is empty.')))),
  );
}

/** Hands a file to the person. */
export function download(name: string, content: Blob | string, type = 'text/plain'): void {
  const url = URL.createObjectURL(
    typeof content === 'string' ? new Blob([content], { type }) : content,
  );
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(url), 1000);
}

/** A name as a file may have it. */
export const fileName = (name: string, ending: string): string =>
  `${
    name
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-|-$/g, '') || 'pattern'
  }.${ending}`;
