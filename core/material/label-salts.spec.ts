import { saltsByLabel } from '#core/material/label-salts';
import { amendments } from '#testing/library';

test('by the label the salts of the library come out within a seventh', () => {
  const salts = amendments.filter(
    (a) => a.kind === 'salt' && a.solubilityGPerL === 0 && a.solubleSaltsMeqPerG > 0,
  );
  expect(salts.length).toBeGreaterThan(4);
  for (const salt of salts.filter((a) =>
    /^(calcium|potassium)-nitrate|potassium-sulphate|magnesium/.test(a.id),
  ))
    expect([salt.id, Math.abs(saltsByLabel(salt) / salt.solubleSaltsMeqPerG - 1) < 0.15]).toEqual([
      salt.id,
      true,
    ]);
});
