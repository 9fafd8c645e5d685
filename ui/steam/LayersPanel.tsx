import { layerBatters, type LayersForecast, type LightForecast } from '@/core/forecast';
import { sayDuration, sayGrams, sayMm, there } from '@/core/units';
import { Column, Soft, Told } from '../kit';
import rowsLook from '../kit/rows.module.css';
import { LAYER_COLOURS } from '../section/layerColours';
import look from './steam.module.css';

/** Each pour on the hot stack below it: grams, ladle, minutes, and the window between too soon and too late. */
export function LayersPanel({ light, layers }: { light: LightForecast; layers: LayersForecast | undefined }) {
  const batters = layerBatters(light);
  return (
    <Column>
      {layers ? (
        <div className={rowsLook.scroll}>
          <table className={rowsLook.table} aria-label="Pours">
            <thead>
              <tr>
                <td>Layer</td>
                <td className={rowsLook.right}>grams</td>
                <td className={rowsLook.right}>ladle</td>
                <td className={rowsLook.right}>to</td>
                <td className={rowsLook.right}>pour at</td>
                <td className={rowsLook.right}>wait</td>
                <td className={rowsLook.right}>too late</td>
              </tr>
            </thead>
            <tbody>
              {layers.pours.map((p, i) => (
                <tr key={i}>
                  <td>
                    <span
                      aria-hidden
                      className={look.swatch}
                      style={{ background: LAYER_COLOURS[there(batters[p.batter]).colour] ?? '#ccc' }}
                    />
                    {i + 1}. {there(batters[p.batter]).name}
                    {p.stirFirst ? ', stir first' : ''}
                  </td>
                  <td className={rowsLook.right}>
                    <Told>{sayGrams(p.grams)}</Told>
                  </td>
                  <td className={rowsLook.right}>{Math.round(p.ladleMl)} ml</td>
                  <td className={rowsLook.right}>
                    <Told>{sayMm(p.toM)}</Told>
                  </td>
                  <td className={rowsLook.right}>{i === 0 ? 'start' : sayDuration(p.atS)}</td>
                  <td className={rowsLook.right}>
                    {sayDuration(p.waitS)}
                    {p.waitsFor === 'tacky' ? ', to dry' : p.waitsFor === 'blotting' ? ', blot' : ''}
                  </td>
                  <td className={rowsLook.right}>{Number.isFinite(p.tooLateS) ? sayDuration(p.tooLateS) : '–'}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      ) : null}
      <Soft>
        Pour when the layer is set through and its top tacky, not wet; the lid is up for half a minute each time. One
        that has dried with the lid off, or stood fully set past “too late”, takes no other: roughen it with a fork, or
        wet it.
        {layers?.pours.some((p) => p.waitsFor === 'blotting')
          ? ' More drips on the top than it takes up: blot it before the next, or wrap the lid.'
          : ''}
      </Soft>
    </Column>
  );
}
