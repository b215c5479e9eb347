import { type Filling, line, place } from '#words/place';

export const enough = place('plants/enough', {
  cellsOfEachArmTell: (cells: Filling, points: Filling) =>
    line`${cells} cells of each mix show a fall from 85 to ${points} % four times in five.`,
  traysOfEachArmTell: (cells: Filling, points: Filling) =>
    line`${cells} cells of each mix show at best a fall from 85 to ${points} %: trays that differ hide more.`,
  cellsOfEachArmTell2: (cells: Filling) =>
    line`${cells} cells of each mix show next to nothing: use more cells, or more groups.`,
});
