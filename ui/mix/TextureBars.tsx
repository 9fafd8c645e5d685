import { Box, Stack, Typography } from '@mui/material';
import { TEXTURE_AXES, type Texture, type TextureAxis } from '@/core/mix';

export const AXIS_WORDS: Readonly<Record<TextureAxis, string>> = {
  firm: 'firm',
  chewy: 'chewy',
  sticky: 'sticky',
  clear: 'clear',
  cleanBite: 'clean bite',
  hardens: 'hardens cold',
};

/** Texture after cooking, 0 to 10 an axis: an estimate of the house model. */
export function TextureBars({ texture }: { texture: Texture }) {
  return (
    <Box>
      <Typography variant="h3" component="h3">
        Texture, estimated
      </Typography>
      {TEXTURE_AXES.map((axis) => (
        <Stack key={axis} direction="row" spacing={1} sx={{ alignItems: 'center', my: 0.25 }}>
          <Typography variant="body2" sx={{ width: 92 }}>
            {AXIS_WORDS[axis]}
          </Typography>
          <Box
            sx={{
              flex: 1,
              height: 10,
              border: 1,
              borderColor: 'divider',
              position: 'relative',
              bgcolor: 'background.default',
            }}
            aria-hidden
          >
            <Box
              sx={{
                position: 'absolute',
                inset: 0,
                width: `${texture[axis] * 10}%`,
                bgcolor: 'secondary.main',
                opacity: 0.75,
              }}
            />
          </Box>
          <Typography variant="body2" data-testid={`texture-${axis}`} sx={{ width: 30, textAlign: 'right' }}>
            {texture[axis].toFixed(1)}
          </Typography>
        </Stack>
      ))}
    </Box>
  );
}
