import { Stack, Typography } from '@mui/material';
import type { Kitchen } from '@/core/kitchen';
import { boilingPointC } from '@/core/units';
import type { KitchenHand } from '../kitchen/useKitchen';
import { NumberField } from '../kit';

/** The room that it all stands in: how high, how warm, how cold the fridge. */
export function RackPlace({ kitchen, keep }: { kitchen: Kitchen; keep: KitchenHand['keepSettings'] }) {
  return (
    <Stack direction="row" spacing={1.5} useFlexGap sx={{ my: 1.5, alignItems: 'flex-start', flexWrap: 'wrap' }}>
      <Typography variant="h1" sx={{ flex: 1, minWidth: 120 }}>
        Rack
      </Typography>
      <NumberField
        label="Altitude"
        value={kitchen.altitudeM}
        min={-430}
        max={6000}
        unit="m"
        decimals={0}
        width={160}
        onChange={(altitudeM) => void keep({ altitudeM })}
        helper={`water boils at ${boilingPointC(kitchen.altitudeM).toFixed(1)} °C`}
      />
      <NumberField
        label="Room"
        value={kitchen.roomC}
        min={-5}
        max={45}
        unit="°C"
        width={110}
        onChange={(roomC) => void keep({ roomC })}
      />
      <NumberField
        label="Fridge"
        value={kitchen.fridgeC}
        min={-2}
        max={12}
        unit="°C"
        width={110}
        onChange={(fridgeC) => void keep({ fridgeC })}
      />
    </Stack>
  );
}
