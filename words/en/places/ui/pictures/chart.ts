import { place } from '#words/place';

export const chart = place('ui/pictures/chart', {
  atkinsonHyperlegibleNextVariableSystem: "'Atkinson Hyperlegible Next Variable', system-ui, sans-serif",
});
