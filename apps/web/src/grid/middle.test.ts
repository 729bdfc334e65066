import { inTwo } from './middle';

test('a long name is parted before its end, without loss and never inside a character', () => {
  expect(inTwo('CompressorDischargePressure_12')).toEqual(['CompressorDischargePressu', 're_12']);
  expect(inTwo('Permissives')).toBeNull();
  const odd = 'Kühlhaus 𝟙𝟚𝟛𝟜𝟝𝟞𝟟𝟠';
  expect(inTwo(odd)!.join('')).toBe(odd);
  expect(inTwo(odd)![1]).toBe('𝟜𝟝𝟞𝟟𝟠');
});
