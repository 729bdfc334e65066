import { parseSerial } from './serial-settings.js';

test.each([
  ['9600 8E1', 9600],
  ['115,200 8N1', 115_200],
  ['115.200 8N1', 115_200],
  ['115 200 8N1', 115_200],
  ["38'400,8,N,1", 38_400],
  ['9600,8,E,1', 9600],
  ['19.2k 8N1', 19_200],
  ['187.5 kbit/s 8E1', 187_500],
  ['1,500,000 8E1', 1_500_000],
])('%s is %d bit/s: thousands may be set apart', (text, rate) => {
  expect(parseSerial(text)).toMatchObject({ ok: true, value: { rate } });
});

test.each(['115,20 8N1', '19.2 8N1', '9,6000 8N1'])('%s is no whole rate', (text) => {
  expect(parseSerial(text).ok).toBe(false);
});
