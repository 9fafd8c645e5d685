import { TEXTURE_AXES, type Texture, type TextureAxis } from '@/core/model/batter';
import look from './texture.module.css';

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
    <section className={look.texture} aria-label="Texture, estimated">
      <h3>How it will eat, estimated</h3>
      {TEXTURE_AXES.map((axis) => (
        <div key={axis} className={look.axis}>
          <span>{AXIS_WORDS[axis]}</span>
          <span className={look.bar} aria-hidden>
            <i style={{ width: `${texture[axis] * 10}%` }} />
          </span>
          <b data-testid={`texture-${axis}`}>{texture[axis].toFixed(1)}</b>
        </div>
      ))}
    </section>
  );
}
