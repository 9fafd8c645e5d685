import type { Appliance, FryingPan, Hob, Pot, Scoop, Steamer, Vessel } from '@/core/kitchen';
import type { RackKind } from '../kitchen/useKitchen';
import { ApplianceForm, PotForm, ScoopForm } from './GearForms';
import { HobForm } from './HobForm';
import { PanForm, SteamerForm } from './PlainForms';
import { VesselForm } from './VesselForm';

/** What is being put on the rack, or changed there. */
export type OpenThing =
  | { kind: 'vessel'; thing?: Vessel }
  | { kind: 'steamer'; thing?: Steamer }
  | { kind: 'pan'; thing?: FryingPan }
  | { kind: 'hob'; thing?: Hob }
  | { kind: 'pot'; thing?: Pot }
  | { kind: 'appliance'; thing?: Appliance }
  | { kind: 'scoop'; thing?: Scoop };

/** The form of its kind. */
export function OpenForm({
  open,
  onClose,
  keep,
}: {
  open: OpenThing;
  onClose: () => void;
  keep: (kind: RackKind, thing: { id: string; name: string }, over: number | undefined) => Promise<void>;
}) {
  switch (open.kind) {
    case 'vessel':
      return <VesselForm thing={open.thing} onClose={onClose} onKeep={(x, over) => keep('vessels', x, over)} />;
    case 'steamer':
      return <SteamerForm thing={open.thing} onClose={onClose} onKeep={(x, over) => keep('steamers', x, over)} />;
    case 'pan':
      return <PanForm thing={open.thing} onClose={onClose} onKeep={(x, over) => keep('fryingPans', x, over)} />;
    case 'hob':
      return <HobForm thing={open.thing} onClose={onClose} onKeep={(x, over) => keep('hobs', x, over)} />;
    case 'pot':
      return <PotForm thing={open.thing} onClose={onClose} onKeep={(x, over) => keep('pots', x, over)} />;
    case 'appliance':
      return <ApplianceForm thing={open.thing} onClose={onClose} onKeep={(x, over) => keep('appliances', x, over)} />;
    case 'scoop':
      return <ScoopForm thing={open.thing} onClose={onClose} onKeep={(x, over) => keep('scoops', x, over)} />;
  }
}
