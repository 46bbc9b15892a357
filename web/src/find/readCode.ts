/** Photos are read at this size first, px on the longer side, and then larger: small is fast, large finds small codes. */
const SIDES = [900, 1800] as const;
/** A picture of few px is drawn larger, so that the edges of its squares are found. */
const GROWN_MOST = 4;

/** What the square code on a photo says; nothing where there is none that can be read. */
export async function codeOn(photo: Blob): Promise<string | undefined> {
  const { default: jsQR } = await import('jsqr');
  const image = await createImageBitmap(photo);
  try {
    for (const side of SIDES) {
      const scale = Math.min(GROWN_MOST, side / Math.max(image.width, image.height));
      const [wide, high] = [Math.round(image.width * scale), Math.round(image.height * scale)];
      const canvas = document.createElement('canvas');
      canvas.width = wide;
      canvas.height = high;
      const context = canvas.getContext('2d');
      if (!context) return undefined;
      context.drawImage(image, 0, 0, wide, high);
      const found = jsQR(context.getImageData(0, 0, wide, high).data, wide, high);
      if (found) return found.data;
    }
    return undefined;
  } finally {
    image.close();
  }
}
