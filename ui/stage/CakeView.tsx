'use client';
import { there } from '@/core/units';
import { isRaised, wayOf } from '@/core/families';
import { coverIn, type Forecast } from '@/core/forecast';
import type { CakeState, Life } from '@/core/work/timeline';
import type { Plan } from '@/core/plan';
import { vesselShape } from '@/core/model/vessel';
import { CutDrawing } from '../cut/CutDrawing';
import { cutToSize } from '../cut/cutToSize';
import { LAYER_COLOURS } from '../section/layerColours';
import { SectionDrawing } from '../section/SectionDrawing';
import { AlsoView } from './AlsoView';
import { BowlView } from './BowlView';
import { CupsView } from './CupsView';
import { DepthHandle } from './DepthHandle';
import { LayerHandle } from './LayerHandle';
import { layersAt } from './layersAt';
import { NARROW } from './narrow';
import { PlateView } from './PlateView';
import { PotView } from './PotView';
import { SearView } from './SearView';
import { SheetView } from './SheetView';
import { loadMoment } from './steamMoment';
import { stackIn, overWater } from '@/core/stations/steam/cooking';

const COLD: ReadonlySet<string> = new Set(['fridge', 'freezer']);

/** The cake at a moment of its life: one family of drawings, all at the true scale of what is there. */
export function CakeView({
  forecast,
  life,
  atS,
  state,
  show,
  width,
  mostY,
  cupScale,
  edit,
}: {
  forecast: Forecast;
  life: Life;
  atS: number;
  state: CakeState;
  show: 'heat' | 'set';
  width: number;
  mostY: number;
  /** Drawing units a metre of a tray of cups that stands beside another; undefined: as large as fits. */
  cupScale?: number;
  /** Undefined: it is looked at, and nothing of it can be taken hold of. */
  edit?: (key: string, change: (p: Plan) => Plan) => void;
}) {
  const { light, heat } = forecast;
  const { vessel, plan, document } = light.resolved;
  const { bends, into } = wayOf(light.family);
  if (state.is === 'cut' && light.cut)
    return (
      <CutDrawing
        cut={light.cut}
        label={vessel.name}
        onSize={edit && cutToSize(document, edit)}
        width={width}
        most={mostY + (width < NARROW ? 44 : 60)}
      />
    );
  if (state.is === 'sear' && heat?.sear) return <SearView forecast={forecast} timeS={state.timeS} width={width} />;
  if (state.is === 'plate') return <PlateView forecast={forecast} width={width} mostY={mostY} />;
  if (state.is === 'pot') return <PotView forecast={forecast} timeS={state.timeS} width={width} mostY={mostY} />;
  if (state.is === 'mix' || state.is === 'bowl')
    return <BowlView forecast={forecast} life={life} atS={atS} state={state} width={width} mostY={mostY} />;
  if (bends)
    return (
      <SheetView forecast={forecast} state={state} moment={loadMoment(forecast, state)} show={show} width={width} />
    );
  const depth = (frame: Parameters<typeof DepthHandle>[0]['frame']) =>
    edit ? <DepthHandle vessel={vessel} depthM={light.fill.depthM} frame={frame} edit={edit} /> : null;
  if (into === 'mould')
    return (
      <CupsView
        forecast={forecast}
        moment={loadMoment(forecast, state)}
        show={show}
        width={width}
        mostY={mostY}
        scale={cupScale}
        handles={depth}
      />
    );
  const cooling = state.is === 'cool';
  const steaming = state.is === 'steam' || state.is === 'stand';
  const pours = stackIn(heat)?.pours;
  // Before the first layer is in there is nothing to be warm.
  const begun = steaming && state.timeS >= (pours?.at(0)?.atS ?? 0);
  const frames = cooling ? heat?.rest?.frames : begun ? overWater(heat)?.frames : undefined;
  const where = cooling ? plan.cooling[state.stage]?.where : undefined;
  // A raised cake is drawn as high as its heat was worked out: with its gas.
  const risenM = frames && isRaised(light.family) ? frames.depthM : undefined;
  const first = pours?.at(0);
  const others = light.fill.others.length > 0 && !cooling;
  const own = others ? width * 0.66 : width;
  const section = (
    <SectionDrawing
      vessel={vessel}
      depthM={risenM ?? light.fill.depthM}
      risen={risenM !== undefined}
      frames={frames}
      timeS={steaming || cooling ? state.timeS : 0}
      show={show}
      coldSpot={steaming ? overWater(heat)?.coldSpot : undefined}
      foil={steaming && coverIn(light).foil}
      pieceShare={light.balance.pieceVolumeShare}
      colour={LAYER_COLOURS[there(plan.batters[0]).colour]}
      layers={layersAt(forecast, steaming)}
      surroundings={steaming ? 'steam' : where === 'ice-bath' ? 'ice' : where && COLD.has(where) ? 'cold' : 'cooling'}
      width={own}
      mostY={mostY}
      bare
      handles={(frame) => (
        <>
          {edit && first && pours && pours.length > 1 ? (
            <LayerHandle
              count={pours.length}
              firstM={first.toM}
              depthM={light.fill.depthM}
              frame={frame}
              halfM={vesselShape(vessel).halfWidthAt(first.toM)}
              edit={edit}
            />
          ) : null}
          {depth(frame)}
        </>
      )}
    />
  );
  return others ? (
    <div style={{ display: 'grid', gridTemplateColumns: '66fr 34fr' }}>
      {section}
      <AlsoView forecast={forecast} width={width - own} mostY={mostY * 0.7} />
    </div>
  ) : (
    section
  );
}
