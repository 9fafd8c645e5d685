import sharp from 'sharp';
import { bad, good, problem, type Result } from '@/core/units';

/** Longest side of a kept picture, pixels; and the most a sent one may hold: more is a bomb, not a photo. */
const LONGEST = 1600;
const MOST_PIXELS = 60e6;
const QUALITY = 80;
/** What cameras and browsers make; nothing that draws or runs. */
const CAMERA: ReadonlySet<string> = new Set(['jpeg', 'png', 'webp', 'heif', 'gif', 'tiff']);

/**
 * A picture as it is kept: upright, small, and anew as a JPEG, so that nothing of the camera, the place or the hour it was taken at goes with it.
 * Errors: `no-picture` for what is none that can be read.
 */
export async function keptPicture(sent: Buffer): Promise<Result<Buffer>> {
  try {
    const { format } = await sharp(sent, { limitInputPixels: MOST_PIXELS }).metadata();
    if (!CAMERA.has(format)) throw new Error(`not from a camera: ${format}`);
    return good(
      await sharp(sent, { limitInputPixels: MOST_PIXELS, failOn: 'error', sequentialRead: true })
        .rotate()
        .resize({ width: LONGEST, height: LONGEST, fit: 'inside', withoutEnlargement: true })
        .flatten({ background: '#ffffff' })
        .jpeg({ quality: QUALITY })
        .toBuffer(),
    );
  } catch {
    return bad(
      problem('no-picture', 'photo', 'That is no picture that can be read; take it again, or choose another.'),
    );
  }
}
