import { formatLayout, parseLayout } from './layout-words.js';

test('what a block says of its own layout is read as it is written', () => {
  for (const text of ['low byte first', 'high byte first, low register first, a BOOL per word', '']) {
    const layout = parseLayout(text);
    expect(layout.ok && formatLayout(layout.value)).toBe(text);
  }
  expect(parseLayout('Low register first, BOOL per byte')).toEqual({
    ok: true,
    value: { registerOrder: 'low first', boolPacking: 'byte' },
  });
});

test('what is no layout is refused with what would be one', () => {
  const layout = parseLayout('upside down');
  expect(!layout.ok && layout.expected).toContain('high byte first');
});
