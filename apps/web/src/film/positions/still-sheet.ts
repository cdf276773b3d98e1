const GAP = 16;
const HEAD = 44;
const FOOT = 34;
/** Paper is always light, whatever the theme. */
const [PAPER, INK] = ['white', 'black'];

/** One picture with stills side by side, each captioned, below a title. */
export async function sheetOf(
  title: string,
  pictures: readonly ImageBitmap[],
  captions: readonly string[],
): Promise<Blob> {
  const widths = pictures.map(({ width }) => width + GAP);
  const height = Math.max(...pictures.map((picture) => picture.height));
  const sheet = new OffscreenCanvas(
    widths.reduce((sum, width) => sum + width, GAP),
    HEAD + height + FOOT,
  );
  const context = sheet.getContext('2d');
  if (!context) throw new Error(title);
  context.fillStyle = PAPER;
  context.fillRect(0, 0, sheet.width, sheet.height);
  context.fillStyle = INK;
  context.font = '600 20px sans-serif';
  context.fillText(title, GAP, 28);
  context.font = '16px sans-serif';
  let x = GAP;
  pictures.forEach((picture, i) => {
    context.drawImage(picture, x, HEAD);
    context.fillText(captions[i] ?? '', x, HEAD + height + 22);
    x += picture.width + GAP;
  });
  return sheet.convertToBlob({ type: 'image/png' });
}
