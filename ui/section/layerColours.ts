/** Layers in the colours of the kitchen: coconut, pandan, pea flower, turmeric, rose, bean. */
export const LAYER_COLOURS: Readonly<Record<string, string>> = {
  porcelain: '#F4F0E4',
  pandan: '#8CC79A',
  pea: '#8D9BDD',
  turmeric: '#E7C25E',
  rose: '#E3A1AE',
  bean: '#D9C07E',
};
