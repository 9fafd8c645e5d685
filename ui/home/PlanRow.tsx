import NextLink from 'next/link';
import { plural, sayGrams, sayMm } from '@/core/units';
import type { PlanCard } from '@/server/planCards';
import { Told } from '../kit';
import look from '../kit/list.module.css';
import { MiniSection } from '../section/MiniSection';

/** One plan on the shelf. */
export function PlanRow({ plan: p }: { plan: PlanCard }) {
  return (
    <li className={`${look.row} ${look.wide}`}>
      <div className={look.picture}>
        {p.picture ? <MiniSection vessel={p.picture.vessel} depthM={p.picture.depthM} /> : null}
      </div>
      <div className={look.grow}>
        <NextLink prefetch={false} href={`/plans/${p.id}`} className={look.twoLines}>
          {p.name}
        </NextLink>
        <div className={look.soft}>{p.readable ? `${p.family} · ${plural(p.guests ?? 0, 'guest')}` : p.family}</div>
        {p.readable ? null : <div className={look.stop}>It cannot be read; open it to see what is kept.</div>}
        {p.picture?.problem ? <div className={look.stop}>{p.picture.problem}</div> : null}
      </div>
      {p.picture ? (
        <div className={look.figures}>
          <Told>{sayGrams(p.picture.massG)}</Told>
          <br />
          <Told>{`${sayMm(p.picture.depthM)} deep`}</Told>
          <br />
          {p.picture.pieces === null ? 'whole' : `${p.picture.pieces} pieces`}
        </div>
      ) : null}
    </li>
  );
}
