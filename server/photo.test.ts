import sharp from 'sharp';
import { keptPicture } from './photo';

const picture = (width: number, height: number) =>
  sharp({ create: { width, height, channels: 3, background: '#8fb58a' } });

test('a photo is kept small and upright, without the place, the hour or the camera', async () => {
  const sent = await picture(4000, 3000)
    .jpeg()
    .withExif({
      IFD0: { Make: 'A camera', Model: 'That tells', DateTime: '2026:05:06 07:08:09' },
      IFD3: {
        GPSLatitudeRef: 'N',
        GPSLatitude: '51/1 30/1 3230/100',
        GPSLongitudeRef: 'W',
        GPSLongitude: '0/1 7/1 4366/100',
      },
    })
    .withMetadata({ orientation: 6 })
    .toBuffer();
  expect((await sharp(sent).metadata()).exif).toBeDefined();
  const kept = await keptPicture(sent);
  if (!kept.ok) throw new Error(kept.problems[0].sentence);
  const found = await sharp(kept.value).metadata();
  expect([found.format, found.width, found.height, found.exif, found.orientation]).toEqual([
    'jpeg',
    1200,
    1600,
    undefined,
    undefined,
  ]);
  expect(kept.value.includes('GPS')).toBe(false);
  expect(kept.value.length).toBeLessThan(400_000);
});

test('what is no picture, or one too big to be a photo, is refused in words', async () => {
  for (const sent of [
    Buffer.from('<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"><rect width="9" height="9"/></svg>'),
    Buffer.alloc(0),
    Buffer.from('not a picture at all'),
  ])
    expect(await keptPicture(sent)).toMatchObject({ ok: false, problems: [{ code: 'no-picture' }] });
  const huge = await picture(9000, 9000).png().toBuffer();
  expect(await keptPicture(huge)).toMatchObject({ ok: false, problems: [{ code: 'no-picture' }] });
});
