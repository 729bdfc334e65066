import type { Finding } from '@dialoga/core/finding';
import { grouped } from './grouped';

const finding = (key: string) => ({ key }) as Finding;

test('a finding stands once under each of its keys, in the order in which they come', () => {
  const [a, b] = [finding('a'), finding('b')];
  const keys: Record<string, string[]> = { a: ['plant', 'skid', 'plant'], b: ['skid'] };
  const groups = grouped([a, b], ({ key }) => keys[key]!);
  expect([...groups]).toEqual([
    ['plant', [a]],
    ['skid', [a, b]],
  ]);
});

test('one without a key is nowhere', () => {
  expect(grouped([finding('a')], () => []).size).toBe(0);
});
